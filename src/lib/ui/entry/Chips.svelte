<script module lang="ts">
	export interface Chip {
		id: string;
		word: string;
		isOn: boolean;
	}
	export interface Props {
		/** What is asked. */
		legend: string;
		chips: readonly Chip[];
		/** A choice was tapped: on where it was off, else taken back. */
		ontap: (id: string) => void;
		help?: string | undefined;
	}
</script>

<script lang="ts">
	let { legend, chips, ontap, help }: Props = $props();
</script>

<fieldset>
	<legend>{legend}</legend>
	{#if help}<p class="small">{help}</p>{/if}
	{#each chips as chip (chip.id)}
		<button type="button" class="chip" aria-pressed={chip.isOn} onclick={() => ontap(chip.id)}>{chip.word}</button>
	{/each}
</fieldset>

<style>
	fieldset {
		display: flex;
		flex-wrap: wrap;
		gap: 0.4375rem;
		border: 0;
		padding: 0;
		margin: 0 0 0.875rem;
		min-width: 0;
	}
	legend {
		font-weight: 600;
		margin-bottom: 0.3125rem;
	}
	.small {
		width: 100%;
	}
	button {
		min-height: 3rem;
		padding: 0.25rem 0.875rem;
		border: 1.5px solid var(--ink-3);
		border-radius: 1.5rem 0.375rem 1.5rem 0.375rem; /* a leaf */
		background: var(--page);
		color: var(--ink);
		font-size: 1.0313rem;
		touch-action: manipulation;
		cursor: pointer;
	}
	button[aria-pressed='true'] {
		background: var(--water);
		border-color: var(--water);
		color: var(--page);
		font-weight: 650;
		text-decoration: underline;
	}
</style>
