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
		<button type="button" aria-pressed={chip.isOn} onclick={() => ontap(chip.id)}>{chip.word}</button>
	{/each}
</fieldset>

<style>
	fieldset {
		display: flex;
		flex-wrap: wrap;
		gap: 7px;
		border: 0;
		padding: 0;
		margin: 0 0 14px;
		min-width: 0;
	}
	legend {
		font-weight: 600;
		margin-bottom: 5px;
	}
	.small {
		width: 100%;
	}
	button {
		min-height: 48px;
		padding: 4px 14px;
		border: 1.5px solid var(--ink-3);
		border-radius: 24px 6px 24px 6px; /* a leaf */
		background: var(--page);
		color: var(--ink);
		font-size: 16.5px;
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
