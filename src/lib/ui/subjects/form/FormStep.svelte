<script lang="ts">
	import type { StepOf } from '$lib/core/subjects/steps';
	import type { StepScreen } from '../step-screen';
	import FormTool from './FormTool.svelte';

	let { step, screen }: { step: StepOf<'form'>; screen: StepScreen } = $props();
</script>

<FormTool
	form={step.form}
	answers={screen.sheet[step.form]}
	usual={step.form === 'conditions' ? (screen.site?.usualAnswers ?? {}) : {}}
	last={step.form === 'conditions' ? screen.site?.lastVisit?.conditions : undefined}
	writer={screen.writer}
/>
