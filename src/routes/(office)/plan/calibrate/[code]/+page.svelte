<script lang="ts">
	import { enhance } from '$app/forms';
	import { counted, sayDay, sayTime } from '$lib/core/wording';
	import { simulatedMeter } from '$lib/field/devices/simulated-meter';
	import type { PageProps } from './$types';

	let { data, form }: PageProps = $props();

	const SETTLE_min = 10;
	const { timeZone } = $derived(data.program);
	const given = (parameter: string, field: string) =>
		form?.parameter === parameter && 'given' in form ? (form.given?.[field] ?? '') : '';

	/* The sleeve's clock survives a reload: it is kept by the instrument's code. */
	const clockKey = $derived(`keen-riffle-sleeve ${data.instrument.code}`);
	let since_ms = $state<number | null>(null);
	let tick_ms = $state(Date.now());
	$effect(() => {
		since_ms = Number(localStorage.getItem(clockKey)) || null;
		const clock = setInterval(() => (tick_ms = Date.now()), 1000);
		return () => clearInterval(clock);
	});
	const inSleeve_min = $derived(since_ms === null ? null : Math.max(0, (tick_ms - since_ms) / 60_000));

	function start() {
		since_ms = Date.now();
		localStorage.setItem(clockKey, String(since_ms));
	}

	let meterOn_ms = $state<number | null>(null);
	const meter = simulatedMeter({ starts: 84, rests: 97.6, settling_s: 25, jitter: 0.12, decimals: 1, seed: 7 });
	const shown = $derived(meterOn_ms === null ? null : meter.reading((tick_ms - meterOn_ms) / 1000));
	let reading = $state('');
</script>

<svelte:head><title>Calibrate {data.instrument.code} · Keen Riffle</title></svelte:head>

<main class="page">
	<header class="top">
		<h1>Calibrate {data.instrument.code}</h1>
		<span>{data.instrument.kind}, serial number {data.instrument.serialNumber}</span>
		<a href="/plan">The season</a>
	</header>
	{#each data.instrument.due as due (due.parameter)}
		<section aria-label={due.name}>
			<h2 class="ruled">{due.name}</h2>
			<p class="small">
				{#if due.last}
					Last {sayDay(due.last.at_ms, timeZone)}, {sayTime(due.last.at_ms, timeZone)}: {due.last.passed
						? 'passed'
						: 'did not pass'}{due.last.note ? `; ${due.last.note}` : ''}.
				{:else}Never yet.{/if}
				{due.limit_days === null ? 'Checked when in doubt.' : `Counts for ${counted(due.limit_days, 'day')}.`}
			</p>
			{#if form?.parameter === due.parameter}
				{#if 'why' in form}<p class="say spoils" role="alert">{form.why}</p>{/if}
				{#if 'said' in form}
					<p class="say {form.passed ? 'ask' : 'spoils'}" role="status">
						<b>{form.passed ? 'Passed.' : 'It does not pass.'}</b>
						{data.instrument.code}
						{form.said}. {form.passed
							? ''
							: 'Clean it, wait, and try again, or take another instrument. What was read is kept.'}
					</p>
				{/if}
			{/if}
			<form
				method="POST"
				use:enhance={() =>
					({ update }) =>
						update({ reset: false })}
			>
				<input type="hidden" name="parameter" value={due.parameter} />
				<input type="hidden" name="way" value={due.way} />
				{#if due.way === 'sleeve'}
					<p class="how">
						Probe in the moist, vented sleeve, not under water. {SETTLE_min} minutes to settle, out of the sun. Then read
						percent.
					</p>
					<p class="acts">
						<button type="button" class="btn preset-outlined-surface-500" onclick={start}
							>{since_ms === null ? 'It is in the sleeve now' : 'Start the ten minutes anew'}</button
						>
						{#if inSleeve_min !== null}
							<span role="timer"
								>{inSleeve_min >= SETTLE_min ? 'Settled.' : `${Math.ceil(SETTLE_min - inSleeve_min)} min to go.`}</span
							>
						{/if}
						{#if data.program.isDemo}<button
								type="button"
								class="btn preset-outlined-surface-500"
								onclick={() => (meterOn_ms = Date.now())}>Simulated meter</button
							>{/if}
						{#if shown !== null}
							<span><b class="figure">{shown.toFixed(1)} %</b> simulated</span>
							<button type="button" class="btn preset-outlined-surface-500" onclick={() => (reading = shown.toFixed(1))}
								>Take it</button
							>
						{/if}
					</p>
					<div class="fields">
						<label
							>Its 100 % is <select
								class="select"
								name="percentOf"
								value={given(due.parameter, 'percentOf') || 'sea-level'}
								><option value="sea-level">air at sea level</option><option value="local">air where it is</option
								></select
							></label
						>
						<label
							>Reading, % <input
								class="input"
								name="reading_percent"
								inputmode="decimal"
								required
								bind:value={reading}
							/></label
						>
						<label
							>Temperature in the sleeve, °C <input
								class="input"
								name="temperature_C"
								inputmode="decimal"
								required
								value={given(due.parameter, 'temperature_C')}
							/></label
						>
						<label
							>Pressure here, kPa <input
								class="input"
								name="pressure_kPa"
								inputmode="decimal"
								value={given(due.parameter, 'pressure_kPa')}
							/></label
						>
						<label
							>or height here, m <input
								class="input"
								name="elevation_m"
								inputmode="decimal"
								value={given(due.parameter, 'elevation_m')}
							/></label
						>
						<label
							>Minutes in the sleeve <input
								class="input"
								name="settled_min"
								inputmode="decimal"
								required
								value={given(due.parameter, 'settled_min') ||
									(inSleeve_min === null ? '' : String(Math.floor(inSleeve_min)))}
							/></label
						>
					</div>
				{:else if due.way === 'standard'}
					<p class="how">
						Probe rinsed in the standard, then in fresh standard, no bubble in its cell. Read it when it stands still.
					</p>
					<div class="fields">
						<label
							>Standard, {due.unitSymbol}
							<input
								class="input"
								name="standard"
								inputmode="decimal"
								required
								value={given(due.parameter, 'standard') || (due.parameter === 'conductivity' ? '1413' : '')}
							/></label
						>
						<label
							>Reading, {due.unitSymbol}
							<input
								class="input"
								name="reading"
								inputmode="decimal"
								required
								value={given(due.parameter, 'reading')}
							/></label
						>
					</div>
				{:else if due.way === 'thermometer'}
					<p class="how">Both in the same stirred water, side by side, until neither moves.</p>
					<div class="fields">
						<label
							>This one, °C <input
								class="input"
								name="reading_C"
								inputmode="decimal"
								required
								value={given(due.parameter, 'reading_C')}
							/></label
						>
						<label
							>The other one, °C <input
								class="input"
								name="other_C"
								inputmode="decimal"
								required
								value={given(due.parameter, 'other_C')}
							/></label
						>
					</div>
				{:else}
					<p class="how">Rinse between buffers; buffers at one temperature. Two are enough, three are better.</p>
					<div class="fields">
						<label
							>In buffer 4 <input
								class="input"
								name="low"
								inputmode="decimal"
								required
								value={given(due.parameter, 'low')}
							/></label
						>
						<label
							>In buffer 7 <input
								class="input"
								name="middle"
								inputmode="decimal"
								required
								value={given(due.parameter, 'middle')}
							/></label
						>
						<label
							>In buffer 10, if there is one <input
								class="input"
								name="high"
								inputmode="decimal"
								value={given(due.parameter, 'high')}
							/></label
						>
					</div>
				{/if}
				<button class="btn preset-filled-primary-500">Judge and keep</button>
			</form>
		</section>
	{:else}
		<p>Nothing on this instrument is calibrated on the day.</p>
	{/each}
</main>

<style>
	.page {
		padding: 0.875rem 1.625rem 1.875rem;
		max-width: 56.25rem;
	}
	.top {
		display: flex;
		flex-wrap: wrap;
		align-items: baseline;
		gap: 0.875rem;
		border-bottom: 2px solid var(--ink);
		padding-bottom: 0.5rem;
	}
	.top a {
		margin-left: auto;
	}
	section {
		margin-top: 1rem;
	}
	.how {
		max-width: 62ch;
	}
	.acts {
		display: flex;
		flex-wrap: wrap;
		gap: 0.625rem;
		align-items: center;
		margin: 0.5rem 0;
	}
	.fields {
		display: grid;
		grid-template-columns: repeat(auto-fit, minmax(9.375rem, 1fr));
		gap: 0.5rem 1rem;
		align-items: end;
		margin: 0.5rem 0 0.75rem;
	}
	.fields input {
		width: 100%;
		min-height: 2.75rem;
	}
	.figure {
		font-size: 1.375rem;
	}
	.say {
		margin: 0.5rem 0;
	}
	@media (max-width: 700px) {
		.page {
			padding: 0.625rem 0.875rem 1.5rem;
		}
	}
</style>
