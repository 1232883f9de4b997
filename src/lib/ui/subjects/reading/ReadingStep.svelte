<script module lang="ts">
	import type { ParameterCode } from '$lib/core/quantity';

	/** What follows from a reading, said at once under it. */
	const following: Partial<Record<ParameterCode, readonly ParameterCode[]>> = {
		'dissolved-oxygen': ['oxygen-saturation'],
		conductivity: ['conductance25', 'salinity']
	};
</script>

<script lang="ts">
	import { parameterOf } from '$lib/core/quantity';
	import { slotsAsked } from '$lib/core/subjects/reading/step';
	import type { StepOf } from '$lib/core/subjects/steps';
	import Chips from '../../entry/Chips.svelte';
	import StepDoubts from '../../frame/StepDoubts.svelte';
	import MeansNow from '../../frame/MeansNow.svelte';
	import { foundAt, type StepScreen } from '../step-screen';
	import ReadingTool from './ReadingTool.svelte';

	let { step, screen }: { step: StepOf<'reading'>; screen: StepScreen } = $props();

	const place = $derived(`readings/${step.parameter}`);
	/** Where a figure is asked for, and where one stands: from the bank one place will do. */
	const slots = $derived.by(() => {
		const asked = slotsAsked(step, screen.sheet).map((s) => s.id);
		return step.slots
			.map((s) => ({ ...s, path: `${place}/${s.id}` }))
			.filter((s) => asked.includes(s.id) || screen.lines.get(s.path)?.live);
	});
	const isAt25 = $derived(screen.sheet.meters?.conductivityAt25);
</script>

<ReadingTool
	writer={screen.writer}
	parameter={step.parameter}
	known={parameterOf(step.parameter, screen.card.own)}
	unit={step.unit}
	{slots}
	instruments={screen.instrumentsFor(step.parameter)}
	meter={step.settled && screen.meterFor(step.parameter, step.settled)}
>
	{#snippet answer()}
		<MeansNow
			{screen}
			parameters={[step.parameter, ...(following[step.parameter] ?? [])]}
			results={foundAt(screen, place, step.parameter)}
		/>
		<StepDoubts {screen} />
	{/snippet}
</ReadingTool>
{#if step.parameter === 'conductivity'}
	<Chips
		legend="Does the display say “25 °C” or “SpC”?"
		help="Then the meter has brought its figure to 25 °C by itself, and it is not done twice."
		chips={[
			{ id: 'no', word: 'no, as it is', isOn: isAt25 === false },
			{ id: 'yes', word: 'yes, at 25 °C', isOn: isAt25 === true }
		]}
		ontap={(id) => void screen.writer.set('meters/conductivityAt25', id === 'yes')}
	/>
{/if}
