<script module lang="ts">
	import type { WaysApart } from '$lib/core/quality';

	export interface Props {
		apart: WaysApart;
		/** When, and how far the first of the two lies over the second. */
		pairs: { at_ms: number; apart: number }[];
		/** Of differences; ratios are drawn in percent. */
		unitSymbol: string;
		label: string;
	}
</script>

<script lang="ts">
	import { writeNumber } from '$lib/core/quantity';
	import ChartBox from './ChartBox.svelte';
	import type { Colour } from './drawn.svelte';

	let { apart, pairs, unitSymbol, label }: Props = $props();

	const symbol = $derived(apart.scale === 'ratio' ? '%' : unitSymbol);

	/** To a step that an axis can show. */
	function roundedDown(value: number): number {
		const step = 10 ** Math.floor(Math.log10(Math.abs(value) || 1));
		return Math.floor(value / step) * step;
	}

	function option(colour: Colour) {
		const { bias, limits } = apart;
		const line = (name: string, at: number, type: 'solid' | 'dashed') => ({
			name,
			yAxis: at,
			lineStyle: { color: colour('--ink-2'), type, width: type === 'solid' ? 1.5 : 1 }
		});
		return {
			animation: false,
			grid: { left: 64, right: 110, top: 24, bottom: 36 },
			xAxis: {
				type: 'time',
				axisLabel: { color: colour('--ink-2') },
				axisLine: { lineStyle: { color: colour('--rule') } }
			},
			yAxis: {
				type: 'value',
				scale: true,
				// the limits of agreement are drawn, also where no pair comes near them
				...(limits === null
					? {}
					: {
							min: ({ min }: { min: number }) => roundedDown(Math.min(min, limits.lower)),
							max: ({ max }: { max: number }) => -roundedDown(-Math.max(max, limits.upper))
						}),
				name: symbol,
				nameTextStyle: { color: colour('--ink-2') },
				axisLabel: { color: colour('--ink-2'), formatter: writeNumber },
				splitLine: { lineStyle: { color: colour('--rule') } }
			},
			series: [
				{
					type: 'scatter',
					symbolSize: 9,
					itemStyle: { color: colour('--water') },
					data: pairs.map((p) => [p.at_ms, p.apart]),
					markLine: {
						silent: true,
						symbol: 'none',
						label: { formatter: '{b}', position: 'end', color: colour('--ink-2'), fontSize: 12 },
						data: [
							{ ...line('alike', 0, 'solid'), lineStyle: { color: colour('--ink'), type: 'solid', width: 1 } },
							...(bias === null ? [] : [line('on average', bias.value, 'solid')]),
							...(limits === null
								? []
								: [line('19 in 20 under', limits.upper, 'dashed'), line('19 in 20 over', limits.lower, 'dashed')])
						]
					},
					...(bias === null
						? {}
						: {
								markArea: {
									silent: true,
									itemStyle: { color: colour('--ochre-3'), opacity: 0.55 },
									data: [[{ yAxis: bias.lower }, { yAxis: bias.upper }]]
								}
							})
				}
			]
		};
	}
</script>

<ChartBox {option} {label} />
