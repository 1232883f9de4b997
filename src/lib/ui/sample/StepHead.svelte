<script module lang="ts">
	import type { OrderedStep } from '$lib/core/method';

	export interface Props {
		ordered: OrderedStep;
		number: number;
		of: number;
		/** Once the step is under way its caution folds to one line, still there at a tap. */
		isUnderWay?: boolean;
	}
</script>

<script lang="ts">
	import { cautionFor } from '$lib/core/safety';
	import TriangleAlert from '@lucide/svelte/icons/triangle-alert';

	let { ordered, number, of, isUnderWay = false }: Props = $props();

	const caution = $derived(cautionFor(ordered.step.caution));
</script>

<header class:compact={isUnderWay}>
	<small>step {number} of {of}</small>
	<h1>{ordered.step.title}</h1>
	{#if !isUnderWay}<p class="how">{ordered.step.how}</p>{/if}
	{#if caution && isUnderWay}
		<details class="folded">
			<summary><TriangleAlert size={16} aria-hidden="true" /> {caution[0].split('. ')[0]}.</summary>
			<p>{caution[0]} {caution[1]}</p>
			<p>{ordered.step.how}</p>
		</details>
	{:else if caution}
		<div class="caution" role="note">
			<TriangleAlert size={20} aria-hidden="true" />
			<p>{caution[0]}<br />{caution[1]}</p>
		</div>
	{/if}
	{#if ordered.because.length && !isUnderWay}
		<details>
			<summary>Why now</summary>
			<ul>
				{#each ordered.because as reason (reason)}<li>{reason}</li>{/each}
			</ul>
		</details>
	{/if}
</header>

<style>
	h1 {
		font-size: 27px;
	}
	.how {
		color: var(--ink-2);
		font-size: 16px;
		margin-top: 4px;
	}
	.caution {
		display: grid;
		grid-template-columns: auto 1fr;
		gap: 8px;
		margin-top: 8px;
		padding: 6px 10px;
		border: 2px solid var(--danger);
		border-radius: 5px;
		background: var(--page);
		color: var(--ink);
		font-size: 14.5px;
		line-height: 1.35;
	}
	.caution :global(svg) {
		color: var(--danger);
	}
	.compact {
		display: flex;
		flex-wrap: wrap;
		align-items: baseline;
		gap: 0 12px;
	}
	.compact small {
		order: 2;
	}
	.compact h1 {
		font-size: 22px;
	}
	.compact details {
		order: 3;
		width: 100%;
		margin: 0;
	}
	.folded:not([open]) summary {
		overflow: hidden;
		white-space: nowrap;
		text-overflow: ellipsis;
	}
	.folded summary :global(svg) {
		display: inline;
		vertical-align: -2px;
		color: var(--danger);
	}
	details {
		margin-top: 6px;
		font-size: 15px;
		color: var(--ink-2);
	}
	summary {
		cursor: pointer;
		min-height: 24px;
	}
	ul {
		margin: 2px 0 0 18px;
		list-style: disc;
	}
</style>
