<script module lang="ts">
	import type { AfterStorm } from '$lib/core/schedule';

	export interface Props {
		weather: AfterStorm;
		today: number;
		mayPlan: boolean;
		/** Somebody types what the gauge shows. */
		isTyped: boolean;
		/** Today, as an ISO date. */
		date: string;
		refused: string | null;
		circuitName: (id: string) => string;
		nameOf: (personId: string) => string;
		ontake: (circuitId: string, go: { day: number; crew: string[] }) => void;
	}
</script>

<script lang="ts">
	import { writeNumber } from '$lib/core/quantity';
	import { enhance } from '$app/forms';
	import { sayBreach, sayPlanDay } from '$lib/core/interpret';
	import DayField from '../kit/DayField.svelte';

	let { weather, today, mayPlan, isTyped, date, refused, circuitName, nameOf, ontake }: Props = $props();

	const most = $derived(Math.max(weather.least_mm, ...weather.rain.map((r) => r.rain_mm ?? 0)));
	const near = $derived(
		new Map([
			[today, 'today'],
			[today + 1, 'tomorrow']
		])
	);
	const when = (day: number) => near.get(day) ?? sayPlanDay(day);
	const said = $derived(
		weather.rain
			.map((r) => `${sayPlanDay(r.day)} ${r.rain_mm === null ? 'no data' : `${writeNumber(r.rain_mm)} mm`}`)
			.join(', ')
	);
</script>

<section aria-labelledby="rain">
	<h2 id="rain" class="ruled">Rain</h2>
	{#if !weather.gauge}
		<p class="small">
			This program has no rain gauge: nothing is offered after a storm. Where somebody reads one, say so in <a
				href="/library/program">the program’s settings</a
			>.
		</p>
	{:else}
		<div class="bars" role="img" aria-label="{weather.gauge.name}, two weeks: {said}">
			{#each weather.rain as r (r.day)}
				<i
					class:storm={(r.rain_mm ?? 0) >= weather.least_mm}
					class:silent={r.rain_mm === null}
					style:height="{r.rain_mm === null ? 100 : (100 * r.rain_mm) / most}%"
				></i>
			{/each}
			<span style:bottom="{(100 * weather.least_mm) / most}%"></span>
		</div>
		<p class="small">
			{weather.gauge.name}, the last two weeks; the line is what counts as a storm, {writeNumber(weather.least_mm)} mm in
			a day. Hatched: no data.
		</p>
	{/if}
	{#if isTyped && mayPlan}
		<form method="POST" action="?/rain" class="read" use:enhance>
			<DayField label="Day" name="day" value={date} last={date} isRequired />
			<label>Rain, mm <input class="input" name="rain_mm" inputmode="decimal" required /></label>
			<button class="btn preset-outlined-primary-500">Save it</button>
			{#if refused}<p class="say spoils" role="alert">{refused}</p>{/if}
		</form>
	{/if}
	{#if weather.storm}
		<p>
			<b>{weather.storm.rain_mm.toFixed(0)} mm until {sayPlanDay(weather.storm.day)}.</b> A storm round goes within {weather.within_h}
			h; the spacing of grabs does not hold for it. Look at the water from the bank first.
		</p>
		{#each weather.offers as offer (offer.circuitId)}
			<p class="offer">
				{#if offer.go}
					<span
						><b>{circuitName(offer.circuitId)}</b> could go {when(offer.go.day)}, with {offer.go.crew
							.map(nameOf)
							.join(' and ')}.</span
					>
					{#if mayPlan}<button
							class="btn preset-outlined-primary-500"
							type="button"
							aria-label="Plan a storm round: {circuitName(offer.circuitId)}"
							onclick={() => ontake(offer.circuitId, offer.go!)}>Plan it</button
						>{/if}
				{:else if offer.anyway !== null}
					<span><b>{circuitName(offer.circuitId)}</b> goes {when(offer.anyway)} anyway, within the time.</span>
				{:else}
					<span
						><b>{circuitName(offer.circuitId)}</b> cannot go.
						{#each offer.against as { day, why } (day)}{`${sayPlanDay(day)}: ${why.map((w) => sayBreach(w, nameOf)).join(' ')} `}{:else}The
							time for it is over.{/each}</span
					>
				{/if}
			</p>
		{:else}<p>Every circuit has its storm round.</p>{/each}
	{:else if weather.gauge}
		<p>
			{#if weather.rain.every((r) => r.rain_mm === null)}Nothing was read at the gauge: whether there was a storm is not
				known.{:else}No storm in the last {weather.within_h}
				h, as far as it was read.{/if}
		</p>
	{/if}
</section>

<style>
	.read {
		display: flex;
		flex-wrap: wrap;
		gap: 0.5rem 0.875rem;
		align-items: end;
	}
	.bars {
		position: relative;
		display: flex;
		align-items: end;
		gap: 3px;
		height: 3.375rem;
		border-bottom: 1px solid var(--ink);
		margin: 0.5rem 0 0.25rem;
		max-width: 22.5rem;
	}
	.bars i {
		flex: 1;
		background: var(--water-3);
		min-height: 1px;
	}
	.bars i.storm {
		background: var(--water);
	}
	.bars i.silent {
		background: repeating-linear-gradient(135deg, var(--rule) 0 2px, transparent 2px 0.375rem);
	}
	.bars span {
		position: absolute;
		inset-inline: 0;
		border-top: 1px dashed var(--ink-2);
	}
	.offer .btn {
		white-space: nowrap;
	}
	.offer {
		display: flex;
		gap: 0.625rem;
		justify-content: space-between;
		align-items: center;
		padding: 0.375rem 0;
		border-bottom: 1px solid var(--rule);
	}
</style>
