<script module lang="ts">
	import type { GaugingView } from '$lib/core/subjects/gauging/view';
	import type { SectionUnits } from '$lib/core/subjects/gauging/units';

	export interface Props {
		view: GaugingView;
		units: SectionUnits;
		/** The vertical that is being typed. */
		activeId?: string | null;
		/** Where the next vertical would help most. */
		next_m?: number | null;
		onpick?: (verticalId: string) => void;
		/** A tap between two verticals, and a bed dragged to another depth; in the unit of the tape. */
		onadd?: (distance: number) => void;
		ondepth?: (verticalId: string, depth: number) => void;
	}
</script>

<script lang="ts">
	import { counted } from '$lib/core/wording';
	import { convert, writeFixed, writeNumber } from '$lib/core/quantity';
	import { Same } from './same';
	import { drawSection, type Strip } from './section-drawing';

	let { view, units, activeId = null, next_m = null, onpick, onadd, ondepth }: Props = $props();

	let width = $state(340);
	const height = $derived(width > 560 ? 270 : 160); // a phone needs room for the keys
	const drawing = $derived(drawSection(view, width, height, units.tape));
	const sameStrips = new Same<Strip>();
	const strips = $derived(drawing ? sameStrips.of(drawing.strips) : []);
	const NEAR_px = 13;
	const LEAST_DRAG_px = 5;
	let dragged = $state<{ id: string; from_y: number; y: number } | null>(null);
	const inTape = (m: number, step: number) =>
		Number((Math.round(convert(m, 'm', units.tape) / step) * step).toFixed(2));
	const step = $derived(units.tape === 'm' ? 0.05 : 0.1);

	const place = (event: PointerEvent | MouseEvent) => {
		const box = (event.currentTarget as SVGSVGElement).getBoundingClientRect();
		return { x: event.clientX - box.left, y: event.clientY - box.top };
	};
	function down(event: PointerEvent) {
		const at = place(event);
		const near = drawing?.strips.find((s) => Math.abs(s.x - at.x) < NEAR_px && Math.abs(s.bedY - at.y) < 2 * NEAR_px);
		if (!near || !ondepth) return;
		dragged = { id: near.id, from_y: at.y, y: at.y };
		(event.currentTarget as SVGSVGElement).setPointerCapture(event.pointerId);
		event.preventDefault();
	}
	const move = (event: PointerEvent) => dragged && (dragged = { ...dragged, y: place(event).y });
	/** The end of a drag, or a tap: near a vertical it is picked, between two a new one is put there. */
	function up(event: PointerEvent) {
		const at = place(event);
		const drag = dragged;
		dragged = null;
		if (!drawing) return;
		if (drag && Math.abs(drag.y - drag.from_y) >= LEAST_DRAG_px)
			return ondepth?.(drag.id, inTape(drawing.depthAt(drag.y), units.tape === 'm' ? 0.01 : 0.05));
		const near = drawing.strips.reduce<{ id: string; off: number } | null>((best, s) => {
			const off = Math.abs(s.x - at.x);
			return off < (best?.off ?? NEAR_px) ? { id: s.id, off } : best;
		}, null);
		if (near) return onpick?.(near.id);
		if (at.x > drawing.left && at.x < drawing.right && at.y > drawing.waterY)
			onadd?.(inTape(drawing.distanceAt(at.x), step));
	}
	const told = $derived(
		`Cross-section of ${counted(view.verticals.length, 'vertical')}` +
			(view.width_m === null ? '' : `, ${writeFixed(convert(view.width_m, 'm', units.tape), 1)} ${units.tape} wide`) +
			'. Every figure is in the table below.'
	);
</script>

<div bind:clientWidth={width}>
	{#if drawing}
		<!-- a pointer's short cut to the table's rows; by keyboard the rows themselves are reached -->
		<svg
			{width}
			{height}
			role="img"
			aria-label={told}
			onpointerdown={down}
			onpointermove={move}
			onpointerup={up}
			onpointercancel={() => (dragged = null)}
		>
			<path d={drawing.ground} class="ground" />
			{#each strips as strip (strip.id)}
				<g class:active={strip.id === activeId}>
					<path
						d={strip.outline}
						class="strip"
						class:waiting={strip.speed === null}
						fill-opacity={strip.speed === null ? 1 : 0.14 + 0.72 * strip.speed}
					/>
					<rect x={strip.x - 6} y={drawing.waterY - 4 - strip.bar} width="12" height={strip.bar} class="bar" />
					{#if strip.labelled}
						<text x={strip.x} y={strip.bedY + 14} text-anchor="middle" class="depth">{strip.depth}</text>
					{/if}
				</g>
			{/each}
			<path d="M{drawing.left} {drawing.waterY}H{drawing.right}" class="water" />
			{#each drawing.ticks as tick (tick.text)}
				<path d="M{tick.x} {height - 18}v5" class="tick" />
				<text x={tick.x} y={height - 3} text-anchor="middle" class="depth">{tick.text}</text>
			{/each}
			{#if ondepth}
				{#each strips as strip (strip.id)}<circle cx={strip.x} cy={strip.bedY} r="4" class="handle" /><circle
						cx={strip.x}
						cy={strip.bedY}
						r="14"
						class="grip"
					/>{/each}
			{/if}
			{#if dragged}
				{@const strip = drawing.strips.find((s) => s.id === dragged?.id)}
				<path d="M{(strip?.x ?? 0) - 22} {dragged.y}h44" class="drag" />
				<text x={(strip?.x ?? 0) + 26} y={dragged.y + 4} class="depth"
					>{writeNumber(inTape(drawing.depthAt(dragged.y), units.tape === 'm' ? 0.01 : 0.05))} {units.tape}</text
				>
			{/if}
			{#if next_m !== null}
				<path d="M{drawing.X(next_m)} {drawing.waterY - 40}V{height - 40}" class="next" />
			{/if}
		</svg>
		<p class="small">
			Bars: share of the flow. Darker: faster. Below the bed: depth, {units.tape}. Along the foot: tape, {units.tape}.
			Depth is drawn {writeFixed(drawing.exaggeration, drawing.exaggeration < 3 ? 1 : 0)} times larger than width.
		</p>
	{:else}
		<p class="empty">
			The section is drawn here as you type: first the edge of the water, then a distance, a depth and a velocity.
		</p>
	{/if}
</div>

<style>
	svg {
		scroll-margin-top: 5.25rem; /* the figure stands still above it */
		display: block;
	}
	.handle {
		fill: var(--page);
		stroke: var(--ink-2);
		stroke-width: 1.5;
		cursor: ns-resize;
	}
	.grip {
		fill: transparent;
		touch-action: none; /* from here a finger drags the bed and does not scroll the page */
		cursor: ns-resize;
	}
	.drag {
		stroke: var(--ochre);
		stroke-width: 3;
	}
	.ground {
		fill: var(--paper-3);
	}
	.strip {
		fill: var(--water);
		stroke: var(--page);
		stroke-width: 1.5;
		cursor: pointer;
	}
	.strip.waiting {
		fill: var(--ochre-3);
	}
	.active .strip {
		stroke: var(--ochre);
		stroke-width: 3;
	}
	.bar {
		fill: var(--ink-2);
	}
	.depth {
		font-size: 0.75rem;
	}
	.water {
		stroke: var(--water);
		stroke-width: 2.5;
	}
	.tick {
		stroke: var(--ink-2);
	}
	.next {
		stroke: var(--ochre);
		stroke-width: 2.5;
		stroke-dasharray: 5 4;
	}
	.small {
		margin-top: 2px;
	}
	.empty {
		padding: 1.375rem 0.875rem;
		border: 1.5px dashed var(--ink-3);
		border-radius: 0.3125rem;
		color: var(--ink-2);
	}
</style>
