<!--
A part of an office page that opens where it stands. What is in it is there all the while, hidden: nothing typed is
lost when it is closed, and without scripts it stands open.
-->
<script module lang="ts">
	import type { Snippet } from 'svelte';

	export interface Props {
		/** What it is called, whether open or closed. */
		title: string;
		/** The level of the heading that it is, where it is one of the page's parts. */
		heading?: 'h2' | 'h3';
		isOpen?: boolean;
		children: Snippet;
	}
</script>

<script lang="ts">
	import { onMount } from 'svelte';
	import ChevronRight from '@lucide/svelte/icons/chevron-right';
	import { Accordion } from '@skeletonlabs/skeleton-svelte';

	let { title, heading, isOpen = false, children }: Props = $props();

	// a tap before scripts have come would be lost without a word
	let isReady = $state(false);
	onMount(() => {
		isReady = true;
	});
	// whoever made it may open it later, as where something in it is wrong
	let open = $derived(isOpen ? ['it'] : []);
</script>

<Accordion collapsible value={open} onValueChange={({ value }) => (open = value)}>
	<Accordion.Item value="it" disabled={!isReady}>
		<svelte:element this={heading ?? 'div'} class="fold">
			<Accordion.ItemTrigger>
				<Accordion.ItemIndicator class="fold-sign"
					><ChevronRight size={16} aria-hidden="true" /></Accordion.ItemIndicator
				>{title}
			</Accordion.ItemTrigger>
		</svelte:element>
		<!-- a group, no region: a page with twenty of them would have twenty landmarks -->
		<Accordion.ItemContent role="group">{@render children()}</Accordion.ItemContent>
	</Accordion.Item>
</Accordion>

<style>
	.fold {
		margin: 0;
	}
	.fold :global(button) {
		display: flex;
		gap: 0.25rem;
		align-items: center;
		min-height: 2.25rem;
		max-width: 100%;
		padding: 0;
		background: none;
		font: inherit;
		color: inherit;
		text-align: start;
		opacity: 1;
	}
	.fold :global(button:hover) {
		color: var(--water);
	}
	.fold + :global([data-part='item-content']) {
		padding: 0 0 0.5rem;
	}
	@media (pointer: coarse) {
		.fold :global(button) {
			min-height: 2.75rem;
		}
	}
	.fold :global(.fold-sign[data-state='open']) {
		rotate: 90deg;
	}
</style>
