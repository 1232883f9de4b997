<script lang="ts">
	import { onDestroy, onMount, tick } from 'svelte';
	import { goto } from '$app/navigation';
	import { page } from '$app/state';
	import { v7 } from 'uuid';
	import { isoDay, sayDay, sayTime } from '$lib/core/wording';
	import { instantOf } from '$lib/core/logbook';
	import { type Opening } from '$lib/core/subjects/whole-visit/branch';
	import { fieldApp } from '../field-context';
	import { keepLastSeen } from '$lib/field/last-seen';
	import PartLost from '$lib/ui/frame/PartLost.svelte';
	import FieldNote from '../FieldNote.svelte';
	import { sayWanted } from './wanted';

	const app = fieldApp();

	let root = $state<HTMLElement>();
	const keepSeen = () => {
		const whole = root?.closest<HTMLElement>('.field');
		if (whole && satchel && !wanted) keepLastSeen(whole); // what is said once is not said at the next start
	};
	onMount(() => {
		// a phone that is put away may never come back to this page
		document.addEventListener('visibilitychange', keepSeen);
		return () => document.removeEventListener('visibilitychange', keepSeen);
	});
	onDestroy(keepSeen);
	// when what stands here changes, not whenever the clock moves
	$effect(() => {
		if (satchel && app.isOpen && app.bounds) void tick().then(keepSeen);
	});

	const DAY_ms = 86_400_000;
	const satchel = $derived(app.packed?.satchel ?? null);
	const site = (id: string) => satchel?.sites.find((s) => s.id === id);
	const visits = $derived(
		app.bounds
			.filter((e) => e.path === 'opening' && e.state !== 'refused')
			.map((e) => ({
				id: e.visitId,
				at_ms: instantOf(e.at),
				by: e.by,
				opening: e.value as Opening,
				isLeft: app.bounds.some((l) => l.path === 'leaving/at' && l.visitId === e.visitId)
			}))
			.filter((v) => v.at_ms > app.now_ms - 2 * DAY_ms)
			.sort((a, b) => b.at_ms - a.at_ms)
	);
	const rounds = $derived(
		(satchel?.rounds ?? []).filter((r) => Math.abs(Date.parse(r.startsAt) - app.now_ms) < 1.5 * DAY_ms)
	);
	const visitOf = (roundId: string, siteId: string) =>
		visits.find((v) => v.opening.roundId === roundId && v.opening.siteId === siteId);
	const cards = $derived(
		(satchel?.cards ?? []).filter((c) => c.inUse).sort((a, b) => (a.card.title < b.card.title ? -1 : 1))
	);
	/** The card of the nearest round, where there is one: the one that is used most days. */
	const usualCardId = $derived(
		cards.find(
			(c) =>
				c.id ===
				[...(satchel?.rounds ?? [])].sort(
					(a, b) => Math.abs(Date.parse(a.startsAt) - app.now_ms) - Math.abs(Date.parse(b.startsAt) - app.now_ms)
				)[0]?.cardVersionId
		)?.id ?? cards[0]?.id
	);
	let chosenCardId = $state('');
	let isFromPaper = $state(false);
	const cardId = $derived(chosenCardId || usualCardId);
	const handedTo = (visitId: string) => app.handovers.filter((e) => e.visitId === visitId).at(-1);
	/** Whether the other sites are shown, once the person has chosen; else they are where no round is near. */
	let isElsewhere = $state<boolean>();
	let elsewhere = $state<HTMLDetailsElement>();
	let starting = $state('');
	let typedLabel = $state(page.url.searchParams.get('label') ?? '');
	let labelSaid = $state('');
	/** What was asked for and needs a network. */
	const wanted = sayWanted(page.url.searchParams.get('wanted'));

	/** Goes to the step of the bottle that a label stands on. */
	async function openLabel() {
		if (!satchel) return;
		const { bottleOfLabel } = await import('./bottle-of-label');
		const found = bottleOfLabel(typedLabel, satchel, visits, app.now_ms);
		if ('href' in found) return goto(found.href);
		labelSaid = found.why;
	}

	async function open(siteId: string, roundId?: string, cardVersionId = cardId, onPaper?: { startedAt: string }) {
		const card = satchel?.cards.find((c) => c.id === cardVersionId);
		if (!card || !satchel || starting) return;
		starting = siteId;
		const visitId = v7();
		const startedAt = onPaper?.startedAt ?? new Date(app.now_ms).toISOString();
		const opening: Opening = {
			siteId,
			cardVersionId: card.id,
			startedAt,
			...(roundId ? { roundId } : {}),
			...(onPaper ? { isOnPaper: true } : {})
		};
		await app.write({ visitId, path: 'opening', op: 'set', value: opening, was: null });
		if (onPaper) {
			await app.write({
				visitId,
				path: `copies/${satchel.member.initials}/startedAt`,
				op: 'set',
				value: new Date(app.now_ms).toISOString(),
				was: null
			});
			return goto(`/sample/${visitId}/arrive`);
		}
		await app.write({
			visitId,
			path: `arrival/crew/${satchel.member.initials}/initials`,
			op: 'set',
			value: satchel.member.initials,
			was: null
		});
		await goto(`/sample/${visitId}/arrive`);
	}
</script>

<svelte:head><title>Sample · Keen Riffle</title></svelte:head>

<header class="top">
	<div>
		<h1>Sample</h1>
		{#if satchel}<small>{satchel.member.name}, {satchel.program.name}</small>{/if}
	</div>
	<FieldNote {app} />
</header>

<main bind:this={root}>
	{#if app.isPartLost}<PartLost onread={app.partLostRead} />{/if}
	{#if wanted}
		<p class="say" role="status">
			<b>No network.</b>
			{wanted} needs one and opens again where there is one. What you have with you is here.
		</p>
	{/if}
	{#if app.newVersion.isReady}
		<p class="say">
			<b>A new version is ready.</b> What you wrote stays.
			<button type="button" class="btn preset-outlined-primary-500" onclick={app.newVersion.take}>Load it now</button>
		</p>
	{/if}
	{#if !app.isOpen}
		<p>Opening what is kept on this device.</p>
	{:else if !satchel}
		{#await import('../NothingPacked.svelte') then { default: NothingPacked }}<NothingPacked
				{app}
				to="/sample"
			/>{/await}
	{:else}
		{#each rounds as round (round.id)}
			<h2 class="ruled">{round.name}</h2>
			<p class="small">
				{sayDay(Date.parse(round.startsAt), satchel.program.timeZone)}, start {sayTime(
					Date.parse(round.startsAt),
					satchel.program.timeZone
				)}.
				<a href="/pack/{round.id}">What to pack</a>
			</p>
			<ul>
				{#each round.siteIds as siteId (siteId)}
					{@const place = site(siteId)}
					{@const visit = visitOf(round.id, siteId)}
					{#if place}
						<li>
							<div><b>{place.name}</b><small>{place.barred || place.about}</small></div>
							{#if visit}
								<a
									class={['btn', !visit.isLeft ? 'preset-filled-primary-500' : 'preset-outlined-primary-500']}
									href="/sample/{visit.id}"
									>{visit.isLeft ? 'Done' : 'Go on'}<span class="visually-hidden"> at {place.name}</span></a
								>
							{:else}
								<button
									class="btn preset-outlined-primary-500"
									disabled={starting !== ''}
									onclick={() => open(siteId, round.id, round.cardVersionId)}
									>Start<span class="visually-hidden"> at {place.name}</span></button
								>
							{/if}
						</li>
					{/if}
				{/each}
			</ul>
		{/each}

		{@const others = visits.filter((v) => !rounds.some((r) => r.id === v.opening.roundId))}
		{#if others.length}
			<h2 class="ruled">Other visits on this device</h2>
			<ul>
				{#each others as visit (visit.id)}
					<li>
						<div>
							<b>{site(visit.opening.siteId)?.name ?? 'A site that is no longer in the program'}</b><small
								>{visit.opening.isOnPaper ? 'from paper, ' : ''}{#if handedTo(visit.id)}handed to {handedTo(visit.id)
										?.value},
								{/if}{sayDay(visit.at_ms, satchel.program.timeZone)}
								{sayTime(visit.at_ms, satchel.program.timeZone)}, opened by {app.initialsOf(visit.by)}</small
							>
						</div>
						<a class="btn preset-outlined-primary-500" href="/sample/{visit.id}">Open</a>
					</li>
				{/each}
			</ul>
		{/if}

		<details bind:this={elsewhere} open={isElsewhere ?? rounds.length === 0}>
			<summary
				onclick={(e) => {
					e.preventDefault(); // the state opens it, once
					isElsewhere = !elsewhere?.open;
				}}><h2>Another site</h2></summary
			>
			{#if cards.length > 1}
				<label class="card"
					>Card
					<select class="select" value={cardId} onchange={(e) => (chosenCardId = e.currentTarget.value)}>
						{#each cards as { id, card } (id)}<option value={id}>{card.title}, version {card.version}</option>{/each}
					</select></label
				>
			{/if}
			<ul>
				{#each satchel.sites.filter((s) => !s.isRetired) as place (place.id)}
					<li>
						<div><b>{place.name}</b><small>{place.barred || place.about}</small></div>
						<button
							class="btn preset-outlined-primary-500"
							disabled={starting !== ''}
							aria-label="Start at {place.name}"
							onclick={() => open(place.id)}>Start</button
						>
					</li>
				{/each}
			</ul>
		</details>
		<details bind:open={isFromPaper}>
			<summary><h2>A sheet from paper</h2></summary>
			{#if isFromPaper}
				{#await import('$lib/ui/subjects/paper-copy/PaperStart.svelte') then { default: PaperStart }}
					<PaperStart
						sites={satchel.sites.filter((s) => !s.isRetired)}
						today={isoDay(app.now_ms, satchel.program.timeZone)}
						timeZone={satchel.program.timeZone}
						now_ms={app.now_ms}
						onstart={(siteId, startedAt) => void open(siteId, undefined, cardId, { startedAt })}
					/>
				{/await}
			{/if}
		</details>
		<form
			class="label"
			onsubmit={(e) => {
				e.preventDefault();
				void openLabel();
			}}
		>
			<label
				>A bottle’s label, scanned or typed <input
					class="input"
					bind:value={typedLabel}
					autocapitalize="characters"
					autocomplete="off"
					placeholder="QU1-260515-B"
				/></label
			>
			<button class="btn preset-outlined-primary-500">Open it</button>
			<p role="status" class:say={labelSaid} class="ask">{labelSaid}</p>
		</form>
		<p class="small foot">
			Packed {sayDay(Date.parse(satchel.packedAt), satchel.program.timeZone)}
			{sayTime(Date.parse(satchel.packedAt), satchel.program.timeZone)}.
			<a href="/today" data-sveltekit-reload>To the office</a>
		</p>
	{/if}
</main>

<style>
	.top {
		position: sticky;
		top: 0;
		z-index: 5;
		display: flex;
		justify-content: space-between;
		align-items: center;
		gap: 0.625rem;
		padding: 0.375rem 0.875rem;
		background: var(--paper);
		border-bottom: 1px solid var(--rule);
	}
	.top h1 {
		font-size: 1.25rem;
	}
	.top small {
		display: block;
	}
	main {
		max-width: 40rem;
		margin: 0 auto;
		padding: 1rem 1rem 2.5rem;
	}
	h2 {
		font-size: 1.375rem;
		margin-top: 1.125rem;
	}
	li {
		display: flex;
		justify-content: space-between;
		align-items: center;
		gap: 0.75rem;
		padding: 0.5rem 0;
		border-bottom: 1px solid var(--rule);
	}
	li small {
		display: block;
		font-size: 0.9375rem;
	}
	li .btn {
		display: grid;
		place-items: center;
		min-width: 5.75rem;
		min-height: 3rem;
		padding-block: 0;
	}
	summary {
		display: flex;
		min-height: 3rem;
		align-items: center;
		cursor: pointer;
	}
	summary h2::after {
		content: ' …';
	}
	details[open] summary h2::after {
		content: '';
	}
	.card select {
		min-height: 3rem;
		font-size: 1.0625rem;
		margin-bottom: 0.375rem;
	}
	.label {
		display: grid;
		grid-template-columns: 1fr auto;
		gap: 0.5rem;
		align-items: end;
		margin-top: 1.25rem;
	}
	.label input {
		min-height: 3rem;
		width: 100%;
	}
	.label .btn {
		min-height: 3rem;
	}
	.label p {
		grid-column: 1 / -1;
	}
	.foot {
		margin-top: 1.5rem;
	}
</style>
