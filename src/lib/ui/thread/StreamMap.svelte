<script module lang="ts">
	import type { PlacedSite, PlacedStream } from './courses';

	export interface Props {
		streams: readonly PlacedStream[];
		sites: readonly (PlacedSite & { name: string; code: string })[];
		/** The site whose page this is. */
		current?: string | null;
	}
</script>

<script lang="ts">
	import { writeFixed } from '$lib/core/quantity';
	import { goto } from '$app/navigation';
	import { drawnChart, type Colour } from '../chart/drawn.svelte';
	import { coursesOf, extentOf } from './courses';

	let { streams, sites, current = null }: Props = $props();

	const courses = $derived(coursesOf(streams, sites));
	const extent = $derived(extentOf(sites));
	const here = $derived(sites.find((s) => s.id === current) ?? null);
	/** As wide as its shape asks for, and no higher than this. */
	const HIGHEST_rem = 26;
	/** Every name where there is room for all of them, else the one whose page this is. */
	const MOST_NAMES = 25;

	const option = (colour: Colour) => ({
		animation: false,
		textStyle: { fontFamily: 'Atkinson Hyperlegible Next Variable', color: colour('--ink') },
		grid: { left: 8, right: 8, top: 8, bottom: 8 },
		tooltip: { trigger: 'item' as const, formatter: '{b}', backgroundColor: colour('--page') },
		xAxis: { type: 'value' as const, min: extent.west, max: extent.east, show: false },
		yAxis: { type: 'value' as const, min: extent.south, max: extent.north, show: false },
		series: [
			...courses.map(({ name, points }) => ({
				type: 'line' as const,
				name,
				data: points.map((p) => [p.longitude, p.latitude]),
				symbol: 'none',
				silent: true,
				lineStyle: { color: colour('--water-2'), width: 3, opacity: 0.7 }
			})),
			{
				type: 'scatter' as const,
				symbolSize: 12,
				data: sites.map((s) => ({
					name: s.name,
					code: s.code,
					value: [s.longitude, s.latitude],
					itemStyle: {
						color: s.id === current ? colour('--water') : colour('--page'),
						borderColor: colour('--water'),
						borderWidth: 2
					},
					label: {
						show: s.id === current || sites.length <= MOST_NAMES,
						formatter: s.name,
						position: 'right' as const,
						color: colour('--ink'),
						backgroundColor: colour('--page'),
						padding: [1, 3],
						fontWeight: s.id === current ? ('bold' as const) : ('normal' as const)
					}
				})),
				labelLayout: { hideOverlap: true }
			}
		]
	});

	const map = drawnChart({
		option,
		onmark(data) {
			const code = (data as { code?: string } | undefined)?.code;
			if (code !== undefined) void goto(`/sites/${code}`);
		}
	});
</script>

<figure>
	<div
		{@attach map}
		role="img"
		aria-label="Map of {sites.length} {sites.length === 1 ? 'site' : 'sites'}{here
			? `; ${here.name} at ${writeFixed(here.latitude, 4)}°, ${writeFixed(here.longitude, 4)}°`
			: ''}"
		style:aspect-ratio={extent.ratio}
		style:max-width="{HIGHEST_rem * extent.ratio}rem"
	></div>
	<figcaption class="small">
		North is up, {writeFixed(extent.width_km, extent.width_km < 10 ? 1 : 0)} km from left to right. Streams are drawn from
		site to site, not bend by bend.
	</figcaption>
</figure>

<style>
	div {
		width: 100%;
		background: var(--page);
		border: 1px solid var(--rule);
	}
</style>
