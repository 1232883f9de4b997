<script module lang="ts">
	import type { Snippet } from 'svelte';
	import type { KeypadDock } from '../entry/keypad-dock.svelte';

	export interface Props {
		dock: KeypadDock;
		/** Where this step stands among the others: "5 of 9". */
		at: string;
		/** Opens the list of all steps. */
		onsteps: () => void;
		/** The step that comes next, where there is one. */
		after: { title: string; href: string } | null;
		isDone: boolean;
		clocks: Snippet;
	}
	/** A second tap that comes sooner than this was meant for the button that stood here before. */
	export const DOUBLE_TAP_ms = 350;
</script>

<script lang="ts">
	import ListOrdered from '@lucide/svelte/icons/list-ordered';
	import { inSentence } from '$lib/core/wording';

	let { dock, at, onsteps, after, isDone, clocks }: Props = $props();

	const { keys, act } = $derived(dock);
	/** A thumb that taps twice does not go on to the next step with the second. */
	let saved_ms = -Infinity;
	function keep() {
		saved_ms = performance.now();
		keys?.onkeep();
	}
	const stayIfDoubleTapped = (event: MouseEvent) => {
		if (performance.now() - saved_ms < DOUBLE_TAP_ms) event.preventDefault();
	};
</script>

<footer>
	{@render clocks()}
	{#if keys}
		<div class="keys"><keys.Pad onkey={keys.onkey} signs={keys.signs} hasPoint={keys.hasPoint} /></div>
	{/if}
	<div class="acts">
		<button type="button" class="steps btn preset-outlined-surface-500" aria-haspopup="dialog" onclick={onsteps}>
			<ListOrdered size={20} aria-hidden="true" /><span>Steps<small>{at}</small></span>
		</button>
		{#if keys?.isTyped}
			<button type="button" class="next btn preset-filled-primary-500" onclick={keep}>Save</button>
		{:else if act}
			<button
				type="button"
				class={['next btn', act.isMain ? 'preset-filled-primary-500' : 'preset-outlined-primary-500']}
				onclick={act.onact}>{act.word}</button
			>
		{:else if after}
			<a
				class={['next btn', isDone ? 'preset-filled-primary-500' : 'preset-outlined-primary-500']}
				href={after.href}
				onclick={stayIfDoubleTapped}>{isDone ? 'Go on' : 'Skip to'}: {inSentence(after.title)}</a
			>
		{:else if isDone}
			<a class="next btn preset-filled-primary-500" href="/sample" onclick={stayIfDoubleTapped}>Back to the round</a>
		{/if}
	</div>
</footer>

<style>
	footer {
		background: var(--paper);
		border-top: 1px solid var(--rule);
	}
	.keys {
		padding: 0.5rem 0.5rem 0;
	}
	.acts {
		display: grid;
		grid-template-columns: auto minmax(0, 1fr);
		gap: 0.5rem;
		padding: 0.5rem 0.5rem max(0.5rem, env(safe-area-inset-bottom));
	}
	/* as large as the letters are, as far as the screen bears it */
	.btn {
		min-height: max(52px, min(3.25rem, 9vh));
		padding-inline: min(0.75rem, 2.5vw);
	}
	.steps {
		display: flex;
		align-items: center;
		gap: min(0.5rem, 2vw);
		background: var(--page);
		font-size: min(1.0625rem, 4.6vw);
		line-height: 1.1;
		text-align: left;
	}
	.steps small {
		display: block;
		font-size: min(0.8125rem, 3.8vw);
	}
	.next {
		display: grid;
		place-items: center;
		font-size: min(1.1rem, 5vw);
		line-height: 1.15;
	}
	/* a desk has keys of its own */
	@media (min-width: 900px) and (pointer: fine) {
		.keys {
			display: none;
		}
		.acts {
			max-width: 32.5rem;
			margin-left: auto;
		}
	}
	/* held sideways, and on a tablet: the page on the left, the thumb's place on the right */
	@media (max-height: 500px) and (min-width: 640px), (min-width: 900px) and (pointer: coarse) {
		footer {
			display: flex;
			flex-direction: column;
			justify-content: flex-end;
			height: 100%;
			overflow-y: auto;
			border-top: 0;
			border-left: 1px solid var(--rule);
		}
		.acts {
			grid-template-columns: auto minmax(0, 1fr);
		}
	}
</style>
