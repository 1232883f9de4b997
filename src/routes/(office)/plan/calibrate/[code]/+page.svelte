<script lang="ts">
	import { counted, sayDay, sayTime } from '$lib/core/wording';
	import { simulatedMeter } from '$lib/field/devices/simulated-meter';
	import CalibrationForm from '$lib/ui/plan/CalibrationForm.svelte';
	import type { PageProps } from './$types';

	let { data }: PageProps = $props();

	const { timeZone } = $derived(data.program);
	const meter = simulatedMeter({ starts: 84, rests: 97.6, settling_s: 25, jitter: 0.12, decimals: 1, seed: 7 });
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
			<CalibrationForm
				code={data.instrument.code}
				{due}
				form={due.form}
				simulated={data.program.isDemo ? meter.reading : null}
			/>
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
	@media (max-width: 700px) {
		.page {
			padding: 0.625rem 0.875rem 1.5rem;
		}
	}
</style>
