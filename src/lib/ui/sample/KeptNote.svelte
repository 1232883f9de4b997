<script module lang="ts">
	import type { Props as PanelProps } from './KeptPanel.svelte';

	export type Props = Omit<PanelProps, 'onclose'>;
</script>

<script lang="ts">
	let props: Props = $props();

	let isOpen = $state(false);
	const short = $derived(
		props.refused.length ? `${props.refused.length} refused` : props.unsent ? `${props.unsent} kept here, not sent` : props.kept ? 'all sent' : 'nothing yet'
	);
</script>

<button type="button" class="act plain kept-note" aria-haspopup="dialog" onclick={() => (isOpen = true)}>{short}</button>
{#if isOpen}
	{#await import('./KeptPanel.svelte') then { default: KeptPanel }}
		<KeptPanel {...props} onclose={() => (isOpen = false)} />
	{/await}
{/if}

<style>
	.kept-note {
		min-height: 44px;
		font-size: 15px;
	}
</style>
