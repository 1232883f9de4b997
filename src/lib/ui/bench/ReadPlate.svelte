<script module lang="ts">
	import type { Limits } from '$lib/core/method';
	import type { OnShelf, PlateSheet } from '$lib/core/subjects/plates/shelf';
	import type { PlatePicture } from '$lib/core/subjects/plates/photos';
	import type { Writer } from '../entry/writer';
	import type { Camera } from './camera';

	export interface Props {
		id: string;
		plate: PlateSheet;
		/** Null once it was read. */
		stands: OnShelf | null;
		limits: Limits;
		/** Its photo, where one was taken. */
		picture: PlatePicture | null;
		camera: Camera;
		writer: Writer;
	}
</script>

<script lang="ts">
	import { readPlain, readWhole, writeNumber } from '$lib/core/quantity';
	import { temperature_C } from '$lib/core/leaf';
	import { countOf, SQUARES_OF_MEDIUM } from '$lib/core/subjects/plates/photo-grid';
	import { typedGrid } from '$lib/core/subjects/plates/squares';
	import type { plateStates, spoiledBy } from '$lib/core/subjects/plates/branch';
	import { plateStateWords, spoiledWords, sayNext, stageWords } from '$lib/core/subjects/plates/words';
	import { counted, sayDuration } from '$lib/core/wording';
	import { stamp } from '../entry/writer';
	import OneOf from '../kit/OneOf.svelte';
	import CountByHand from './CountByHand.svelte';
	import CountedPlate from './CountedPlate.svelte';
	import PlatePhoto from './PlatePhoto.svelte';
	import SomeSquares from './SomeSquares.svelte';
	import TakePlatePhoto from './TakePlatePhoto.svelte';

	let { id, plate, stands, limits, picture, camera, writer }: Props = $props();

	const HOUR_ms = 3_600_000;
	const at = (place: string) => `plates/${id}/${place}`;
	let found = $state<(typeof plateStates)[number]>('counted');
	let said = $state<(typeof spoiledBy)[number] | null>(null);
	/** One that nobody read in time has its reason already, until the hand gives another. */
	const why = $derived(said ?? (stands?.stage === 'too-old' ? 'tooOld' : null));
	/** What is typed and not kept yet. */
	const drafted = (place: string) => writer.drafts[at(place)] ?? '';
	/** Of what was marked on the photo, where there is one; else of what was tapped or typed. */
	const taps = $derived(
		picture ? countOf(picture.marks[camera.memberId], picture.squares) : readWhole(drafted('count'))
	);
	let coldest = $state('');
	const temperature = $derived.by(() => {
		const read = readPlain(coldest);
		return temperature_C.safeParse(read).success ? read : null;
	});
	const cold = $derived.by(() => {
		if (coldest.trim() === '') return null;
		if (temperature === null) return 'A temperature in °C, like 24.5.';
		return temperature < limits.plateLeastTemperature_C
			? `Under ${writeNumber(limits.plateLeastTemperature_C)} °C plates grow too slowly for the clock.`
			: null;
	});
	/** Of a grid, where only some of its squares are counted: drawn on the photo, or typed. */
	const grid = $derived.by(() => {
		if (found !== 'counted') return 'none';
		if (picture?.squares) return { squares: SQUARES_OF_MEDIUM, squaresCounted: picture.squares.length };
		return picture ? 'none' : typedGrid(drafted('squares'), drafted('squaresCounted'));
	});
	const isGridClear = $derived(grid === 'none' || (grid !== 'begun' && !('why' in grid)));
	const isReady = $derived(
		isGridClear &&
			(found !== 'counted' || taps !== null) &&
			(found !== 'spoiled' || why !== null) &&
			(coldest.trim() === '' || temperature !== null)
	);

	function keep(event: SubmitEvent) {
		event.preventDefault();
		if (!isReady) return;
		void writer.setAll({
			...(found === 'counted' ? { [at('count')]: taps } : {}),
			...(typeof grid === 'object' && 'squares' in grid
				? { [at('squares')]: grid.squares, [at('squaresCounted')]: grid.squaresCounted }
				: {}),
			...(found === 'counted' && picture
				? { [`platePhotos/${picture.id}/countedAt/${camera.memberId}`]: stamp(writer) }
				: {}),
			...(found === 'spoiled' ? { [at('spoiledBy')]: why } : {}),
			...(temperature === null ? {} : { [at('temperature_C')]: temperature }),
			[at('state')]: found,
			[at('readAt')]: stamp(writer)
		});
		for (const place of ['count', 'squares', 'squaresCounted']) writer.draft(at(place), '');
	}
</script>

<article aria-label="Plate {id}">
	<p class="head"><b>{id}</b> {writeNumber(plate.volume_mL ?? 0)} mL{plate.isBlank ? ', blank' : ''}</p>
	{#if stands}
		<p class={['stage', stands.stage]} role="status">
			<b>{stageWords[stands.stage].name}</b>, {sayDuration(stands.age_h * HOUR_ms)} old{sayNext(stands)}. {stageWords[
				stands.stage
			].todo}
		</p>
		<form onsubmit={keep}>
			<OneOf label="How it is" words={plateStateWords} chosen={found} onchoose={(s) => (found = s)} />
			{#if found === 'counted'}
				<p class="small">
					Only colonies with the colour of the medium’s sheet for E. coli. {picture
						? 'Zoom in and tap each; a tap on a mark chooses it.'
						: 'Hold the plate to the light, mark each on the rim’s underside as you tap.'}
				</p>
				{#if picture}
					<PlatePhoto {picture} {camera} {writer} mayLay />
					<p>
						<button
							type="button"
							class="btn preset-outlined-surface-500"
							onclick={() => writer.strike(`platePhotos/${picture.id}/sha256`, 'counted without it')}
							>Count without the photo</button
						>
					</p>
				{:else}
					<TakePlatePhoto plate={id} {camera} {writer} />
					<SomeSquares plate={id} {writer} />
					<CountByHand plate={id} {writer} />
				{/if}
				{#if taps !== null && taps > limits.plateManyColonies}<p class="small">
						Over {limits.plateManyColonies} they run together: “too many to count” may be truer.
					</p>{/if}
			{:else if found === 'spoiled'}
				<OneOf label="What spoiled it" words={spoiledWords} chosen={why} onchoose={(by) => (said = by)} />
				<p class="small">
					No figure comes from it{why === 'contaminated' ? '; look at the others of this batch with suspicion' : ''}.
				</p>
			{/if}
			<label
				>Coldest where it stood, °C <input
					class="input"
					inputmode="decimal"
					autocomplete="off"
					bind:value={coldest}
					aria-invalid={cold !== null}
				/></label
			>
			{#if cold}<p class="small" role="status">{cold}</p>{/if}
			<button class="btn preset-filled-primary-500" disabled={!isReady}
				>Read now{picture && found === 'counted' ? `: ${counted(taps ?? 0, 'colony', 'colonies')}` : ''}</button
			>
		</form>
	{:else}
		<CountedPlate {id} {plate} {picture} {camera} {writer} />
	{/if}
</article>

<style>
	article,
	form {
		display: grid;
		gap: 0.375rem;
	}
	article {
		padding: 0.625rem 0.75rem;
		border: 1.5px solid var(--ink-3);
		background: var(--page);
	}
	.stage.readable {
		border-left: 4px solid var(--water-2);
		padding-left: 0.5rem;
	}
	.stage:is(.last-chance, .too-old) {
		border-left: 4px solid var(--danger);
		padding-left: 0.5rem;
	}
	:is(.btn, .input) {
		min-height: 3rem;
	}
	.input {
		width: 6rem;
	}
</style>
