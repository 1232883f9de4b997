<script lang="ts">
	import type { StepOf } from '$lib/core/subjects/steps';
	import MeansNow from '../../frame/MeansNow.svelte';
	import StepDoubts from '../../frame/StepDoubts.svelte';
	import type { StepScreen } from '../step-screen';
	import TubeTool from './TubeTool.svelte';

	let { step, screen }: { step: StepOf<'tube'>; screen: StepScreen } = $props();
</script>

<TubeTool writer={screen.writer} tubeLength_cm={step.tubeLength_cm}>
	{#snippet answer()}
		<MeansNow {screen} parameters={['tube-depth', 'turbidity']} />
		<StepDoubts {screen} />
	{/snippet}
</TubeTool>
