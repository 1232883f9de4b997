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
	import type { Attachment } from 'svelte/attachments';
	import { units } from '$lib/core/quantity';
	import { seriesOption } from './series-option';

	let { parameter, threshold, points, stretches, from_ms, to_ms, label }: Props = $props();

	let isDrawn = $state(false);

	const chart: Attachment<HTMLElement> = (element) => {
		let end = () => {};
		void import('./echarts').then(({ echarts }) => {
			if (!element.isConnected) return;
			const drawn = echarts.init(element, null, { renderer: 'svg' });
			const colour = (name: string) => getComputedStyle(element).getPropertyValue(name).trim();
			const draw = () =>
				drawn.setOption(
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
					}) as Parameters<typeof drawn.setOption>[0],
					true
				);
			const stop = $effect.root(() => {
				$effect(draw); // the chart library draws outside Svelte
			});
			const sized = new ResizeObserver(() => drawn.resize());
			sized.observe(element);
			const recoloured = new MutationObserver(draw);
			recoloured.observe(document.documentElement, { attributes: true, attributeFilter: ['data-mode'] });
			isDrawn = true;
			end = () => {
				stop();
				sized.disconnect();
				recoloured.disconnect();
				drawn.dispose();
			};
		});
		return () => end();
	};
</script>

<div class="chart" class:drawn={isDrawn} role="img" aria-label={label} {@attach chart}></div>

<style>
	.chart {
		height: 21.25rem;
		width: 100%;
		background: var(--page);
	}
</style>
