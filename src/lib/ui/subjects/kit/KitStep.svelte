<script lang="ts">
	import { colourPath, isOnOneStrip } from '$lib/core/subjects/kit/step';
	import { stepsOf, type StepOf } from '$lib/core/subjects/steps';
	import MeansNow from '../../frame/MeansNow.svelte';
	import { foundAt, type StepScreen } from '../step-screen';
	import KitTool from './KitTool.svelte';

	let { step, screen }: { step: StepOf<'kit'>; screen: StepScreen } = $props();
</script>

<KitTool
	{step}
	pads={stepsOf(screen.card, 'kit').filter((other) => isOnOneStrip(step, other))}
	others={screen.otherWaits}
	isOnPaper={screen.isOnPaper}
	writer={screen.writer}
	hrefOf={(id) => screen.hrefOf(id)}
	onstart={() => screen.mayCall()}
/>
<MeansNow {screen} parameters={[step.parameter]} results={foundAt(screen, colourPath(step), step.parameter)} />
