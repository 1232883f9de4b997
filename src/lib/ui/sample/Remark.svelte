<script module lang="ts">
	import type { Hand } from './hand';

	export interface Props {
		hand: Hand;
		stepId: string;
	}
</script>

<script lang="ts">
	import WordsField from './WordsField.svelte';

	let { hand, stepId }: Props = $props();

	const path = $derived(`remarks/${stepId}`);
	const isThere = $derived(hand.lines.has(path) || hand.drafts[path] !== undefined);
</script>

{#key path}
	<details open={isThere}>
		<summary>Remark</summary>
		<WordsField {hand} {path} label="What a figure does not say: whoever comes next reads it on arrival" rows={2} />
	</details>
{/key}

<style>
	details {
		margin-top: 10px;
	}
	summary {
		min-height: 48px;
		padding-top: 12px;
		cursor: pointer;
	}
</style>
