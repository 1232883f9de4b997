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
		<button type="button" class="act" onclick={() => onstrike(reason)}>{reason}</button>
	{/each}
	<button type="button" class="act plain" onclick={oncancel}>leave it</button>
</fieldset>

<style>
	fieldset {
		display: flex;
		flex-wrap: wrap;
		gap: 6px;
		margin-top: 10px;
		border: 0;
		padding: 0;
	}
	legend {
		font-weight: 600;
		margin-bottom: 6px;
	}
	button {
		min-height: 48px;
	}
</style>
