<script lang="ts">
	import { Toast } from '@skeletonlabs/skeleton-svelte';
	import { toaster } from './toaster';
</script>

<Toast.Group {toaster}>
	{#snippet children(toast)}
		<Toast {toast} class="toast">
			<Toast.Message><Toast.Title>{toast.title}</Toast.Title></Toast.Message>
			<Toast.CloseTrigger aria-label="Close">×</Toast.CloseTrigger>
		</Toast>
	{/snippet}
</Toast.Group>

<style>
	:global(.toast[data-part='root']) {
		background: var(--ink);
		color: var(--page);
		border: 0;
	}
</style>
