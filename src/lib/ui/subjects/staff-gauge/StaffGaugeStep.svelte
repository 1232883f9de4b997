<script lang="ts">
	import { parameters } from '$lib/core/quantity';
	import { levelSpoilers } from '$lib/core/subjects/staff-gauge/branch';
	import { LEVEL_PATH } from '$lib/core/subjects/staff-gauge/step';
	import { levelSpoilerWords } from '$lib/core/subjects/staff-gauge/words';
	import type { StepOf } from '$lib/core/subjects/steps';
	import Chips from '../../entry/Chips.svelte';
	import { valueAt } from '../../entry/writer';
	import MeansNow from '../../frame/MeansNow.svelte';
	import StepDoubts from '../../frame/StepDoubts.svelte';
	import ReadingTool from '../reading/ReadingTool.svelte';
	import type { StepScreen } from '../step-screen';

	let { step, screen }: { step: StepOf<'staff'>; screen: StepScreen } = $props();

	const slots = [{ id: 'board', label: 'on the board', path: LEVEL_PATH }];
	function tap(id: string) {
		const path = `staff/spoilers/${id}`;
		if (valueAt(screen.writer, path) === true) screen.writer.strike(path, 'taken back');
		else void screen.writer.set(path, true);
	}
</script>

<ReadingTool
	writer={screen.writer}
	parameter="water-level"
	known={parameters['water-level']}
	unit={step.unit}
	{slots}
	instruments={[]}
	signs={['−', '']}
>
	{#snippet answer()}
		<MeansNow {screen} parameters={['water-level']} />
		<StepDoubts {screen} />
	{/snippet}
</ReadingTool>
<Chips
	legend="What stands in the way (tap what is so)"
	help="Such a level is kept, and no flow is read from it."
	chips={levelSpoilers.map((id) => ({
		id,
		word: levelSpoilerWords[id],
		isOn: screen.sheet.staff?.spoilers?.[id] === true
	}))}
	ontap={tap}
/>
