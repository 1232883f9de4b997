<script module lang="ts">
	import type { ReportMapping, ReportPlan } from '$lib/core/lab-report';
	import type { OwnParameters } from '$lib/core/quantity';

	export interface Props {
		/** What was asked so far stays, with what was answered. */
		asked: Pick<ReportPlan, 'unknown' | 'strange' | 'missingFields' | 'isDecimalAsked'>;
		mapping: ReportMapping;
		own: OwnParameters;
		/** Something was answered. */
		onsaid: () => void;
	}
</script>

<script lang="ts">
	import { reportFields, unitKey } from '$lib/core/lab-report';
	import {
		codesWith,
		isUnitOf,
		parameterOf,
		unitCodes,
		units,
		type ParameterCode,
		type Unit
	} from '$lib/core/quantity';
	import Questions from '../kit/Questions.svelte';

	let { asked, mapping = $bindable(), own, onsaid }: Props = $props();

	const nameOf = (code: ParameterCode) => parameterOf(code, own).name;
	const codes = $derived(codesWith(own));
	const words = $derived(asked.strange.filter((w) => w.of === 'parameter'));
	const strangeUnits = $derived(asked.strange.filter((w) => w.of === 'unit'));
	const isAnything = $derived(
		asked.unknown.length > 0 ||
			asked.missingFields.length > 0 ||
			words.length > 0 ||
			strangeUnits.length > 0 ||
			asked.isDecimalAsked
	);
	const unitsFor = (code: ParameterCode) => unitCodes.filter((u) => isUnitOf(parameterOf(code, own), u));

	function say(change: () => void) {
		change();
		onsaid();
	}
</script>

{#if isAnything}
	<Questions legend="What this lab’s words mean" hint="Said once: the lab’s next report is read so too.">
		{#each asked.unknown as { heading, example } (heading)}
			<label>
				<span class="small">heading “{heading}”</span>
				<select
					class="select"
					value={mapping.headings[heading] ?? ''}
					onchange={({ currentTarget }) =>
						say(() => (mapping.headings[heading] = currentTarget.value as keyof typeof reportFields | ''))}
				>
					<option value="">says nothing here</option>
					{#each Object.entries(reportFields) as [field, name] (field)}<option value={field}>{name}</option>{/each}
				</select>
				<small>under it: {example || 'nothing'}</small>
			</label>
		{/each}
		{#each words as { text } (text)}
			<label>
				<span class="small">“{text}” is</span>
				<select
					class="select"
					value={mapping.parameters[text] ?? ''}
					onchange={({ currentTarget }) =>
						say(() => (mapping.parameters[text] = currentTarget.value as ParameterCode | ''))}
				>
					<option value="">nothing that is kept here</option>
					{#each codes as code (code)}<option value={code}>{nameOf(code)}</option>{/each}
				</select>
			</label>
		{/each}
		{#each strangeUnits as { text, parameter } (parameter + text)}
			<label>
				<span class="small">{nameOf(parameter)} in “{text}” is in</span>
				<select
					class="select"
					value={mapping.units[unitKey(parameter, text)] ?? ''}
					onchange={({ currentTarget }) =>
						currentTarget.value !== '' &&
						say(() => (mapping.units[unitKey(parameter, text)] = currentTarget.value as Unit))}
				>
					<option value="">not known: refuse its rows</option>
					{#each unitsFor(parameter) as unit (unit)}<option value={unit}>{units[unit].symbol}</option>{/each}
				</select>
			</label>
		{/each}
		{#if asked.isDecimalAsked}
			<label>
				<span class="small">a comma in a figure parts</span>
				<select
					class="select"
					value={mapping.decimals ?? ''}
					onchange={({ currentTarget }) =>
						currentTarget.value !== '' &&
						say(() => (mapping.decimals = currentTarget.value as ReportMapping['decimals']))}
				>
					<option value="">not known: refuse such rows</option>
					<option value="comma">decimals: 1,240 is a little over one</option>
					<option value="point">thousands: 1,240 is over a thousand</option>
				</select>
			</label>
		{/if}
		{#snippet after()}
			{#if asked.missingFields.length}
				<p class="why" role="alert">
					Still to be found: {asked.missingFields.map((f) => reportFields[f]).join(', ')}. Say under which headings.
				</p>
			{/if}
		{/snippet}
	</Questions>
{/if}

<style>
	.why {
		color: var(--danger);
		font-weight: 600;
		margin-top: 0.5rem;
	}
</style>
