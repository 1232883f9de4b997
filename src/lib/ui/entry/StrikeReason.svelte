<script module lang="ts">
	export interface Props {
		/** The usual slips at this place. */
		reasons?: readonly string[];
		onstrike: (reason: string) => void;
		oncancel: () => void;
	}
	const usual = ['misread', 'wrong unit', 'wrong place', 'meter not settled'];
</script>

<script lang="ts">
	let { onstrike, oncancel, reasons = usual }: Props = $props();
</script>

<fieldset>
	<legend>Why is it struck? It stays readable.</legend>
	{#each reasons as reason (reason)}
		<button type="button" class="btn preset-outlined-primary-500" onclick={() => onstrike(reason)}>{reason}</button>
	{/each}
	<button type="button" class="btn preset-outlined-surface-500" onclick={oncancel}>leave it</button>
</fieldset>

<style>
	fieldset {
		display: flex;
		flex-wrap: wrap;
		gap: 0.375rem;
		margin-top: 0.625rem;
		border: 0;
		padding: 0;
	}
	legend {
		font-weight: 600;
		margin-bottom: 0.375rem;
	}
	button {
		min-height: 3rem;
	}
</style>
