<script lang="ts">
	import { goto } from '$app/navigation';
	import {
		changesDrawn,
		pointIn,
		saidOn,
		stretchIn,
		thresholdIn,
		thresholdsAt,
		trendIn,
		waysCounted,
		type TrendPoint
	} from '$lib/core/interpret';
	import { counted, sayDay, saySure, wayWords } from '$lib/core/wording';
	import { parameterIn, units, withQualifier, writeFixed } from '$lib/core/quantity';
	import SeriesChart from '$lib/ui/chart/SeriesChart.svelte';
	import SeriesTable from '$lib/ui/chart/SeriesTable.svelte';
	import StreamMap from '$lib/ui/thread/StreamMap.svelte';
	import TrendLine from '$lib/ui/chart/TrendLine.svelte';
	import { capitalised } from '$lib/core/wording';
	import SeasonLine from '$lib/ui/chart/SeasonLine.svelte';
	import { workOutTrend } from '$lib/workers/trend.client';
	import type { PageProps } from './$types';

	let { data }: PageProps = $props();
	const standing = (waiting: number) => (waiting ? `${counted(waiting, 'result')} to be reviewed` : 'judged');

	const known = $derived(data.known);
	/** The unit that it is read in; what is judged is judged in its own. */
	const unit = $derived(data.unit ?? 'one');
	const points = $derived(data.series?.kind === 'points' ? data.series.points : []);
	const stretches = $derived(data.series?.kind === 'stretches' ? data.series.stretches : []);
	const drawn = $derived(
		known && {
			parameter: parameterIn(known, unit),
			points: points.map((p) => pointIn(p, unit)),
			stretches: stretches.map((s) => stretchIn(s, known.unit, unit))
		}
	);
	const last = $derived(points.findLast((p) => p.status !== 'rejected') ?? null);
	const lastFigure = $derived(last ? withQualifier(last.value, last.qualifier, last.unit) : null);
	const limits = $derived(last?.lower == null ? null : { lower: last.lower, upper: last.upper });
	const sure = $derived(
		lastFigure && last && known ? saySure(lastFigure, last.uncertainty, known.decimals, unit, limits, last.way) : null
	);
	const { timeZone } = $derived(data.program);
	/** What single figures were held against when the last one was taken; the chart draws the bands of the first. */
	const held = $derived(
		data.parameter && last ? thresholdsAt(data.thresholds, data.parameter, last.at_ms, timeZone) : data.thresholds
	);
	const said = $derived(
		lastFigure && last ? saidOn({ figure: lastFigure, uncertainty: last.uncertainty, limits }, held) : []
	);
	const threshold = $derived(held[0] ?? null);
	const good = $derived(points.filter((p) => p.status !== 'rejected' && !p.isSimulated));
	const ways = $derived(waysCounted(good));
	const here = $derived(data.onStream.findIndex((s) => s.id === data.site.id));

	const address = (change: Record<string, string>) => {
		const query = new URLSearchParams({ p: data.parameter ?? '', span: data.span.id, view: data.view, ...change });
		return `/sites/${data.site.code}?${query}`;
	};

	/** The page holds single results up to some hundreds; more are fetched when they are needed. */
	const trendPoints = $derived.by(() => {
		const { series } = data;
		const shown = (points: readonly TrendPoint[]) => (known ? trendIn(points, known.unit, unit) : [...points]);
		const query = new URLSearchParams({ p: data.parameter ?? '', span: data.span.id });
		const from = `/sites/${data.site.code}/points.json?${query}`;
		if (series?.kind === 'points')
			return () => Promise.resolve(shown(series.points.filter((p) => p.status !== 'rejected' && !p.isSimulated)));
		return async () => {
			const response = await fetch(from);
			if (!response.ok) throw new Error(`points of ${data.site.code}: ${response.status}`);
			return shown((await response.json()) as TrendPoint[]);
		};
	});

	function onkeydown(event: KeyboardEvent) {
		if (
			event.key !== 't' ||
			event.ctrlKey ||
			event.metaKey ||
			event.altKey ||
			(event.target as HTMLElement).closest('input, textarea, select')
		)
			return;
		void goto(address({ view: data.view === 'table' ? 'chart' : 'table' }), { noScroll: true, keepFocus: true });
	}
</script>

<svelte:window {onkeydown} />
<svelte:head><title>{data.site.name} · Keen Riffle</title></svelte:head>

<main class="page">
	<header class="top">
		<h1>{data.site.name}, {data.site.about}</h1>
		<span class="small"
			>{data.stream}, {writeFixed(data.site.river_km, 1)} km above its mouth, elevation {data.site.elevation_m.toFixed(
				0
			)} m</span
		>
		<span class="neighbours small">
			{#if data.onStream[here - 1]}<a
					href="/sites/{data.onStream[here - 1]?.code}?p={data.parameter}&span={data.span.id}"
					>upstream: {data.onStream[here - 1]?.name}</a
				>{/if}
			{#if data.onStream[here + 1]}<a
					href="/sites/{data.onStream[here + 1]?.code}?p={data.parameter}&span={data.span.id}"
					>downstream: {data.onStream[here + 1]?.name}</a
				>{/if}
			{#if data.parameters.some((p) => p.code === 'taxa-richness')}<a href="/sites/{data.site.code}/animals"
					>animals through the years</a
				>{/if}
		</span>
	</header>

	{#if data.parameter && known && drawn}
		<nav aria-label="What was measured" class="choices">
			{#each data.parameters as { code, name } (code)}<a
					href={address({ p: code })}
					aria-current={code === data.parameter ? 'true' : undefined}
					data-sveltekit-noscroll>{name}</a
				>{/each}
		</nav>
		<div class="said">
			{#if lastFigure && last && sure}
				<p>
					<b class="big-figure">{sure.figure.replace(` ${units[unit].symbol}`, '')}</b>
					{units[unit].symbol}<br /><small
						>{known.name}, {sayDay(last.at_ms, data.program.timeZone, true)}{sure.uncertainty === null
							? ''
							: `, ± ${sure.uncertainty}`}{sure.limits === null ? '' : `, ${sure.limits} with 95 %`}{last.isSimulated
							? ', simulated'
							: ''}{last.status === 'waiting' ? ', waiting for review' : ''}</small
					>
				</p>
				{#each said as { threshold, verdict, words, nextStep } (threshold.use)}<p
						class="say"
						class:ask={verdict.isOpen || verdict.band?.state === 'watch'}
						class:spoils={!verdict.isOpen && verdict.band?.state === 'act'}
					>
						<b>{capitalised(threshold.use)}: {words}.</b>
						{nextStep}
						<small>{threshold.source}</small>
					</p>{/each}
			{:else if stretches.length}
				<p>
					{stretches.reduce((n, s) => n + s.results, 0)} results, told as the lowest, middle and highest of equal stretches
					of time.
				</p>
			{:else}
				<p>No results in this span.</p>
			{/if}
			{#each data.overSeason as { threshold, standing } (threshold.use)}
				<SeasonLine {threshold} {standing} decimals={known.decimals} {unit} />
			{/each}
		</div>
		<div class="bar">
			<nav aria-label="How far back" class="choices small-choices">
				{#each data.spans as span (span.id)}<a
						href={address({ span: span.id })}
						aria-current={span.id === data.span.id ? 'true' : undefined}
						data-sveltekit-noscroll>{span.word}</a
					>{/each}
			</nav>
			<a
				class="btn preset-outlined-primary-500"
				href={address({ view: data.view === 'table' ? 'chart' : 'table' })}
				aria-keyshortcuts="t"
				data-sveltekit-noscroll>{data.view === 'table' ? 'As a chart' : 'As a table'}</a
			>
			<a
				class="btn preset-outlined-surface-500"
				href="/sites/{data.site.code}/series.csv?p={data.parameter}&span={data.span.id}"
				data-sveltekit-reload>CSV of this</a
			>
		</div>
		{#if data.view === 'table'}
			<SeriesTable
				parameter={known}
				{unit}
				{points}
				{stretches}
				{threshold}
				timeZone={data.program.timeZone}
				mayOpen={!data.acceptedOnly}
			/>
		{:else}
			<SeriesChart
				{...drawn}
				threshold={threshold && thresholdIn(threshold, unit)}
				from_ms={data.span.from_ms}
				to_ms={data.span.to_ms}
				label="{known.name} at {data.site.name}, {points.length ||
					stretches.length} marks. Key t shows them as a table."
			/>
			<p class="small">
				Round: accepted or qualified. Square: waiting for review. Open: only known to lie below or above. Cross:
				rejected.{#if points.some((p) => p.isSimulated)}
					Triangle: simulated, and left out of the trend.{/if}{#if data.acceptedOnly}
					You see reviewed results.{/if}
			</p>
			{#if ways.length > 1}
				<p class="small">
					Found by {ways.map((w) => `${wayWords[w.way]} (${w.points})`).join(', ')}.
					{#if changesDrawn(good).length}Dashed lines mark a change of way: a step or a trend there may come from it,
						not from the stream.
					{:else}They take turns: a difference between neighbours may come from the way, not from the stream.{/if}
				</p>
			{/if}
			<noscript><p>The chart needs scripts; <a href={address({ view: 'table' })}>the table</a> does not.</p></noscript>
		{/if}
		{#if points.length + stretches.length > 0}<TrendLine
				points={trendPoints}
				workOut={workOutTrend}
				unitSymbol={units[unit].symbol}
			/>{/if}
	{:else}
		<p>No results here yet. They appear as visits to this site come in.</p>
	{/if}

	{#if data.visits.length}
		<h2 class="ruled">Last visits</h2>
		<ul class="visits">
			{#each data.visits as visit (visit.id)}
				<li>
					<a href="/visits/{visit.id}">{sayDay(visit.started_ms, data.program.timeZone, true)}</a>
					{visit.crew.join(', ')}
					<small
						>{visit.isFinished ? standing(visit.awaitsReview) : 'still open'}{visit.flags
							? `, ${counted(visit.flags, 'flag')}`
							: ''}</small
					>
				</li>
			{/each}
		</ul>
	{/if}

	{#if data.map}
		<h2 class="ruled">Where it is</h2>
		<StreamMap {...data.map} current={data.site.id} />
	{/if}
	{#if data.pictures.length}
		<h2 class="ruled">Photos and sketches</h2>
		<div class="pictures">
			{#each data.pictures as picture (picture.visitId + picture.sha256)}
				<figure>
					<a href="/visits/{picture.visitId}"
						><img src="/api/photos/{picture.sha256}" alt={picture.caption ?? picture.of ?? 'Photo'} loading="lazy" /></a
					>
					<figcaption class="small">
						{picture.caption ?? picture.of ?? ''}, {sayDay(picture.started_ms, data.program.timeZone, true)}
					</figcaption>
				</figure>
			{/each}
		</div>
	{/if}
</main>

<style>
	.pictures {
		display: grid;
		grid-template-columns: repeat(auto-fill, minmax(13rem, 1fr));
		gap: 0.75rem;
		margin-top: 0.5rem;
	}
	.pictures img {
		width: 100%;
		aspect-ratio: 4 / 3;
		object-fit: cover;
		border: 1px solid var(--rule);
	}
	.page {
		padding: 0.875rem 1.625rem 1.875rem;
		max-width: 67.5rem;
	}
	.top {
		display: flex;
		flex-wrap: wrap;
		gap: 0.25rem 1.125rem;
		align-items: baseline;
		border-bottom: 2px solid var(--ink);
		padding-bottom: 0.375rem;
	}
	.neighbours {
		margin-left: auto;
		display: flex;
		gap: 0.875rem;
	}
	.choices {
		display: flex;
		flex-wrap: wrap;
		gap: 2px 0.875rem;
		margin-top: 0.625rem;
	}
	.choices a {
		padding: 0.25rem 0;
		min-height: 1.75rem;
		text-decoration: none;
		border-bottom: 3px solid transparent;
	}
	.choices a[aria-current] {
		border-color: var(--water);
		color: var(--ink);
		font-weight: 650;
	}
	.choices a:hover {
		border-color: var(--water-3);
	}
	.said {
		display: flex;
		flex-wrap: wrap;
		gap: 0.75rem 1.875rem;
		align-items: center;
		margin: 0.75rem 0 0.375rem;
	}
	.bar {
		display: flex;
		flex-wrap: wrap;
		gap: 0.625rem;
		align-items: center;
		margin-bottom: 0.375rem;
	}
	.small-choices {
		margin: 0 auto 0 0;
	}
	h2 {
		margin-top: 1.25rem;
	}
	.visits {
		columns: 2;
		column-gap: 1.875rem;
		margin-top: 0.375rem;
	}
	.visits li {
		padding: 3px 0;
		break-inside: avoid;
	}
	@media (max-width: 640px) {
		.page {
			padding-inline: 0.875rem;
		}
		.visits {
			columns: 1;
		}
		.neighbours {
			margin-left: 0;
		}
	}
</style>
