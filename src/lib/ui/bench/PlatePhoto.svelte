<script module lang="ts">
	import type { MarkPlace } from '$lib/core/bacteria';
	import type { Mark } from '$lib/core/subjects/plates/branch';
	import { countOf, isCountedAt } from '$lib/core/subjects/plates/photo-grid';
	import type { PlatePicture } from '$lib/core/subjects/plates/photos';
	import { silentWords } from '$lib/core/subjects/plates/words';
	import type { Writer } from '../entry/writer';
	import type { Camera } from './camera';

	export interface Props {
		picture: PlatePicture;
		camera: Camera;
		/** Whose marks are shown; left out: of the person who counts. */
		by?: string;
		/** Marks that only one of two people made: ringed, and not to be touched. */
		ringed?: readonly MarkPlace[];
		/** Its plate is not read yet: a grid can be laid over it. */
		mayLay?: boolean;
		/** It is looked at, and no more marked. */
		isClosed?: boolean;
		writer: Writer;
	}
	const zooms = [1, 2, 4] as const;
</script>

<script lang="ts">
	import { counted } from '$lib/core/wording';
	import GridOnPhoto from './GridOnPhoto.svelte';
	import MarkedPhoto from './MarkedPhoto.svelte';

	let {
		picture: of,
		camera,
		by = camera.memberId,
		ringed = [],
		mayLay = false,
		isClosed = false,
		writer
	}: Props = $props();

	const NEAR_px = 10; // a tap this near a mark means the mark
	const SAME = 0.01; // of the photo: what is suggested here is marked already
	let zoom = $state<(typeof zooms)[number]>(1);
	let kind = $state<Mark['kind']>('counts');
	let chosen = $state<string | null>(null);
	let isMoving = $state(false);
	let pencil = $state<MarkPlace[]>([]);
	let said = $state('');
	let isBusy = $state(false);
	const mine = $derived(of.marks[by] ?? {});
	const base = $derived(`platePhotos/${of.id}/marks/${by}`);
	const counting = $derived(countOf(mine, of.squares));
	const others = $derived(Object.values(mine).filter((m) => m.kind === 'other').length);
	const beside = $derived(Object.keys(mine).length - counting - others);

	function at(place: MarkPlace, apart_px: (mark: MarkPlace) => number) {
		const nearest = <T extends MarkPlace>(marks: T[]) =>
			marks.filter((m) => apart_px(m) < NEAR_px).toSorted((a, b) => apart_px(a) - apart_px(b))[0];
		if (isMoving && chosen) {
			void writer.set(`${base}/${chosen}`, { ...mine[chosen]!, ...place });
			isMoving = false;
			return;
		}
		const there = nearest(Object.entries(mine).map(([key, { x, y }]) => ({ key, x, y })));
		if (there) {
			chosen = chosen === there.key ? null : there.key;
			return;
		}
		const guess = nearest(pencil);
		if (guess) confirm([guess]);
		else put([place], kind);
	}
	function put(places: MarkPlace[], as: Mark['kind']) {
		chosen = null;
		void writer.setAll(Object.fromEntries(places.map(({ x, y }) => [`${base}/${camera.newId()}`, { x, y, kind: as }])));
	}
	function confirm(places: MarkPlace[]) {
		pencil = pencil.filter((p) => !places.includes(p));
		if (pencil.length === 0) said = '';
		put(places, 'counts');
	}
	function strike(key: string) {
		writer.strike(`${base}/${key}`, 'no colony');
		chosen = null;
	}
	/** Ids of marks begin with their time, so the last in order is the last made. */
	const last = $derived(Object.keys(mine).toSorted().at(-1));

	async function suggest() {
		isBusy = true;
		said = '';
		try {
			const found = await camera.find(of.sha256);
			if ('silent' in found) said = silentWords[found.silent];
			else {
				pencil = found.marks.filter(
					(p) => isCountedAt(p, of.squares) && Object.values(mine).every((m) => Math.hypot(m.x - p.x, m.y - p.y) > SAME)
				);
				said = pencil.length
					? `${counted(pencil.length, 'spot')} that may be colonies, in pencil. None counts until you confirm it.`
					: 'It sees nothing that is not marked yet.';
			}
		} catch {
			said = 'The photo could not be read for this. Mark by hand.';
		}
		isBusy = false;
	}
</script>

<MarkedPhoto
	sha256={of.sha256}
	address={camera.address}
	{zoom}
	marks={mine}
	{chosen}
	{pencil}
	{ringed}
	grid={of.grid}
	squares={of.squares}
	onplace={isClosed ? null : at}
/>
<p class="tally" role="status">
	<b>{counting}</b>
	{counting === 1 ? 'colony' : 'colonies'} marked{by === camera.memberId ? '' : ` by ${writer.initialsOf(by)}`}{others
		? `, ${counted(others, 'of another kind', 'of other kinds')}`
		: ''}{beside ? `, ${counted(beside, 'mark')} beside the squares, not counted` : ''}
</p>
{#if !isClosed && mayLay}<GridOnPhoto {of} {counting} {camera} {writer} />{/if}
<div class="acts" role="group" aria-label="How the photo is shown and marked">
	{#each zooms as z (z)}
		<button
			type="button"
			class={['btn', zoom === z ? 'preset-filled-primary-500' : 'preset-outlined-surface-500']}
			aria-pressed={zoom === z}
			onclick={() => (zoom = z)}>{z}×</button
		>
	{/each}
	{#if !isClosed}
		<button
			type="button"
			class={['btn', kind === 'other' ? 'preset-filled-primary-500' : 'preset-outlined-surface-500']}
			aria-pressed={kind === 'other'}
			onclick={() => (kind = kind === 'other' ? 'counts' : 'other')}>Other kind</button
		>
		<button type="button" class="btn preset-outlined-surface-500" disabled={!last} onclick={() => strike(last!)}
			>Last mark back</button
		>
	{/if}
</div>
{#if !isClosed}
	{#if chosen}
		<p class="acts">
			<button type="button" class="btn preset-outlined-primary-500" onclick={() => strike(chosen!)}
				>Strike this mark</button
			>
			<button
				type="button"
				class={['btn', isMoving ? 'preset-filled-primary-500' : 'preset-outlined-surface-500']}
				aria-pressed={isMoving}
				onclick={() => (isMoving = !isMoving)}>{isMoving ? 'Tap where it goes' : 'Move it'}</button
			>
		</p>
	{/if}
	<p class="acts">
		<button type="button" class="btn preset-outlined-surface-500" aria-busy={isBusy} disabled={isBusy} onclick={suggest}
			>{isBusy ? 'Looking …' : 'Suggest marks'}</button
		>
		{#if pencil.length}
			<button type="button" class="btn preset-outlined-surface-500" onclick={() => confirm(pencil)}
				>I looked: confirm {pencil.length}</button
			>
			<button type="button" class="btn preset-outlined-surface-500" onclick={() => ((pencil = []), (said = ''))}
				>Rub them out</button
			>
		{/if}
	</p>
	{#if said}<p class="small" role="status">{said}</p>{/if}
{/if}

<style>
	.acts {
		display: flex;
		flex-wrap: wrap;
		gap: 0.375rem;
	}
	.btn {
		min-height: 3rem;
	}
	.tally b {
		font: 600 1.75rem var(--head);
	}
</style>
