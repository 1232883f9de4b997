<script lang="ts">
	import { Progress } from '@skeletonlabs/skeleton-svelte';
	import { sayBreach, sayPlanDay, sayUnmet } from '$lib/core/interpret';
	import {
		Board,
		factsFromWire,
		nearestDay,
		openSites,
		samplerNeeds,
		samplerTrip,
		type Proposal
	} from '$lib/core/schedule';
	import CalendarFeed from '$lib/ui/plan/CalendarFeed.svelte';
	import AddRound from '$lib/ui/plan/AddRound.svelte';
	import UndoRedo from '$lib/ui/plan/UndoRedo.svelte';
	import AfterStorm from '$lib/ui/plan/AfterStorm.svelte';
	import SamplerNeeds from '$lib/ui/plan/SamplerNeeds.svelte';
	import SeasonBoard, { type BoardBead } from '$lib/ui/plan/SeasonBoard.svelte';
	import { inThreadOrder } from '$lib/ui/plan/thread-order';
	import { proposeSeason } from '$lib/workers/propose.client';
	import { planHistory } from './plan-history.svelte';
	import type { PageProps } from './$types';

	let { data, form }: PageProps = $props();

	const facts = $derived(factsFromWire(data.wire));
	const sites = $derived(inThreadOrder(data.network.streams, data.network.sites));
	const board = $derived(new Board(facts, data.rounds));
	const DAY_ms = 86_400_000;
	const dateOf = (day: number) => new Date(day * DAY_ms).toISOString().slice(0, 10);
	const dayOf = (date: string) => Date.parse(date) / DAY_ms;
	const nameOf = (id: string) => data.people[id]?.name ?? 'someone';
	const circuitName = (id: string) => facts.circuits.find((c) => c.id === id)?.name ?? 'a round';

	let chosen = $state<string | null>(null);
	let reason = $state('');
	let refusing = $state(false);
	let work = $state.raw<{ stop: () => void } | null>(null);
	let share = $state(0);
	let proposal = $state.raw<Proposal | null>(null);

	const proposed = $derived(
		(proposal?.rounds ?? [])
			.filter((r) => r.id.startsWith('proposed '))
			.map((r): BoardBead => ({
				...r,
				name: circuitName(r.circuitId),
				siteIds: openSites(board.circuit(r.circuitId), r.day),
				refusedBecause: null,
				quality: [],
				despite: '',
				isProposed: true
			}))
	);
	const rounds = $derived<BoardBead[]>([...data.rounds, ...proposed]);
	const current = $derived(rounds.find((r) => r.id === chosen) ?? null);
	const broken = $derived(
		current && !current.isProposed && current.state === 'planned'
			? board.breaches(current).map((b) => sayBreach(b, nameOf))
			: []
	);
	const needs = $derived(samplerNeeds(data.wire.tasks ?? [], rounds, data.today));
	const next = $derived(data.rounds.find((r) => r.state === 'planned'));

	function judge(round: BoardBead, day: number) {
		const moved = { ...round, day };
		const words = board.breaches(moved).map((b) => sayBreach(b, nameOf));
		return { words, nearest: words.length ? nearestDay(board, moved, data.today) : null };
	}

	const change = (asked: object) => planHistory.change(asked);
	const move = (roundId: string, day: number) =>
		data.rounds.some((r) => r.id === roundId) ? change({ change: 'move', roundId, day }) : Promise.resolve(false);

	async function proposeRest() {
		share = 0;
		proposal = null;
		const fixed = data.rounds.map(
			({ id, circuitId, day, crew, state, purpose, siteIds, visited, bottles, refusedBecause }) => ({
				id,
				circuitId,
				day,
				crew,
				state,
				purpose,
				siteIds,
				visited,
				bottles,
				refusedBecause
			})
		);
		// nothing is proposed for days that have gone by
		const running = proposeSeason(
			{ ...data.wire, from: Math.max(data.wire.from, data.today + 1) },
			fixed,
			1,
			(s) => (share = s)
		);
		work = running;
		proposal = await running.proposal;
		work = null;
	}

	function stop() {
		work?.stop();
		work = null;
	}

	async function take() {
		const taken = await change({
			change: 'take',
			rounds: proposed.map(({ circuitId, day, crew }) => ({ circuitId, day, crew }))
		});
		if (taken) proposal = null;
	}

	async function refuse() {
		if (current && (await change({ change: 'refuse', roundId: current.id, reason }))) {
			refusing = false;
			reason = '';
		}
	}
</script>

<svelte:head><title>The season · Keen Riffle</title></svelte:head>

<main class="page">
	<header class="top">
		<h1>The season</h1>
		<span>{sayPlanDay(data.wire.from)} to {sayPlanDay(data.wire.to)}</span>
		<a href="/plan/season.ics" download>Calendar file</a>
		<a href="/plan/season.pdf">Season sheet</a>
		<CalendarFeed address={data.feed} mayPlan={data.mayPlan} />
		{#if next}<a class="btn preset-filled-primary-500" href="/plan/rounds/{next.id}"
				>Plan the day: {next.name}, {sayPlanDay(next.day)}</a
			>{/if}
	</header>
	{#if facts.circuits.length === 0}
		<p class="lead">
			Nothing can be planned yet. A season is made of circuits: the sites that one team visits together, from a depot to
			a lab. Enter streams and sites, then people and teams, then a lab with its hours; then the first circuit.
		</p>
	{:else}
		<SeasonBoard
			from={data.wire.from}
			to={data.wire.to}
			today={data.today}
			{sites}
			{rounds}
			{judge}
			mayPlan={data.mayPlan}
			{chosen}
			onchoose={(id) => {
				chosen = id;
				refusing = false;
			}}
			onmove={(id, day) => void move(id, day)}
		/>
		<UndoRedo history={planHistory} mayPlan={data.mayPlan} />
		<div class="below">
			<div class="plan">
				<section aria-labelledby="chosen">
					<h2 id="chosen" class="ruled">{current ? current.name : 'A round'}</h2>
					{#if current}
						<p>
							<b>{sayPlanDay(current.day)}</b>, {current.isProposed ? 'proposed' : current.state}.
							{current.crew.length ? current.crew.map(nameOf).join(' and ') : 'Nobody is down for it yet'}.
						</p>
						{#if current.refusedBecause}
							<p class="say ask">Refused: {current.refusedBecause}</p>
							{#if data.mayPlan && current.day >= data.today}<p class="acts">
									<button
										class="btn preset-outlined-surface-500"
										type="button"
										onclick={() => void change({ change: 'lift', roundId: current.id })}>Lift the refusal</button
									>
								</p>{/if}
						{/if}
						{#if current.despite}<p class="say ask">Goes all the same: {current.despite}</p>{/if}
						{#each broken as words (words)}<p class="say spoils">{words}</p>{/each}
						{#if !current.isProposed && current.state === 'planned' && broken.length === 0}<p>
								It breaks no rule.
							</p>{/if}
						{#if !current.isProposed && current.state === 'planned'}
							<p class="acts">
								<a class="btn preset-outlined-primary-500" href="/plan/rounds/{current.id}">Plan the day</a>
								{#if data.mayPlan}
									<button class="btn preset-outlined-surface-500" type="button" onclick={() => (refusing = !refusing)}
										>Refuse the date</button
									>
									<button
										class="btn preset-outlined-surface-500"
										type="button"
										onclick={() => void change({ change: 'remove', roundId: current.id })}>Take it off</button
									>
								{/if}
							</p>
						{/if}
						{#if refusing}
							<form
								class="refuse"
								onsubmit={(e) => {
									e.preventDefault();
									void refuse();
								}}
							>
								<label
									>Why, so that the next planner knows <input
										class="input"
										bind:value={reason}
										required
										maxlength="300"
									/></label
								>
								<button class="btn preset-filled-primary-500">Refuse {sayPlanDay(current.day)}</button>
							</form>
						{/if}
					{:else}
						<p>Choose a round on the board to see who goes, which rules it keeps, and to plan its day.</p>
					{/if}
				</section>
				<section aria-labelledby="rest">
					<h2 id="rest" class="ruled">The rest of the season</h2>
					{#if data.mayPlan}
						<p class="acts">
							{#if work}
								<Progress value={share * 100} aria-label="Proposing">
									<Progress.Track><Progress.Range /></Progress.Track>
								</Progress>
								<button class="btn preset-outlined-surface-500" type="button" onclick={stop}>Stop</button>
							{:else if proposal}
								<button
									class="btn preset-filled-primary-500"
									type="button"
									disabled={proposed.length === 0}
									onclick={() => void take()}>Take these {proposed.length} rounds</button
								>
								<button class="btn preset-outlined-surface-500" type="button" onclick={() => (proposal = null)}
									>Leave it</button
								>
							{:else}
								<button class="btn preset-filled-primary-500" type="button" onclick={() => void proposeRest()}
									>Propose the rest</button
								>
							{/if}
						</p>
					{/if}
					{#if data.mayPlan}
						<AddRound
							{board}
							today={data.today}
							{dateOf}
							{dayOf}
							{nameOf}
							onadd={(round) => change({ change: 'take', rounds: [round] })}
						/>
					{/if}
					{#if proposal}
						<p>
							{proposed.length
								? `${proposed.length} rounds, none of which breaks a rule; they stand in ochre on the board.`
								: 'No round could be added.'}
						</p>
						{#each proposal.unmet as unmet, i (i)}<p class="say ask">
								{sayUnmet(unmet, circuitName(unmet.circuitId))}
							</p>{/each}
					{:else}
						<p>
							Keeps {facts.circuits[0]!.spacing.least_days} days between rounds at a site and comes as near to {facts
								.circuits[0]!.spacing.aim_days} as weekdays, the lab, the people and drying gear allow. What cannot be met
							is said, with the smallest change that would help.
						</p>
					{/if}
				</section>
			</div>
			<AfterStorm
				isTyped={data.isRainTyped}
				date={data.date}
				refused={form && 'rain' in form ? String(form.rain) : null}
				weather={data.weather}
				today={data.today}
				mayPlan={data.mayPlan}
				{circuitName}
				{nameOf}
				ontake={(circuitId, go) => void change({ change: 'take', rounds: [{ circuitId, ...go, purpose: 'storm' }] })}
			/>
			<SamplerNeeds
				{needs}
				tripFor={(need) => samplerTrip(board, need.task, data.today)}
				today={data.today}
				mayPlan={data.mayPlan}
				siteName={(id) => sites.find((s) => s.id === id)?.name ?? '?'}
				roundName={(id) => rounds.find((r) => r.id === id)?.name ?? 'a round'}
				{nameOf}
				ontrip={(trip, siteId) =>
					void change({ change: 'take', rounds: [{ ...trip, purpose: 'sampler', siteIds: [siteId] }] })}
			/>
		</div>
	{/if}
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
	.top .btn {
		margin-left: auto;
	}
	.below {
		display: grid;
		grid-template-columns: repeat(auto-fit, minmax(20rem, 1fr));
		gap: 0.625rem 2.125rem;
		margin-top: 0.625rem;
	}
	.plan {
		display: grid;
		gap: 1.125rem;
		align-content: start;
	}
	.acts {
		display: flex;
		flex-wrap: wrap;
		gap: 0.5rem;
		align-items: center;
		margin: 0.5rem 0;
	}
	.say {
		margin: 0.375rem 0;
	}
	.refuse {
		display: grid;
		gap: 0.5rem;
	}
	.lead {
		max-width: 62ch;
	}
	@media (max-width: 700px) {
		.page {
			padding: 0.625rem 0.875rem 1.5rem;
		}
	}
</style>
