<script module lang="ts">
	import type { OrderedStep } from '$lib/core/method';

	export interface Props {
		ordered: OrderedStep;
		/** Once the step is under way its caution folds to one line, still there at a tap. */
		isUnderWay?: boolean;
		/** It is typed in at a desk, where nothing can hurt. */
		isOnPaper?: boolean;
		/** Steps that ought to have been done before, each with the reason; nobody is held up by them. */
		ahead?: readonly { steps: readonly { title: string; href: string }[]; because: string }[];
		/** Who does this step, and who asks. */
		takenBy?: string | undefined;
		me?: string;
		ontake?: (isMine: boolean) => void;
	}
</script>

<script lang="ts">
	import { inSentence } from '$lib/core/wording';
	import { cautionFor } from '$lib/core/safety';
	import TriangleAlert from '@lucide/svelte/icons/triangle-alert';

	let { ordered, isUnderWay = false, isOnPaper = false, ahead = [], takenBy, me = '', ontake }: Props = $props();

	const MOST_NAMED = 3;
	/** What stands before the nth of some names in a row. */
	function before(i: number, names: number): string {
		if (i === 0) return '';
		return i === names - 1 && names <= MOST_NAMED ? ' and ' : ', ';
	}
	const caution = $derived(isOnPaper ? null : cautionFor(ordered.step.caution));
</script>

<header>
	<div class="title">
		<h1>{ordered.step.title}</h1>
		{#if takenBy && takenBy !== me}
			<small><b>{takenBy} does this</b></small>
		{:else if ontake}
			<button type="button" class="take" aria-pressed={takenBy === me} onclick={() => ontake(takenBy !== me)}
				>{takenBy === me ? 'mine' : 'I do this'}</button
			>
		{/if}
	</div>
	{#if !isUnderWay}<p class="how">{ordered.step.how}</p>{/if}
	{#if caution && isUnderWay}
		<details class="folded">
			<summary><TriangleAlert size={16} aria-hidden="true" /> {caution[0].split('. ')[0]}.</summary>
			<p>{caution[0]} {caution[1]}</p>
			<p>{ordered.step.how}</p>
		</details>
	{:else if isUnderWay}
		<details>
			<summary>How</summary>
			<p>{ordered.step.how}</p>
		</details>
	{:else if caution}
		<div class="caution" role="note">
			<TriangleAlert size={20} aria-hidden="true" />
			<p>{caution[0]}<br />{caution[1]}</p>
		</div>
	{/if}
	{#each ahead as first (first.because)}
		<p class="say ask">
			<!-- a way to what was missed -->
			<b
				>{#each first.steps.slice(0, MOST_NAMED) as { title, href }, i (href)}{before(i, first.steps.length)}<a {href}
						>{i === 0 ? title : inSentence(title)}</a
					>{/each}{first.steps.length > MOST_NAMED ? ` and ${first.steps.length - MOST_NAMED} more` : ''}
				{first.steps.length > 1 ? 'come' : 'comes'} first:</b
			>
			{inSentence(first.because)} You may go on; what is done out of turn is marked.
		</p>
	{/each}
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
		font-size: min(1.4rem, 7vw);
		line-height: 1.15;
	}
	.title {
		display: grid;
		grid-template-columns: minmax(0, 1fr) auto;
		align-items: center;
		gap: 0.625rem;
	}
	.take {
		min-height: max(44px, min(2.75rem, 9vh));
		padding: 0 min(0.75rem, 3vw);
		font-size: min(0.85rem, 4.2vw);
		border: 1px solid var(--ink-3);
		border-radius: 1.375rem;
		color: var(--ink);
		cursor: pointer;
	}
	.take[aria-pressed='true'] {
		background: var(--ink-2);
		color: var(--page);
	}
	.say {
		margin-top: 0.5rem;
		font-size: 1rem;
	}
	.how {
		color: var(--ink-2);
		font-size: 1rem;
		margin-top: 0.25rem;
	}
	.caution {
		display: grid;
		grid-template-columns: auto 1fr;
		gap: 0.5rem;
		margin-top: 0.5rem;
		padding: 0.375rem 0.625rem;
		border: 2px solid var(--danger);
		border-radius: 0.3125rem;
		background: var(--page);
		color: var(--ink);
		font-size: 0.9063rem;
		line-height: 1.35;
	}
	.caution :global(svg) {
		color: var(--danger);
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
		margin-top: 0.375rem;
		font-size: 0.9375rem;
		color: var(--ink-2);
	}
	summary {
		cursor: pointer;
		min-height: 1.5rem;
	}
	ul {
		margin: 2px 0 0 1.125rem;
		list-style: disc;
	}
</style>
