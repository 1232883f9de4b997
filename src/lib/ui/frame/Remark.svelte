<script module lang="ts">
	import type { StepScreen } from '../subjects/step-screen';

	export interface Props {
		screen: StepScreen;
		step: { id: string; title: string };
	}
</script>

<script lang="ts">
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
	/** The step whose remark was opened by hand. */
	let opened = $state('');
</script>

{#key path}
	<details open={isThere} ontoggle={(e) => e.currentTarget.open && (opened = path)}>
		<summary>Remark, photo, sketch</summary>
		{#if isThere || opened === path}
			{#await import('./RemarkFields.svelte') then { default: RemarkFields }}
				<RemarkFields {screen} {path} of={step.title} {also} />
			{/await}
		{/if}
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
