<script module lang="ts">
	import type { StepScreen } from '../subjects/step-screen';

	export interface Props {
		screen: StepScreen;
		step: { id: string; title: string };
	}
</script>

<script lang="ts">
	import PhotoPanel from '../entry/PhotoPanel.svelte';
	import WordsField from '../entry/WordsField.svelte';

	let { screen, step }: Props = $props();

	const path = $derived(`remarks/${step.id}`);
	const writer = $derived(screen.writer);
	/** As photos of a step were named once. */
	const also = $derived([step.id, step.id.replaceAll('-', ' ')]);
	const isThere = $derived(
		writer.lines.has(path) ||
			writer.drafts[path] !== undefined ||
			Object.values(screen.sheet.photos ?? {}).some(
				(p) => p.compartment === undefined && (p.of === step.title || also.includes(p.of ?? ''))
			)
	);
</script>

{#key path}
	<details open={isThere}>
		<summary>Remark, photo, sketch</summary>
		<WordsField {writer} {path} label="What a figure does not say: whoever comes next reads it on arrival" rows={2} />
		<PhotoPanel {screen} of={step.title} {also} />
	</details>
{/key}

<style>
	details {
		margin-top: 0.625rem;
	}
	summary {
		min-height: 3rem;
		padding-top: 0.75rem;
		cursor: pointer;
	}
</style>
