<script module lang="ts">
	import type { Keys } from './keypad-dock.svelte';

	export type Props = Pick<Keys, 'onkey' | 'signs' | 'hasPoint'>;
	const names: Record<string, string> = { '<': 'below', '>': 'over', '−': 'minus', '.': 'decimal point' };
</script>

<script lang="ts">
	import Delete from '@lucide/svelte/icons/delete';
	import { decimalMark } from '$lib/core/quantity';

	let { onkey, signs, hasPoint }: Props = $props();

	/** People write a decimal comma or a point; both are read. */
	const point = decimalMark() === ',' || (1.5).toLocaleString().includes(',') ? ',' : '.';
	const digits = ['7', '8', '9', '4', '5', '6', '1', '2', '3'];
</script>

<div class="pad" role="group" aria-label="Keys">
	{#each digits as key (key)}
		<button type="button" style:grid-area="k{key}" onclick={() => onkey(key)}>{key}</button>
	{/each}
	<button type="button" class="zero" class:wide={!hasPoint} onclick={() => onkey('0')}>0</button>
	{#if hasPoint}
		<button type="button" class="point" aria-label={names['.']} onclick={() => onkey(point)}>{point}</button>
	{/if}
	{#each [0, 1] as i (i)}
		{@const sign = signs[i]}
		{#if sign}
			<button type="button" style:grid-area="s{i}" aria-label={names[sign]} onclick={() => onkey(sign)}>{sign}</button>
		{/if}
	{/each}
	<button type="button" class="delete" aria-label="delete" onclick={() => onkey('back')}
		><Delete aria-hidden="true" /></button
	>
</div>

<style>
	.pad {
		display: grid;
		grid-template: 'k7 k8 k9 s0' 'k4 k5 k6 s1' 'k1 k2 k3 de' 'po ze ze de' / 1fr 1fr 1fr 1fr;
		gap: 0.3125rem;
	}
	button {
		display: grid;
		place-items: center;
		/* as large as the letters are, as far as the screen bears it; never under a finger's 44 px */
		min-height: max(44px, min(2.875rem, 7.5vh));
		font-size: min(1.35rem, 6vw);
		border: 1px solid var(--rule);
		border-radius: 0.375rem;
		background: var(--paper);
		color: var(--ink);
		touch-action: manipulation;
		cursor: pointer;
	}
	button:active {
		background: var(--water-4);
	}
	.zero {
		grid-area: ze;
	}
	.zero.wide {
		grid-column: 1 / 4;
	}
	.point {
		grid-area: po;
	}
	.delete {
		grid-area: de;
	}
	@media (max-height: 600px) {
		button {
			min-height: 44px;
		}
	}
</style>
