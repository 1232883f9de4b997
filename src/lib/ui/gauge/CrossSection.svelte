<script module lang="ts">
	import type { GaugingView } from '$lib/core/evaluate';
	import type { SectionUnits } from '$lib/core/method';

	export interface Props {
		view: GaugingView;
		units: SectionUnits;
		/** The vertical that is being typed. */
		activeId?: string | null;
		/** Where the next vertical would help most. */
		next_m?: number | null;
		onpick?: (verticalId: string) => void;
	}
</script>

<script lang="ts">
	import { convert } from '$lib/core/quantity';
	import { drawSection } from './section-drawing';

	let { view, units, activeId = null, next_m = null, onpick }: Props = $props();

	let width = $state(340);
	const height = $derived(width > 560 ? 270 : 160); // a phone needs room for the keys
	const drawing = $derived(drawSection(view, width, height, units.tape));
	const told = $derived(
		`Cross-section of ${view.verticals.length} verticals` +
			(view.width_m === null ? '' : `, ${convert(view.width_m, 'm', units.tape).toFixed(1)} ${units.tape} wide`) +
			'. Every figure is in the table below.'
	);
</script>

<div bind:clientWidth={width}>
	{#if drawing}
		<svg {width} {height} role="img" aria-label={told}>
			<path d={drawing.ground} class="ground" />
			{#each drawing.strips as strip (strip.id)}
				<!-- a pointer's short cut to the table's row; by keyboard the row itself is reached -->
				<!-- svelte-ignore a11y_click_events_have_key_events, a11y_no_static_element_interactions -->
				<g class:active={strip.id === activeId} onclick={() => onpick?.(strip.id)}>
					<path d={strip.outline} class="strip" class:waiting={strip.speed === null} fill-opacity={strip.speed === null ? 1 : 0.14 + 0.72 * strip.speed} />
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
			{#if next_m !== null}
				<path d="M{drawing.X(next_m)} {drawing.waterY - 40}V{height - 40}" class="next" />
			{/if}
		</svg>
		<p class="small">
			Bars: share of the flow. Darker: faster. Below the bed: depth, {units.tape}. Along the foot: tape, {units.tape}. Depth is drawn {drawing.exaggeration.toFixed(
				drawing.exaggeration < 3 ? 1 : 0
			)} times larger than width.
		</p>
	{:else}
		<p class="empty">The section is drawn here as you type: first the edge of the water, then a distance, a depth and a velocity.</p>
	{/if}
</div>

<style>
	svg {
		display: block;
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
		font-size: 12px;
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
		padding: 22px 14px;
		border: 1.5px dashed var(--ink-3);
		border-radius: 5px;
		color: var(--ink-2);
	}
</style>
