<script module lang="ts">
	export interface Props {
		/** What is waited for. */
		label: string;
		/** What is read from afar: the time that is left, or what to do. */
		big: string;
		words: string;
		isReady?: boolean;
	}
</script>

<script lang="ts">
	let { label, big, words, isReady = false }: Props = $props();
</script>

<div class:isReady role="timer" aria-label={label}>
	<b>{big}</b>
	<p>{words}</p>
</div>

<style>
	div {
		border: 2px solid var(--ochre-2);
		border-radius: 0.375rem;
		padding: 0.625rem 0.875rem;
		text-align: center;
	}
	b {
		font: 600 3.25rem/1.1 var(--head);
	}
	.isReady {
		border: 4px solid var(--water);
	}
</style>
