<script module lang="ts">
	import { countedMarks, countOf } from '$lib/core/subjects/plates/photo-grid';
	import type { PlatePicture } from '$lib/core/subjects/plates/photos';
	import type { PlateSheet } from '$lib/core/subjects/plates/shelf';
	import type { Writer } from '../entry/writer';
	import type { Camera } from './camera';

	export interface Props {
		id: string;
		plate: PlateSheet;
		picture: PlatePicture | null;
		camera: Camera;
		writer: Writer;
	}
</script>

<script lang="ts">
	import { stamp } from '../entry/writer';
	import { sameMarks } from '$lib/core/bacteria';
	import { countsApart, isHiddenFrom } from '$lib/core/subjects/plates/counted-by';
	import { plateStateWords, spoiledWords } from '$lib/core/subjects/plates/words';
	import { counted } from '$lib/core/wording';
	import PlatePhoto from './PlatePhoto.svelte';

	let { id, plate, picture, camera, writer }: Props = $props();

	const SAME = 0.012; // of the photo's width: half a large colony
	const at = (place: string) => `plates/${id}/${place}`;
	/** The first count stays hidden from whoever may count second; that they looked outlives a reload. */
	const isHidden = $derived(isHiddenFrom(camera.memberId, plate, picture, writer.drafts[at('shown')] === '1'));
	const isCounting = $derived(isHidden && writer.drafts[at('blind')] === '1');
	const mine = $derived(countOf(picture?.marks[camera.memberId], picture?.squares));
	const counts = $derived(picture?.counts ?? []);
	const apart = $derived(countsApart({ counts }));
	/** Whose marks are shown: one's own, else of whoever counted first. */
	const shownOf = $derived(counts.find((c) => c.by === camera.memberId)?.by ?? counts[0]?.by ?? camera.memberId);
	let isShowing = $state(false);
	/** What only one of the two who counted marked. */
	const ringed = $derived.by(() => {
		const [a, b] = counts.map(({ by }) => countedMarks(picture?.marks[by], picture?.squares));
		if (!a || !b) return [];
		const { onlyFirst, onlySecond } = sameMarks({ first: a, second: b, within: SAME });
		return [...onlyFirst.map((i) => a[i]!), ...onlySecond.map((j) => b[j]!)];
	});
	function again() {
		for (const place of ['count', 'squares', 'squaresCounted', 'spoiledBy', 'state', 'readAt'])
			writer.strike(at(place), 'read again');
	}
</script>

{#if isCounting && picture}
	<p class="small">Mark what you see. What was counted before stays hidden until you are done.</p>
	<PlatePhoto {picture} {camera} {writer} />
	<button
		type="button"
		class="btn preset-filled-primary-500"
		onclick={() => void writer.set(`platePhotos/${picture.id}/countedAt/${camera.memberId}`, stamp(writer))}
		>Done: {counted(mine, 'colony', 'colonies')}</button
	>
{:else if isHidden}
	<p>
		Counted by {counts.map(({ by }) => writer.initialsOf(by)).join(', ')} on its photo. Count it too without seeing theirs?
	</p>
	<p class="acts">
		<button type="button" class="btn preset-filled-primary-500" onclick={() => writer.draft(at('blind'), '1')}
			>Count it blind</button
		>
		<button type="button" class="btn preset-outlined-surface-500" onclick={() => writer.draft(at('shown'), '1')}
			>Show what was counted</button
		>
	</p>
{:else}
	<p class="acts">
		<span
			>{plate.state === undefined ? '' : plateStateWords[plate.state]}{plate.spoiledBy === undefined
				? ''
				: `: ${spoiledWords[plate.spoiledBy]}`}{plate.count === undefined
				? ''
				: `: ${counted(plate.count, 'colony', 'colonies')}`}{plate.squaresCounted === undefined
				? ''
				: ` in ${plate.squaresCounted} of ${plate.squares} squares`}</span
		>
		<button type="button" class="btn preset-outlined-surface-500" onclick={again}>Read again</button>
	</p>
	{#if apart}
		<p role="status">
			{counts.map(({ by, count }) => `${writer.initialsOf(by)} ${count}`).join(', ')}: {apart.apart_percent === 0
				? 'the same'
				: `${apart.apart_percent.toFixed(0)} % apart`}.
			{#each counts.filter(({ count }) => count !== plate.count) as { by, count } (by)}
				<button
					type="button"
					class="btn preset-outlined-surface-500"
					onclick={() => void writer.set(at('count'), count)}>Report {count} instead</button
				>
			{/each}
		</p>
	{/if}
	{#if picture}
		<button
			type="button"
			class="btn preset-outlined-surface-500"
			aria-expanded={isShowing}
			onclick={() => (isShowing = !isShowing)}
			>{apart ? `Where you differ: ${counted(ringed.length, 'colony', 'colonies')}` : 'The photo'}</button
		>
		{#if isShowing}<PlatePhoto {picture} {camera} by={shownOf} {ringed} {writer} isClosed />{/if}
	{/if}
{/if}

<style>
	.acts {
		display: flex;
		flex-wrap: wrap;
		align-items: center;
		gap: 0.5rem;
	}
	.btn {
		min-height: 3rem;
	}
</style>
