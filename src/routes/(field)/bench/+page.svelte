<script lang="ts">
	import { limitsOf } from '$lib/core/method';
	import { heldFor_h } from '$lib/core/custody';
	import { receptionWords } from '$lib/core/subjects/bottle/reception-words';
	import { tubesOnShelf } from '$lib/core/subjects/growth-tubes/shelf';
	import { bottlesToPour, bottlesToReceive, isDue, onShelf, type OnShelf } from '$lib/core/subjects/plates/shelf';
	import { stepsOf } from '$lib/core/subjects/steps';
	import { fixedBottles } from '$lib/core/subjects/titration/fixed';
	import { sayNext, stageWords } from '$lib/core/subjects/plates/words';
	import { sayDuration } from '$lib/core/wording';
	import { BenchShelf } from '$lib/field/bench-shelf.svelte';
	import FindBottle from '$lib/ui/bench/FindBottle.svelte';
	import { simulatedThermometer } from '$lib/field/devices/thermometer-port';
	import { keepInVisits, type InVisits } from '$lib/field/keep-in-visits';
	import { keepReading, strikeReading } from '$lib/field/stood-warm';
	import { deviceNow_ms } from '$lib/field/device-clock';
	import StoodWarm from '$lib/ui/bench/StoodWarm.svelte';
	import ShelfLine from '$lib/ui/bench/ShelfLine.svelte';
	import { whenPainted } from '$lib/ui/after-paint.svelte';
	import { fieldApp } from '../field-context';
	import PartLost from '$lib/ui/frame/PartLost.svelte';
	import FieldNote from '../FieldNote.svelte';

	const app = fieldApp();
	const shelf = new BenchShelf(() => app.packed);
	$effect(() => shelf.follow());
	/** What is read and poured comes first. */
	let isPainted = $state(false);
	$effect(() => {
		if (app.packed) whenPainted(() => (isPainted = true));
	});

	const HOUR_ms = 3_600_000;
	const waiting = $derived(
		shelf.visits
			.flatMap((v) =>
				bottlesToPour(v.sheet).map((bottle) => ({
					visit: v,
					bottle,
					label: v.sheet.bottles?.[bottle]?.label ?? bottle,
					held_h: heldFor_h(Date.parse(v.sheet.bottles?.[bottle]?.filledAt ?? ''), app.now_ms)
				}))
			)
			.toSorted((a, b) => b.held_h - a.held_h)
	);
	let isPouring = $state(false);
	/** Fetched when it is first opened; who was taken out stays so. */
	let wasPouring = $state(false);
	const toPour = $derived(
		waiting.map(({ visit, bottle, label }) => ({
			visitId: visit.id,
			bottle,
			label,
			siteName: visit.siteName,
			isBlank: visit.sheet.bottles?.[bottle]?.role === 'blank',
			taken: Object.keys(visit.sheet.plates ?? {}),
			usual: visit.usual,
			limits: limitsOf(visit.card)
		}))
	);
	function pour(poured: InVisits) {
		isPouring = false;
		void keepInVisits(app, poured);
	}
	const labelled = $derived(
		shelf.visits.flatMap((v) =>
			Object.entries(v.sheet.bottles ?? {}).flatMap(([id, { label, filledAt, received }]) => {
				if (label === undefined || filledAt === undefined) return [];
				const isExpected = bottlesToReceive(v.sheet).includes(id);
				const came = received?.verdict ? receptionWords[received.verdict] : 'here already';
				return [{ label, visitId: v.id, siteName: v.siteName, standing: isExpected ? 'not taken in yet' : came }];
			})
		)
	);
	/** Plates of one bottle are of one age and read in one go. */
	const standing = $derived(
		shelf.visits
			.flatMap((visit) => {
				const batches = new Map<string, { stands: OnShelf; names: string[] }>();
				for (const [name, plate] of Object.entries(visit.sheet.plates ?? {})) {
					const stands = onShelf(plate, limitsOf(visit.card), app.now_ms);
					const key = `${visit.id} ${plate.bottle} ${stands?.stage}`;
					if (stands) batches.set(key, { stands, names: [...(batches.get(key)?.names ?? []), name] });
				}
				return [...batches].map(([id, batch]) => ({ id, visit, ...batch, label: labelOf(batch.names) }));
			})
			.toSorted((a, b) => b.stands.age_h - a.stands.age_h)
	);
	/** `EB2-261127-B-1, -2`: the bottle's label once. */
	const labelOf = ([first = '', ...others]: readonly string[]) =>
		[first, ...others.map((name) => name.slice(name.lastIndexOf('-')))].join(', ');
	/** Tubes have hours of their own: they stand in the lists, and not on the line of the plates. */
	const inTubes = $derived(
		shelf.visits.flatMap((visit) =>
			Object.entries(visit.sheet.growthTubes ?? {}).flatMap(([name, set]) => {
				const stands = tubesOnShelf(set, limitsOf(visit.card), app.now_ms);
				return stands ? [{ id: `${visit.id} ${name}`, visit, stands, label: `Tubes ${name}` }] : [];
			})
		)
	);
	/** Oxygen that was fixed at the stream and came home: the one whose time ends first stands first. */
	const fixed = $derived(
		shelf.visits
			.flatMap((visit) =>
				fixedBottles(visit.sheet.titrations, stepsOf(visit.card, 'titration')).map((bottle) => ({ visit, ...bottle }))
			)
			.toSorted((a, b) => a.last_ms - b.last_ms)
	);
	const growing = $derived([...standing, ...inTubes]);
	const now = $derived(growing.filter((p) => isDue(p.stands.stage)));
	const later = $derived(growing.filter((p) => !isDue(p.stands.stage)));
	/** All that stand in the warm: their thermometer is read once for all of them. */
	const warm = $derived(
		shelf.visits.flatMap((visit) =>
			Object.entries(visit.sheet.plates ?? {})
				.filter(([, plate]) => onShelf(plate, limitsOf(visit.card), app.now_ms) !== null)
				.map(([name, plate]) => ({ visit, name, plate }))
		)
	);
	const exactly_ms = () => deviceNow_ms(app.packed);
	/** Cards differ in their limits: the line is drawn by those of the plate that is oldest. */
	const limits = $derived(standing[0] ? limitsOf(standing[0].visit.card) : null);
</script>

<svelte:head><title>Bench · Keen Riffle</title></svelte:head>

<header class="top">
	<div>
		<h1>Bench</h1>
		{#if app.packed}<small>{app.packed.satchel.member.name}, {app.packed.satchel.program.name}</small>{/if}
	</div>
	<FieldNote {app} />
</header>
<main>
	{#if app.isPartLost}<PartLost onread={app.partLostRead} />{/if}
	{#if !app.isOpen}
		<p>Opening …</p>
	{:else if !app.packed}
		{#await import('../NothingPacked.svelte') then { default: NothingPacked }}<NothingPacked
				{app}
				to="/bench"
			/>{/await}
	{:else}
		{#if limits}<ShelfLine plates={standing} {limits} />{/if}
		<FindBottle bottles={labelled} />
		<section aria-label="To be read now">
			<h2 class="ruled">Read now</h2>
			<ul>
				{#each now as p (p.id)}
					<li>
						<span><b>{p.label}</b> {stageWords[p.stands.stage].name}, {sayDuration(p.stands.age_h * HOUR_ms)} old</span>
						<a class="btn preset-filled-primary-500" href="/bench/{p.visit.id}"
							>Read<span class="visually-hidden"> {p.label}</span></a
						>
					</li>
				{:else}<li>{growing.length ? 'Nothing is ready.' : 'No plate stands on the shelf.'}</li>{/each}
			</ul>
		</section>
		{#if limits}
			<StoodWarm
				plates={warm.map((w) => w.plate)}
				{limits}
				thermometer={app.packed.satchel.program.isDemo ? simulatedThermometer(exactly_ms) : null}
				now_ms={app.now_ms}
				timeZone={app.packed.satchel.program.timeZone}
				onread={(read) => void keepReading(app, warm, { at: new Date(exactly_ms()).toISOString(), ...read })}
				onstrike={(at_ms) => void strikeReading(app, warm, at_ms)}
			/>
		{/if}
		{#if fixed.length}
			<section aria-label="Fixed bottles to titrate">
				<h2 class="ruled">Titrate</h2>
				<ul>
					{#each fixed as f (`${f.visit.id} ${f.id}`)}
						<li>
							<span
								><b>Oxygen, {f.label} bottle</b>
								{f.visit.siteName}, {f.last_ms > app.now_ms
									? `within ${sayDuration(f.last_ms - app.now_ms)}`
									: `${sayDuration(app.now_ms - f.last_ms)} past its time: titrate it all the same, and it is flagged`}</span
							>
							<a class="btn preset-filled-primary-500" href="/bench/{f.visit.id}"
								>Titrate<span class="visually-hidden"> the {f.label} bottle of {f.visit.siteName}</span></a
							>
						</li>
					{/each}
				</ul>
			</section>
		{/if}
		<section aria-label="Bottles to pour">
			<h2 class="ruled">Pour</h2>
			<ul>
				{#each waiting as w (`${w.visit.id} ${w.bottle}`)}
					<li>
						<span><b>{w.label}</b> {w.visit.siteName}, filled {sayDuration(w.held_h * HOUR_ms)} ago</span>
						<a class="btn preset-outlined-primary-500" href="/bench/{w.visit.id}"
							>Pour<span class="visually-hidden"> {w.label}</span></a
						>
					</li>
				{:else}<li>
						No bottle for bacteria waits. They come here once a crew has filled them and its phone has a network.
					</li>{/each}
			</ul>
			{#if waiting.length > 1}
				<details bind:open={isPouring} ontoggle={(e) => (wasPouring ||= e.currentTarget.open)}>
					<summary>Pour several in one go</summary>
					{#if wasPouring}
						{#await import('$lib/ui/bench/PourSeveral.svelte') then { default: PourSeveral }}
							<PourSeveral bottles={toPour} now_ms={exactly_ms} onpour={pour} />
						{/await}
					{/if}
				</details>
			{/if}
		</section>
		{#if later.length}
			<section aria-label="Growing">
				<h2 class="ruled">Growing</h2>
				<ul>
					{#each later as p (p.id)}
						<li>
							<span
								><b>{p.label}</b>
								{stageWords[p.stands.stage].name}{sayNext(p.stands)}</span
							>
							<a class="btn preset-outlined-surface-500" href="/bench/{p.visit.id}"
								>Open<span class="visually-hidden"> {p.label}</span></a
							>
						</li>
					{/each}
				</ul>
			</section>
		{/if}
		{#if app.packed.satchel.member.mayShip}
			{#if isPainted}
				{#await import('./BoxesLink.svelte') then { default: BoxesLink }}
					<BoxesLink {app} memberId={app.packed.satchel.member.id} {shelf} />
				{/await}
			{/if}
		{/if}
		<p class="small"><a href="/today" data-sveltekit-reload>To the office</a></p>
	{/if}
</main>

<style>
	.top {
		display: flex;
		justify-content: space-between;
		align-items: center;
		padding: 0.375rem 1rem;
		background: var(--paper-2);
		border-bottom: 1px solid var(--rule);
	}
	main {
		display: grid;
		gap: 1rem;
		max-width: 52rem;
		margin: 0 auto;
		padding: 1rem;
	}
	li {
		display: flex;
		justify-content: space-between;
		align-items: center;
		gap: 0.75rem;
		padding: 0.375rem 0;
		border-bottom: 1px solid var(--rule);
	}
	summary {
		min-height: 3rem;
		padding: 0.75rem 0;
		cursor: pointer;
	}
	li .btn {
		min-height: 3rem;
		display: inline-grid;
		align-items: center;
	}
</style>
