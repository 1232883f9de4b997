<script module lang="ts">
	import type { Props as PanelProps } from './KeptPanel.svelte';

	export type Props = Omit<PanelProps, 'onclose'>;
</script>

<script lang="ts">
	let props: Props = $props();

	let isOpen = $state(false);
	const unsent = $derived(props.unsent + props.photos);
	const done = $derived(props.kept ? 'all sent' : 'nothing yet');
	const settled = $derived(props.refused.length ? `${props.refused.length} refused` : done);
</script>

<button
	type="button"
	class="kept-note btn preset-outlined-surface-500"
	aria-haspopup="dialog"
	onclick={() => (isOpen = true)}
	>{#if props.refused.length || !unsent}{settled}{:else}{unsent} kept<span class="wide">&nbsp;here, not sent</span
		>{/if}</button
>
{#if isOpen}
	{#await import('./KeptPanel.svelte') then { default: KeptPanel }}
		<KeptPanel {...props} onclose={() => (isOpen = false)} />
	{/await}
{/if}

<style>
	/* said to all, shown where there is room */
	.wide {
		position: absolute;
		width: 1px;
		height: 1px;
		overflow: hidden;
		clip-path: inset(50%);
		white-space: nowrap;
	}
	@media (min-width: 700px) {
		.wide {
			position: static;
			width: auto;
			height: auto;
			clip-path: none;
		}
	}
	.kept-note {
		position: relative;
		white-space: nowrap;
		min-height: 2.75rem;
		font-size: 0.9375rem;
	}
</style>
