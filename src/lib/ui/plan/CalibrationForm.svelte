<script module lang="ts">
	import type { SuperValidated } from 'sveltekit-superforms';
	import type { Calibrated } from '$lib/core/quality';

	/** What came of it, as the server judged. */
	export interface Judged {
		passed: boolean;
		said: string;
	}
	export interface Props {
		code: string;
		due: { parameter: string; way: Calibrated['way']; unitSymbol: string };
		form: SuperValidated<Record<string, string>, Judged>;
		/** A simulated meter, in the demo. */
		simulated: ((on_s: number) => number | null) | null;
	}
</script>

<script lang="ts">
	import { untrack } from 'svelte';
	import { superForm } from 'sveltekit-superforms';
	import { zod4Client } from 'sveltekit-superforms/adapters';
	import { calibrationForm } from '$lib/core/quality';
	import SleeveClock from './SleeveClock.svelte';

	let { code, due, form: given, simulated }: Props = $props();

	const { form, errors, message, submitting, enhance } = superForm(
		untrack(() => given),
		{
			id: untrack(() => due.parameter),
			validators: untrack(() => zod4Client(calibrationForm(due.way))),
			validationMethod: 'auto',
			resetForm: false,
			invalidateAll: true
		}
	);

	const ways = {
		sleeve: {
			how: 'Probe in the moist, vented sleeve, not under water. Ten minutes to settle, out of the sun. Then read percent.',
			fields: {
				reading_percent: 'Reading, %',
				temperature_C: 'Temperature in the sleeve, °C',
				pressure_kPa: 'Pressure here, kPa',
				elevation_m: 'or height here, m',
				settled_min: 'Minutes in the sleeve'
			}
		},
		standard: {
			how: 'Probe rinsed in the standard, then in fresh standard, no bubble in its cell. Read it when it stands still.',
			fields: {
				standard: `Standard, ${untrack(() => due.unitSymbol)}`,
				reading: `Reading, ${untrack(() => due.unitSymbol)}`
			}
		},
		thermometer: {
			how: 'Both in the same stirred water, side by side, until neither moves.',
			fields: { reading_C: 'This one, °C', other_C: 'The other one, °C' }
		},
		buffers: {
			how: 'Rinse between buffers; buffers at one temperature. Two are enough, three are better.',
			fields: { low: 'In buffer 4', middle: 'In buffer 7', high: 'In buffer 10, if there is one' }
		}
	};
	const { how, fields } = $derived(ways[due.way]);
</script>

{#if $message}
	<p class="say {$message.passed ? 'ask' : 'spoils'}" role="status">
		<b>{$message.passed ? 'Passed.' : 'It does not pass.'}</b>
		{code}
		{$message.said}. {$message.passed
			? ''
			: 'Clean it, wait, and try again, or take another instrument. What was read is kept.'}
	</p>
{/if}
<form method="POST" novalidate use:enhance>
	<input type="hidden" name="parameter" value={due.parameter} />
	<p class="how">{how}</p>
	{#if due.way === 'sleeve'}
		<SleeveClock
			{code}
			{simulated}
			onread={(percent) => ($form['reading_percent'] = percent)}
			onminutes={(minutes) => ($form['settled_min'] = minutes)}
		/>
	{/if}
	<div class="fields">
		{#if due.way === 'sleeve'}
			<label
				>Its 100 % is <select class="select" name="percentOf" bind:value={$form['percentOf']}
					><option value="sea-level">air at sea level</option><option value="local">air where it is</option></select
				></label
			>
		{/if}
		{#each Object.entries(fields) as [name, label] (name)}
			{@const why = $errors[name]?.[0]}
			<div>
				<label for="{due.parameter}-{name}">{label}</label>
				<input
					id="{due.parameter}-{name}"
					{name}
					class="input"
					inputmode="decimal"
					autocomplete="off"
					aria-invalid={why !== undefined}
					aria-describedby={why ? `${due.parameter}-${name}-why` : undefined}
					bind:value={$form[name]}
				/>
				{#if why}<p class="why" id="{due.parameter}-{name}-why" role="alert">{why}</p>{/if}
			</div>
		{/each}
	</div>
	{#if $errors._errors}<p class="why" role="alert">{$errors._errors.join(' ')}</p>{/if}
	<button class="btn preset-filled-primary-500" disabled={$submitting}>Judge and save</button>
</form>

<style>
	.how {
		max-width: 62ch;
	}
	.fields {
		display: grid;
		grid-template-columns: repeat(auto-fit, minmax(9.375rem, 1fr));
		gap: 0.5rem 1rem;
		align-items: start;
		margin: 0.5rem 0 0.75rem;
	}
	.fields :is(input, select) {
		width: 100%;
		min-height: 2.75rem;
	}
	.why {
		color: var(--danger);
		font-weight: 600;
	}
	.say {
		margin: 0.5rem 0;
	}
</style>
