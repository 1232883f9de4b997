<script module lang="ts">
	export interface Props {
		tabs: { word: string; key: string }[];
		open: boolean;
	}
	const others = [
		{ word: 'Find a site, a visit, a bottle, a person', key: 'f' },
		{ word: 'On a site: the chart as a table, and back', key: 't' },
		{ word: 'On a visit: the next one to review, and the one before', key: 'n p' },
		{ word: 'At a tray in hand: count, strike the last tap, another kind', key: '1–9 a–z ⌫ +' },
		{ word: 'This list', key: '?' },
		{ word: 'Close it', key: 'Esc' }
	];
</script>

<script lang="ts">
	import { Dialog } from '@skeletonlabs/skeleton-svelte';

	let { tabs, open = $bindable() }: Props = $props();
</script>

<Dialog {open} onOpenChange={(e) => (open = e.open)}>
	<Dialog.Backdrop class="keys-backdrop" />
	<Dialog.Positioner class="keys-positioner">
		<Dialog.Content class="keys-panel">
			<Dialog.Title class="keys-title">Keys</Dialog.Title>
			<table class="table">
				<tbody>
					{#each [...tabs, ...others] as { word, key } (key)}<tr
							><td>{word}</td><td class="number"><kbd>{key}</kbd></td></tr
						>{/each}
				</tbody>
			</table>
			<Dialog.CloseTrigger class="btn preset-outlined-primary-500">Close</Dialog.CloseTrigger>
		</Dialog.Content>
	</Dialog.Positioner>
</Dialog>

<style>
	:global(.keys-backdrop) {
		position: fixed;
		inset: 0;
		background: color-mix(in oklab, var(--ink) 35%, transparent);
		z-index: 20;
	}
	:global(.keys-positioner) {
		position: fixed;
		inset: 0;
		display: grid;
		place-items: center;
		z-index: 21;
	}
	:global(.keys-panel) {
		width: min(92vw, 26.25rem);
		padding: 1.25rem 1.5rem;
		background: var(--page);
		border: 1px solid var(--ink);
		display: grid;
		gap: 0.75rem;
	}
	:global(.keys-title) {
		font: 600 1.3125rem var(--head);
	}
	kbd {
		font: 600 0.875rem var(--text);
		border: 1px solid var(--ink-3);
		border-radius: 0.25rem;
		padding: 1px 0.4375rem;
		background: var(--paper);
		color: var(--ink);
	}
</style>
