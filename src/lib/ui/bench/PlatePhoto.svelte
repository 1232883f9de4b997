<script module lang="ts">
	import type { MarkPlace } from '$lib/core/bacteria';
	import type { Mark } from '$lib/core/subjects/plates/branch';
	import { countOf, type PlatePicture } from '$lib/core/subjects/plates/photos';
	import { silentWords } from '$lib/core/subjects/plates/words';
	import type { Writer } from '../entry/writer';
	import type { Camera } from './camera';

	export interface Props {
		picture: PlatePicture;
		camera: Camera;
		/** Marks that only one of two people made: ringed, and not to be touched. */
		ringed?: readonly MarkPlace[];
		/** It is looked at, and no more marked. */
		isClosed?: boolean;
		writer: Writer;
	}
	const zooms = [1, 2, 4] as const;
</script>

<script lang="ts">
	import { untrack } from 'svelte';
	import { counted } from '$lib/core/wording';

	let { picture: of, camera, ringed = [], isClosed = false, writer }: Props = $props();

	const NEAR_px = 10; // a tap this near a mark means the mark
	const STEP = 0.01;
	let zoom = $state<(typeof zooms)[number]>(1);
	let kind = $state<Mark['kind']>('counts');
	let chosen = $state<string | null>(null);
	let isMoving = $state(false);
	let pencil = $state<MarkPlace[]>([]);
	let said = $state('');
	let isBusy = $state(false);
	let picture = $state<HTMLElement>();
	const mine = $derived(of.marks[camera.memberId] ?? {});
	/** Where the arrow keys stand. */
	let cross = $state<MarkPlace | null>(null);
	let src = $state<string | null>(null);
	const name = $derived(of.sha256);
	/** Once for each photo: it must not be drawn anew under a finger because a mark was kept. */
	$effect(() => {
		const asked = name;
		let isGone = false;
		void untrack(() => camera.address(asked)).then((address) => {
			if (isGone) URL.revokeObjectURL(address);
			else src = address;
		});
		return () => {
			isGone = true;
			if (src) URL.revokeObjectURL(src);
		};
	});
	const base = $derived(`platePhotos/${of.id}/marks/${camera.memberId}`);
	const counting = $derived(countOf(mine));
	const others = $derived(Object.keys(mine).length - counting);

	function at(place: MarkPlace) {
		const box = picture!.getBoundingClientRect();
		const apart = (m: MarkPlace) => Math.hypot((m.x - place.x) * box.width, (m.y - place.y) * box.height);
		const nearest = <T extends MarkPlace>(marks: T[]) =>
			marks.filter((m) => apart(m) < NEAR_px).toSorted((a, b) => apart(a) - apart(b))[0];
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
	function tapped(event: MouseEvent) {
		if (isClosed) return;
		const box = picture!.getBoundingClientRect();
		const place = { x: (event.clientX - box.left) / box.width, y: (event.clientY - box.top) / box.height };
		if (place.x >= 0 && place.x <= 1 && place.y >= 0 && place.y <= 1) at(place);
	}
	function byKey(event: KeyboardEvent) {
		const ways: Record<string, [number, number]> = {
			ArrowLeft: [-1, 0],
			ArrowRight: [1, 0],
			ArrowUp: [0, -1],
			ArrowDown: [0, 1]
		};
		const way = ways[event.key];
		if (isClosed || (!way && event.key !== 'Enter')) return;
		event.preventDefault();
		cross ??= { x: 0.5, y: 0.5 };
		if (!way) return at(cross);
		const step = event.shiftKey ? 5 * STEP : STEP;
		const within = (n: number) => Math.min(1, Math.max(0, n));
		cross = { x: within(cross.x + way[0] * step), y: within(cross.y + way[1] * step) };
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
				pencil = found.marks.filter((p) => Object.values(mine).every((m) => Math.hypot(m.x - p.x, m.y - p.y) > STEP));
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

<div class="frame" class:zoomed={zoom > 1}>
	<!-- marks are made on it, by tap and by key -->
	<!-- svelte-ignore a11y_no_noninteractive_tabindex, a11y_no_noninteractive_element_interactions -->
	<div
		class="picture"
		style="width: {zoom * 100}%"
		role="application"
		tabindex={isClosed ? undefined : 0}
		aria-label="Photo of the plate. Arrow keys move the cross, Enter marks."
		bind:this={picture}
		onclick={tapped}
		onkeydown={byKey}
	>
		{#if src}<img {src} alt="" draggable="false" />{/if}
		{#each pencil as p (`${p.x} ${p.y}`)}<i class="pencil" style="left: {p.x * 100}%; top: {p.y * 100}%"></i>{/each}
		{#each Object.entries(mine) as [key, m] (key)}
			<i
				class={['mark', m.kind]}
				class:chosen={chosen === key}
				style="left: {m.x * 100}%; top: {m.y * 100}%"
				data-mark={m.kind}
			></i>
		{/each}
		{#each ringed as r (`${r.x} ${r.y}`)}<i class="ring" style="left: {r.x * 100}%; top: {r.y * 100}%"></i>{/each}
		{#if cross}<i class="cross" style="left: {cross.x * 100}%; top: {cross.y * 100}%"></i>{/if}
	</div>
</div>
<p class="tally" role="status">
	<b>{counting}</b>
	{counting === 1 ? 'colony' : 'colonies'} marked{others
		? `, ${counted(others, 'of another kind', 'of other kinds')}`
		: ''}
</p>
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
	.frame {
		overflow: hidden;
		border: 1px solid var(--rule);
		background: var(--paper-2);
	}
	.frame.zoomed {
		overflow: auto;
		max-height: 70vh;
	}
	.picture {
		position: relative;
		cursor: crosshair;
		touch-action: manipulation;
	}
	img {
		display: block;
		width: 100%;
		user-select: none;
	}
	/* as large as a colony is in the photo, and never too small to see */
	i {
		position: absolute;
		width: max(0.5rem, 1.5%);
		aspect-ratio: 1;
		translate: -50% -50%;
		border-radius: 50%;
		pointer-events: none;
	}
	.mark {
		border: 2px solid var(--on-photo);
		outline: 1px solid var(--on-photo-dark);
	}
	.mark.other {
		border-radius: 0;
		border-color: var(--on-photo-light);
	}
	.mark.chosen {
		outline: 4px solid var(--on-photo-light);
	}
	.pencil {
		border: 1.5px dashed var(--on-photo-dark);
		outline: 1px solid color-mix(in srgb, var(--on-photo-light) 60%, transparent);
	}
	.ring {
		width: max(1rem, 3%);
		border: 3px dotted var(--on-photo-ring);
		outline: 1.5px solid var(--on-photo-light);
	}
	.cross {
		width: 1.125rem;
		border-radius: 0;
		border: none;
		background:
			linear-gradient(var(--on-photo-dark), var(--on-photo-dark)) center / 2px 100% no-repeat,
			linear-gradient(var(--on-photo-dark), var(--on-photo-dark)) center / 100% 2px no-repeat;
		outline: 1px solid var(--on-photo-light);
	}
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
