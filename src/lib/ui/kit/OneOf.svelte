<!-- One of a few, chosen by a tap: buttons beside each other, the chosen one filled. -->
<script lang="ts" generics="Choice extends string">
	interface Props {
		/** What is chosen, for who hears the page. */
		label: string;
		/** Each choice with its word, in the order in which they stand. */
		words: Readonly<Record<Choice, string>>;
		chosen: Choice | null | undefined;
		onchoose: (choice: Choice) => void;
	}
	let { label, words, chosen, onchoose }: Props = $props();

	const choices = $derived(Object.entries(words) as [Choice, string][]);
</script>

<div role="group" aria-label={label}>
	{#each choices as [choice, word] (choice)}
		<button
			type="button"
			class={['btn', chosen === choice ? 'preset-filled-primary-500' : 'preset-outlined-surface-500']}
			aria-pressed={chosen === choice}
			onclick={() => onchoose(choice)}>{word}</button
		>
	{/each}
</div>

<style>
	div {
		display: flex;
		flex-wrap: wrap;
		align-items: center;
		gap: 0.375rem;
		margin-block: 0.25rem;
	}
	.btn {
		min-height: 3rem;
	}
</style>
