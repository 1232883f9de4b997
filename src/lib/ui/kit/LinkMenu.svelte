<!-- Links that are wanted now and then, behind one button: by mouse, by thumb, by arrow keys. -->
<script module lang="ts">
	export interface Link {
		word: string;
		href: string;
		/** It is a file to be kept, and opens nowhere. */
		isFile?: boolean;
	}
	export interface Props {
		label: string;
		links: readonly Link[];
	}
</script>

<script lang="ts">
	import ChevronDown from '@lucide/svelte/icons/chevron-down';
	import { Menu, Portal } from '@skeletonlabs/skeleton-svelte';

	let { label, links }: Props = $props();
</script>

<Menu positioning={{ placement: 'bottom-start' }}>
	<Menu.Trigger class="btn preset-outlined-surface-500"
		>{label} <ChevronDown size={16} aria-hidden="true" /></Menu.Trigger
	>
	<Portal>
		<Menu.Positioner>
			<Menu.Content class="link-menu">
				{#each links as { word, href, isFile } (href)}
					<Menu.Item value={href}>
						{#snippet element(attributes)}<a {...attributes as object} {href} download={isFile ? '' : undefined}
								>{word}</a
							>{/snippet}
					</Menu.Item>
				{/each}
			</Menu.Content>
		</Menu.Positioner>
	</Portal>
</Menu>

<style>
	:global(.link-menu) {
		z-index: 25;
		min-width: 12rem;
	}
	:global(.link-menu [data-part='item']) {
		display: flex;
		align-items: center;
		min-height: 2.25rem;
		color: var(--ink);
		text-decoration: none;
	}
	@media (pointer: coarse) {
		:global(.link-menu [data-part='item']) {
			min-height: 2.75rem;
		}
	}
</style>
