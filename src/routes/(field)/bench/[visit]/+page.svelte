<script lang="ts">
	import { v7 } from 'uuid';
	import { limitsOf } from '$lib/core/method';
	import { hasRainedMuch } from '$lib/core/observations';
	import { giverOf } from '$lib/core/subjects/bottle/giver';
	import { bottlesToPour, bottlesToReceive, isAllRead, onShelf } from '$lib/core/subjects/plates/shelf';
	import { stepsOf } from '$lib/core/subjects/steps';
	import { fixedBottles } from '$lib/core/subjects/titration/fixed';
	import { isHiddenFrom } from '$lib/core/subjects/plates/counted-by';
	import { pictureOf } from '$lib/core/subjects/plates/photos';
	import { counted } from '$lib/core/wording';
	import { keepPhoto } from '$lib/field/keep-photo';
	import { photoAddress, photoBytes } from '$lib/field/photos';
	import { simulatedThermometer } from '$lib/field/devices/thermometer-port';
	import { keepReading, strikeReading } from '$lib/field/stood-warm';
	import { VisitLog } from '$lib/field/visit-log.svelte';
	import { writerIn } from '$lib/field/visit-writer';
	import { mediumOn, suggestMarksOn } from '$lib/workers/colonies/suggest-marks.client';
	import type { Camera } from '$lib/ui/bench/camera';
	import { stamp } from '$lib/ui/entry/writer';
	import ClearAway from '$lib/ui/bench/ClearAway.svelte';
	import FillTubes from '$lib/ui/bench/FillTubes.svelte';
	import PourPlates from '$lib/ui/bench/PourPlates.svelte';
	import ReadTubes from '$lib/ui/bench/ReadTubes.svelte';
	import ReceiveBottle from '$lib/ui/bench/ReceiveBottle.svelte';
	import StoodWarm from '$lib/ui/bench/StoodWarm.svelte';
	import TitrateFixed from '$lib/ui/bench/TitrateFixed.svelte';
	import ReadPlate from '$lib/ui/bench/ReadPlate.svelte';
	import PartLost from '$lib/ui/frame/PartLost.svelte';
	import MeansNow from '$lib/ui/frame/MeansNow.svelte';
	import Doubts from '$lib/ui/logbook/Doubts.svelte';
	import { fieldApp } from '../../field-context';
	import Head from '../Head.svelte';
	import type { PageProps } from './$types';

	let { params }: PageProps = $props();

	const app = fieldApp();
	const log = $derived(
		new VisitLog(
			params.visit,
			() => app.packed,
			() => app.now_ms,
			() => app.otherBottles,
			false
		)
	);
	$effect(() => {
		void log.workOut();
		return log.follow();
	});
	const writer = $derived(writerIn(app, log));
	const sheet = $derived(log.folded.sheet);
	const limits = $derived(log.card ? limitsOf(log.card) : null);
	const plates = $derived(Object.entries(sheet.plates ?? {}));
	const isNothingElse = $derived(bottlesToPour(sheet).length === 0 && plates.length === 0);
	/** Open where there is nothing else to do; from then on as the hand left it, whatever comes to the visit meanwhile. */
	let leftOpen = $state<boolean>();
	const growing = $derived(limits ? plates.filter(([, p]) => onShelf(p, limits, app.now_ms) !== null) : []);
	const standing = $derived(
		growing.map(([name]) => ({ visit: { id: params.visit, sheet, lines: log.folded.lines }, name }))
	);
	const thermometer = $derived(
		app.packed?.satchel.program.isDemo ? simulatedThermometer(() => writer.exactly_ms()) : null
	);
	const memberId = $derived(app.packed?.satchel.member.id ?? '');
	const camera = $derived<Camera>({
		memberId,
		keep: (file) => keepPhoto(file, params.visit),
		address: photoAddress,
		find: async (sha256) => suggestMarksOn(await photoBytes(sha256)),
		medium: async (sha256) => mediumOn(await photoBytes(sha256)),
		newId: () => v7()
	});
	const pictures = $derived(new Map(plates.map(([id]) => [id, pictureOf(id, sheet)])));
	/** What the plates say together would tell a count that is hidden. */
	const isHidden = $derived(
		plates.some(([id, plate]) =>
			isHiddenFrom(memberId, plate, pictures.get(id) ?? null, writer.drafts[`plates/${id}/shown`] === '1')
		)
	);
	/** Steps of the card whose bottles were fixed: those may be titrated at home. */
	const titrationSteps = $derived(
		(log.card ? stepsOf(log.card, 'titration') : []).filter((step) =>
			step.bottles.some((b) => sheet.titrations?.[b.id]?.fixedAt !== undefined)
		)
	);
	const fixed = $derived(fixedBottles(sheet.titrations, titrationSteps));
	const tubes = $derived(Object.entries(sheet.growthTubes ?? {}));
	const usual = $derived(log.site?.usual['e-coli'] ?? null);
	/** Doubts about the plates and titrations, and about how the bottles came to them. */
	const flags = $derived(
		(log.outcome?.flags ?? []).filter(({ path }) => {
			const [branch, id = ''] = path.split('/');
			const bottle = branch === 'bottles' ? sheet.bottles?.[id] : undefined;
			return (
				branch === 'plates' ||
				branch === 'growthTubes' ||
				branch === 'titrations' ||
				bottle?.kind === 'bacteria' ||
				bottle?.received !== undefined
			);
		})
	);
</script>

<svelte:head><title>Bottles and plates of {log.site?.name ?? ''} · Keen Riffle</title></svelte:head>

<Head {app}><b>{log.site?.name ?? ''}</b> <small>{log.site?.about ?? ''}</small></Head>
<main>
	<h1>Bottles and plates</h1>
	{#if app.isPartLost && log.outcome}<PartLost isKept onread={app.partLostRead} />{:else if log.isPartLost}<PartLost
		/>{/if}
	{#if log.entries && log.drafts && log.card && limits && app.packed && log.outcome}
		{#if bottlesToReceive(sheet).length}
			<details bind:open={() => leftOpen ?? isNothingElse, (isOpen) => (leftOpen = isOpen)}>
				<summary>Take in {counted(bottlesToReceive(sheet).length, 'bottle')}: how they came</summary>
				<div class="came">
					{#each bottlesToReceive(sheet) as bottle (bottle)}
						<ReceiveBottle
							id={bottle}
							bottle={sheet.bottles![bottle]!}
							card={log.card}
							trip={log.around.trip}
							from={giverOf(sheet, app.packed.satchel.member.name, app.packed.satchel.people)}
							to={app.packed.satchel.member.name}
							{writer}
						/>
					{/each}
				</div>
			</details>
		{/if}
		{#each titrationSteps as step (step.id)}
			<TitrateFixed
				{step}
				{sheet}
				left={fixed.filter((f) => f.step.id === step.id).length}
				isThirdAsked={log.outcome.flags.some((f) => f.code === 'titrations-apart')}
				beginsOpen={bottlesToPour(sheet).length === 0}
				{writer}
			/>
		{/each}
		{#if titrationSteps.length}
			<MeansNow
				screen={{ outcome: log.outcome, satchel: app.packed.satchel, card: log.card, now_ms: app.now_ms }}
				parameters={['dissolved-oxygen']}
				results={log.outcome.determinations}
			/>
		{/if}
		{#each bottlesToPour(sheet) as bottle (bottle)}
			<PourPlates
				{bottle}
				label={sheet.bottles?.[bottle]?.label ?? bottle}
				isBlank={sheet.bottles?.[bottle]?.role === 'blank'}
				taken={plates.map(([id]) => id)}
				{usual}
				hasRained={hasRainedMuch(sheet.conditions)}
				{limits}
				{writer}
			/>
			<details>
				<summary>Into tubes or wells instead</summary>
				<FillTubes {bottle} label={sheet.bottles?.[bottle]?.label ?? bottle} taken={tubes.map(([id]) => id)} {writer} />
			</details>
		{/each}
		{#if growing.length}
			<StoodWarm
				plates={growing.map(([, plate]) => plate)}
				{limits}
				{thermometer}
				now_ms={app.now_ms}
				timeZone={writer.timeZone}
				onread={(read) => void keepReading(app, standing, { at: stamp(writer), ...read })}
				onstrike={(at_ms) => void strikeReading(app, standing, at_ms)}
			/>
		{/if}
		{#each plates as [id, plate] (id)}
			<ReadPlate
				{id}
				{plate}
				stands={onShelf(plate, limits, app.now_ms)}
				{limits}
				picture={pictures.get(id) ?? null}
				{camera}
				{writer}
			/>
		{/each}
		{#each tubes as [id, set] (id)}
			<ReadTubes {id} {set} {limits} now_ms={app.now_ms} {writer} />
		{/each}
		{#if isHidden}
			<p class="small">What the plates say together is shown once you have counted, or asked to see.</p>
		{:else}
			<Doubts {flags} card={log.card} onretype={() => undefined} />
			<MeansNow
				screen={{ outcome: log.outcome, satchel: app.packed.satchel, card: log.card, now_ms: app.now_ms }}
				parameters={['e-coli']}
			/>
		{/if}
		{#if plates.length === 0 && tubes.length === 0 && bottlesToPour(sheet).length === 0 && titrationSteps.length === 0}
			<p>No bottle of this visit was filled for bacteria.</p>
		{/if}
		{#if isAllRead(sheet)}
			<ClearAway cleared={sheet.plateClearing} bleach_min={limits.plateBleach_min} {writer} />
		{/if}
	{:else if log.entries?.length === 0}
		<p class="say ask">This visit is not on this device. With a network it comes by itself.</p>
	{/if}
</main>

<style>
	summary {
		min-height: 3rem;
		padding: 0.75rem 0;
		font-weight: 600;
		cursor: pointer;
	}
	.came {
		display: grid;
		gap: 0.75rem;
	}
	main {
		display: grid;
		gap: 0.75rem;
		max-width: 36rem;
		margin: 0 auto;
		padding: 1rem;
	}
</style>
