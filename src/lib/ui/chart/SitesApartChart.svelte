<script module lang="ts">
	export interface Props {
		sites: { code: string; place: { x: number; y: number } }[];
		/** Codes of the sites along each stream, downstream. */
		streams: { name: string; sites: string[] }[];
		label: string;
	}
</script>

<script lang="ts">
	import ChartBox from './ChartBox.svelte';
	import type { Colour } from './drawn.svelte';

	let { sites, streams, label }: Props = $props();

	const SHAPE = 1.6; // width to height: as far is as far across as up
	/** Streams are told apart by their lines, not by colour alone. */
	const strokes = ['solid', 'dashed', 'dotted'] as const;

	function option(colour: Colour) {
		const placeOf = new Map(sites.map((s) => [s.code, s.place]));
		const reach =
			1.25 * Math.max(0.05, ...sites.flatMap(({ place }) => [Math.abs(place.x) / SHAPE, Math.abs(place.y)]));
		const axis = (far: number) => ({ type: 'value', min: -far, max: far, show: false });
		return {
			animation: false,
			grid: { left: 0, right: 0, top: 0, bottom: 0 },
			xAxis: axis(SHAPE * reach),
			yAxis: axis(reach),
			series: streams.map((stream, nth) => ({
				type: 'line',
				name: stream.name,
				symbol: 'circle',
				symbolSize: 11,
				lineStyle: { color: colour('--water-2'), width: 1.5, type: strokes[nth % strokes.length] },
				itemStyle: { color: colour('--water') },
				label: {
					show: true,
					position: 'right',
					color: colour('--ink'),
					fontSize: 13,
					formatter: ({ dataIndex }: { dataIndex: number }) => stream.sites[dataIndex] ?? ''
				},
				labelLayout: { moveOverlap: 'shiftY' },
				data: stream.sites.map((code) => {
					const { x, y } = placeOf.get(code)!;
					return [x, y];
				})
			}))
		};
	}
</script>

<div style="--chart-shape: {SHAPE}"><ChartBox {option} {label} /></div>

<style>
	div {
		--chart-height: auto;
		max-width: 48rem;
	}
</style>
