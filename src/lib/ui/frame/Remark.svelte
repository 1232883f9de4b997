<script module lang="ts">
	import type { Writer } from '../entry/writer';

	export interface Props {
		writer: Writer;
		stepId: string;
	}
</script>

<script lang="ts">
	import WordsField from '../entry/WordsField.svelte';

	let { writer, stepId }: Props = $props();

	const path = $derived(`remarks/${stepId}`);
	const isThere = $derived(writer.lines.has(path) || writer.drafts[path] !== undefined);
</script>

{#key path}
	<details open={isThere}>
		<summary>Remark</summary>
		<WordsField {writer} {path} label="What a figure does not say: whoever comes next reads it on arrival" rows={2} />
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
