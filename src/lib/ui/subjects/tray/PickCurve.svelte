<script module lang="ts">
	import type { Picked } from '$lib/core/macroinvertebrates';

	export interface Props {
		picked: readonly Picked[];
		now_min: number;
		until_min: number;
	}
</script>

<script lang="ts">
	let { picked, now_min, until_min }: Props = $props();

	const [WIDTH, HEIGHT, LEFT, FOOT] = [340, 96, 26, 18];
	/** Minutes at which a kind came for the first time. */
	const firsts = $derived.by(() => {
		const first = new Map<string, number>();
		for (const { taxon, minute } of [...picked].sort((a, b) => a.minute - b.minute))
			if (!first.has(taxon)) first.set(taxon, minute);
		return [...first.values()];
	});
	const end_min = $derived(Math.max(10, until_min, now_min));
	const most = $derived(Math.max(5, firsts.length));
	const x = (minute: number) => LEFT + ((WIDTH - LEFT - 6) * minute) / end_min;
	const y = (kinds: number) => HEIGHT - FOOT - ((HEIGHT - FOOT - 8) * kinds) / most;
	const line = $derived(
		`M${x(0)} ${y(0)}${firsts.map((minute, i) => `H${x(minute).toFixed(1)}V${y(i + 1).toFixed(1)}`).join('')}H${x(now_min).toFixed(1)}`
	);
</script>

<svg viewBox="0 0 {WIDTH} {HEIGHT}" role="img" aria-label="{firsts.length} kinds after {Math.floor(now_min)} minutes">
	<line class="rule" x1={LEFT} x2={WIDTH - 6} y1={y(0)} y2={y(0)} />
	<line class="until" x1={x(until_min)} x2={x(until_min)} y1={6} y2={y(0)} />
	<path d={line} />
	<text x={LEFT - 4} y={y(most) + 4} text-anchor="end">{most}</text>
	<text x={x(until_min)} y={HEIGHT - 4} text-anchor="end">{until_min} min</text>
	<text x={LEFT} y={HEIGHT - 4}>kinds by minute</text>
</svg>

<style>
	svg {
		width: 100%;
		max-width: 28rem;
		height: auto;
	}
	path {
		fill: none;
		stroke: var(--water);
		stroke-width: 2;
	}
	.rule {
		stroke: var(--rule);
	}
	.until {
		stroke: var(--ochre);
		stroke-dasharray: 4 3;
	}
	text {
		font-size: 11px;
		fill: var(--ink-2);
	}
</style>
