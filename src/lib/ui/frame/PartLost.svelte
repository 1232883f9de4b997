<!-- What a page says when a part of the application was not on this device and did not come. -->
<script lang="ts">
	/**
	 * isKept: the page can be written on all the same. onread: it was something that was opened, perhaps further down than
	 * the top of the page; it is said there, until it was read.
	 */
	let { isKept = false, onread }: { isKept?: boolean; onread?: () => void } = $props();
</script>

<p class={['say ask', onread && 'over']} role="alert">
	A part of the application did not come to this device. Load the page again where there is a network; after that it
	works without.{isKept ? ' What you write is kept.' : ''}
	{#if onread}<button type="button" class="btn preset-outlined-surface-500" onclick={onread}>OK</button>{/if}
</p>

<style>
	.over {
		position: sticky;
		top: 0;
		z-index: 1;
	}
	.btn {
		min-height: 3rem;
	}
</style>
