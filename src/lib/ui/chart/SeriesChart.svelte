<script module lang="ts">
	import type { Threshold } from '$lib/core/interpret';
	import type { Parameter } from '$lib/core/quantity';
	import type { ChartPoint, ChartStretch } from './series-option';

	export interface Props {
		parameter: Parameter;
		threshold: Threshold | null;
		points: ChartPoint[];
		stretches: ChartStretch[];
		from_ms: number;
		to_ms: number;
		label: string;
	}
</script>

<script lang="ts">
	import { units } from '$lib/core/quantity';
	import ChartBox from './ChartBox.svelte';
	import type { Colour } from './drawn.svelte';
	import { seriesOption } from './series-option';

	let { parameter, threshold, points, stretches, from_ms, to_ms, label }: Props = $props();

	const option = (colour: Colour) =>
		seriesOption({
			parameter,
			unitSymbol: units[parameter.unit].symbol,
			threshold,
			points,
			stretches,
			from_ms,
			to_ms,
			colours: {
				ink: colour('--ink'),
				ink2: colour('--ink-2'),
				rule: colour('--rule'),
				water: colour('--water'),
				page: colour('--page'),
				good: colour('--moss-3'),
				watch: colour('--ochre-3'),
				act: colour('--danger-3'),
				danger: colour('--danger')
			}
		});
</script>

<ChartBox {option} {label} />
