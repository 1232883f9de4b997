<script lang="ts">
	import { sayMinute } from '$lib/core/wording';
	import { sayMinutes, sayPlanDay, sayRemedy, sayWait } from '$lib/core/interpret';
	import { followOrder, ifDelayed, waitsOf, withoutFirstWait } from '$lib/core/schedule';
	import LinkMenu from '$lib/ui/kit/LinkMenu.svelte';
	import RoundByHand from '$lib/ui/plan/RoundByHand.svelte';
	import UndoRedo from '$lib/ui/plan/UndoRedo.svelte';
	import RoundSites from '$lib/ui/plan/RoundSites.svelte';
	import DayLine from '$lib/ui/plan/DayLine.svelte';
	import { planHistory } from '../../plan-history.svelte';
	import type { PageProps } from './$types';

	let { data }: PageProps = $props();
	const orderWords = (isExact: boolean) =>
		isExact ? 'best order and start found exactly' : 'a good order, not every one was weighed';

	const DELAY_min = 20;
	const round = $derived(data.round);
	const { question } = $derived(round);
	const at = $derived(`/plan/rounds/${round.id}`);
	const papers = $derived([
		{ word: 'Labels, a sheet of 24', href: `${at}/labels.pdf` },
		{ word: 'Labels, a roll', href: `${at}/labels.pdf?stock=roll` },
		{ word: 'Round sheet', href: `${at}/paper.pdf?what=round` },
		{ word: 'Field sheets', href: `${at}/paper.pdf?what=field` },
		{ word: 'Custody form', href: `${at}/paper.pdf?what=custody` },
		...(round.hasAnimals ? [{ word: 'Drawings of animals', href: '/plan/animals.pdf' }] : [])
	]);
	const maps = $derived([
		{ word: 'GPX, for a receiver', href: `${at}/round.gpx`, isFile: true },
		{ word: 'GeoJSON, for a map program', href: `${at}/round.geojson`, isFile: true }
	]);
	const names = $derived(Object.fromEntries(round.sites.map((s) => [s.id, s.name])));
	const nameOf = (id: string) => names[id] ?? 'a site';
	/** What is being tried out here; null shows the plan as it stands. */
	let tried = $state.raw<{ order: readonly number[]; start_min: number } | null>(null);

	const shown = $derived(tried ?? { order: round.order, start_min: round.start_min });
	const asked = $derived(followOrder(question, shown.order, shown.start_min));
	/** Where what is asked misses a site's window, the best day is drawn, and it is said. */
	const plan = $derived(data.rest ? data.rest.plan : (asked ?? data.best?.plan ?? null));
	const waits = $derived(plan ? waitsOf(question, plan) : []);
	/** The same day, left so late that nobody waits at the first site. */
	const unhurried = $derived(plan && !data.rest ? withoutFirstWait(question, plan) : null);
	const delays = $derived(plan && !data.rest ? ifDelayed(question, plan, DELAY_min) : []);
	const slack = $derived(plan?.slack.least_min ?? null);
	const tightest = $derived.by(() => {
		if (!plan) return '';
		const { holding_min, closing_min, least_min } = plan.slack;
		if (holding_min === least_min) return 'left of the first bottle’s time when the last plate is poured';
		return closing_min === least_min ? 'left before the lab closes' : 'left of the daylight at the last site';
	});
	const isBest = $derived(
		data.best !== null &&
			plan !== null &&
			asked !== null &&
			plan.slack.least_min >= data.best.plan.slack.least_min &&
			tried === null
	);
	const isChanged = $derived(
		tried !== null && (tried.start_min !== round.start_min || tried.order.join() !== round.order.join())
	);
	const mayMove = $derived(data.mayPlan && !round.soFar && round.refusedBecause === null);

	function reorder(from: number, to: number) {
		const order = [...shown.order];
		order.splice(to, 0, ...order.splice(from, 1));
		tried = { order, start_min: shown.start_min };
	}

	const change = (asked: object) => planHistory.change({ roundId: round.id, ...asked });

	async function pickSites(siteIds: string[]) {
		if (await change({ change: 'sites', siteIds })) tried = null;
	}

	async function keep() {
		if (!tried) return;
		const siteIds = tried.order.map((i) => question.stops[i]!.id);
		if (await change({ change: 'start', minute: tried.start_min, siteIds })) tried = null;
	}
</script>

<svelte:head><title>{round.name}, {sayPlanDay(round.day)} · Keen Riffle</title></svelte:head>

<main class="page">
	<header class="top">
		<h1>{round.name}</h1>
		<span
			>{sayPlanDay(round.day)}, {round.crewIds
				.map((id) => data.people[id]?.name.split(' ')[0] ?? '?')
				.join(' and ')}</span
		>
		<span class="small">
			{data.best ? orderWords(data.best.isExact) : ''}{round.guesses
				? `; ${round.guesses === 1 ? 'one drive is' : `${round.guesses} drives are`} guessed from position`
				: ''}
		</span>
		<a href="/plan">The season</a>
	</header>
	{#if round.refusedBecause}<p class="say spoils">This date was refused: {round.refusedBecause}</p>{/if}
	{#if round.despite}<p class="say ask">It goes although a rule speaks against it: {round.despite}</p>{/if}
	<div class="day">
		<section aria-label="The day">
			{#if !data.rest && asked === null && plan}
				<p class="say spoils">
					<b>So planned, a site is reached after the time in which it may be visited.</b> What is drawn is the best day; keep
					it, or start at another time.
				</p>
			{/if}
			{#if plan}
				<DayLine
					{question}
					{plan}
					{names}
					lab={round.lab}
					now_min={round.soFar?.now_min ?? null}
					{mayMove}
					onstart={(start_min) => (tried = { order: shown.order, start_min })}
					onorder={reorder}
				/>
				{#each waits as wait (wait.id)}
					<p class="say ask">
						<b>{nameOf(wait.id)}.</b>
						{sayWait(wait)}
						{#if mayMove && unhurried && wait.id === plan.stops[0]?.id}
							<button
								class="btn preset-outlined-primary-500"
								type="button"
								onclick={() => (tried = { order: shown.order, start_min: unhurried.start_min })}
								>Leave at {sayMinute(unhurried.start_min)} instead</button
							>
						{/if}
					</p>
				{/each}
				<p class="small">
					Leaves {round.depot} at {sayMinute(plan.start_min)}. Minutes on site are those of past visits{round.sites.some(
						(s) => s.visitLearnedFrom === 0
					)
						? ', an hour where there are none'
						: ''}. {#if mayMove}Drag a stop sideways to start earlier or later, up or down to change the order; or
						choose it and use the arrow keys.{/if}
				</p>
				{#if mayMove}
					{#key round.sites.map((s) => s.id).join()}
						<RoundSites
							sites={round.couldGoTo}
							chosen={round.sites.map((s) => s.id)}
							onkeep={(ids) => void pickSites(ids)}
						/>
					{/key}
					<RoundByHand
						people={data.couldGo.map((p) => ({ ...p, name: data.people[p.id]?.name ?? '?' }))}
						crew={round.crewIds}
						labs={round.labs}
						labId={round.ownLabId}
						sites={round.sites}
						quality={round.quality}
						onchange={(asked) => void change(asked)}
					/>
				{/if}
				{#if data.mayTake}
					<div class="papers">
						<a class="btn preset-outlined-primary-500" href="/pack/{round.id}" data-sveltekit-reload>What to pack</a>
						<LinkMenu label="Print" links={papers} />
						<LinkMenu label="Take on a map" links={maps} />
					</div>
				{/if}
			{:else}
				<p class="say spoils">No order reaches every site in the window in which it may be visited.</p>
			{/if}
		</section>
		<section aria-label="What it means" class="means">
			{#if round.isLabShut}
				<p class="say spoils">
					<b>{round.lab} takes no bottles that day.</b> Move the round, or leave the bottles at home: nothing below counts
					their time.
				</p>
			{:else if slack !== null && plan}
				<p class="slack" class:spoiled={slack < 0}>
					<b class="big-figure">{slack < 0 ? '−' : ''}{sayMinutes(slack)}</b>
					<small>{slack < 0 ? 'too late: ' : ''}{tightest}</small>
				</p>
			{/if}
			{#if data.rest}
				<p class="say ask">
					<b>The day is under way.</b>
					{data.rest.plan.stops.length
						? `Next ${nameOf(data.rest.plan.stops[0]!.id)}, there at ${sayMinute(data.rest.plan.stops[0]!.arrive_min)}.`
						: 'Nothing is left to visit: to the lab.'} At the lab {sayMinute(data.rest.plan.end_min)}.
				</p>
			{:else if data.best && !isBest && plan}
				<p class="say ask">
					<b
						>Start at {sayMinute(data.best.plan.start_min)}: {data.best.plan.stops
							.map((s) => nameOf(s.id))
							.join(', ')}.</b
					>
					That leaves {sayMinutes(data.best.plan.slack.least_min)}{data.best.plan.slack.least_min < 0
						? ' too little'
						: ''}, not {slack !== null && slack < 0 ? '−' : ''}{sayMinutes(slack ?? 0)}.
				</p>
				{#if mayMove}
					<button
						class="btn preset-outlined-primary-500"
						type="button"
						onclick={() => (tried = { order: data.best!.plan.order, start_min: data.best!.plan.start_min })}
						>Show that order</button
					>
				{/if}
			{:else if isBest}
				<p class="say ask"><b>No order and no start leave more.</b></p>
			{/if}
			{#if mayMove && isChanged}
				<p class="acts">
					<button class="btn preset-filled-primary-500" type="button" onclick={() => void keep()}
						>Save this order</button
					>
					<button class="btn preset-outlined-surface-500" type="button" onclick={() => (tried = null)}
						>Put it back</button
					>
				</p>
			{/if}
			<UndoRedo history={planHistory} mayPlan={data.mayPlan} />
			{#if delays.length}
				<table class="table">
					<thead><tr><th>{DELAY_min} min late at</th><th class="number">slack left</th></tr></thead>
					<tbody>
						{#each delays as delay (delay.id)}
							<tr
								><td>{nameOf(delay.id)}</td><td class="number" class:bad={(delay.least_min ?? -1) < 0}
									>{delay.least_min === null ? 'misses its window' : `${delay.least_min} min`}</td
								></tr
							>
						{/each}
					</tbody>
				</table>
			{/if}
			{#if data.leftOut[0] && !data.rest}
				<p class="small after">
					If it rains, leave out {nameOf(data.leftOut[0].id)}: the best day then has {data.leftOut[0].least_min === null
						? 'no order'
						: sayMinutes(data.leftOut[0].least_min)} of slack.
				</p>
			{/if}
			{#if data.remedies.length && !data.rest}
				<h2 class="ruled">
					{(data.best?.plan.slack.least_min ?? -1) < 0
						? 'No order works. What would'
						: 'The slack is thin. What would help'}
				</h2>
				<ul>
					{#each data.remedies as remedy, i (i)}<li>{sayRemedy(remedy, nameOf)}</li>{/each}
				</ul>
			{/if}
		</section>
	</div>
</main>

<style>
	.page {
		padding: 0.875rem 1.625rem 1.875rem;
	}
	.top {
		display: flex;
		flex-wrap: wrap;
		align-items: baseline;
		gap: 0.875rem;
		border-bottom: 2px solid var(--ink);
		padding-bottom: 0.5rem;
		margin-bottom: 0.75rem;
	}
	.top a {
		margin-left: auto;
	}
	.day {
		display: grid;
		grid-template-columns: minmax(0, 1fr) minmax(16.25rem, 20rem);
		gap: 1.625rem;
	}
	.slack small {
		display: block;
	}
	.slack.spoiled b {
		color: var(--danger);
	}
	.acts {
		display: flex;
		flex-wrap: wrap;
		gap: 0.5rem;
		margin: 0.5rem 0;
	}
	.say {
		margin: 0.5rem 0;
	}
	.papers {
		display: flex;
		flex-wrap: wrap;
		gap: 0.5rem;
		margin-top: 0.75rem;
	}
	.after {
		margin: 0.5rem 0;
	}
	.bad {
		color: var(--danger);
		font-weight: 650;
	}
	ul {
		list-style: disc;
		padding-left: 1.125rem;
	}
	@media (max-width: 900px) {
		.day {
			grid-template-columns: minmax(0, 1fr);
		}
		.page {
			padding: 0.625rem 0.875rem 1.5rem;
		}
	}
</style>
