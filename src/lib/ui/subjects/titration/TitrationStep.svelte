<script lang="ts">
	import type { StepOf } from '$lib/core/subjects/steps';
	import MeansNow from '../../frame/MeansNow.svelte';
	import { foundAt, type StepScreen } from '../step-screen';
	import TitrationTool from './TitrationTool.svelte';

	let { step, screen }: { step: StepOf<'titration'>; screen: StepScreen } = $props();
</script>

<TitrationTool
	{step}
	titrations={screen.sheet.titrations}
	checks={screen.sheet.titrantChecks}
	isOnPaper={screen.isOnPaper}
	isThirdAsked={screen.flags.some((f) => f.code === 'titrations-apart')}
	writer={screen.writer}
	onstart={() => screen.mayCall()}
/>
<MeansNow
	{screen}
	parameters={['dissolved-oxygen', 'oxygen-saturation']}
	results={foundAt(screen, 'titrations', 'dissolved-oxygen')}
/>
