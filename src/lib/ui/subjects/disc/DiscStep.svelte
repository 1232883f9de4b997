<script lang="ts">
	import type { StepOf } from '$lib/core/subjects/steps';
	import MeansNow from '../../frame/MeansNow.svelte';
	import StepDoubts from '../../frame/StepDoubts.svelte';
	import type { StepScreen } from '../step-screen';
	import DiscTool from './DiscTool.svelte';

	let { step, screen }: { step: StepOf<'disc'>; screen: StepScreen } = $props();
</script>

<DiscTool writer={screen.writer} unit={step.unit} disc={screen.sheet.disc}>
	{#snippet answer()}
		<MeansNow {screen} parameters={['disc-depth']} />
		<StepDoubts {screen} />
	{/snippet}
</DiscTool>
