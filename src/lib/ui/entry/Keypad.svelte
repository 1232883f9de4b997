<script module lang="ts">
	export interface Props {
		/** A key was pressed: a digit, a sign, or "back". */
		onkey: (key: string) => void;
		onkeep: () => void;
		keepWord?: string;
		/** Which sign keys there are beside the digits. */
		signs?: readonly string[];
		disabled?: boolean;
	}
</script>

<script lang="ts">
	import Delete from '@lucide/svelte/icons/delete';

	let { onkey, onkeep, keepWord = 'Keep', signs = ['<', '−'], disabled = false }: Props = $props();

	const names: Record<string, string> = { '<': 'below', '>': 'over', '−': 'minus', '.': 'decimal point' };
</script>

<div class="pad" role="group" aria-label="Keys">
	{#each ['7', '8', '9', 'back', '4', '5', '6', signs[0] ?? '', '1', '2', '3', 'keep', '.', '0', signs[1] ?? ''] as key (key)}
		{#if key === 'keep'}
			<button type="button" class="keep" {disabled} onclick={onkeep}>{keepWord}</button>
		{:else if key === 'back'}
			<button type="button" aria-label="delete" onclick={() => onkey('back')}><Delete aria-hidden="true" /></button>
		{:else if key === ''}
			<span></span>
		{:else}
			<button type="button" aria-label={names[key]} onclick={() => onkey(key)}>{key}</button>
		{/if}
	{/each}
</div>

<style>
	.pad {
		display: grid;
		grid-template-columns: repeat(4, 1fr);
		gap: 6px;
	}
	button {
		display: grid;
		place-items: center;
		min-height: 52px;
		font-size: 23px;
		border: 1px solid var(--rule);
		border-radius: 6px;
		background: var(--paper);
		color: var(--ink);
		touch-action: manipulation;
		cursor: pointer;
	}
	button:active {
		background: var(--water-4);
	}
	.keep {
		grid-row: span 2;
		background: var(--water);
		border-color: var(--water);
		color: var(--page);
		font-size: 17px;
		font-weight: 650;
	}
	.keep:disabled {
		background: var(--paper-3);
		border-color: var(--paper-3);
		color: var(--ink-2);
	}
</style>
