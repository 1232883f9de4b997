<!-- What a page says when a part of the application was not on this device and did not come. -->
<script lang="ts">
	/** isKept: the page can be written on all the same. */
	let { isKept = false }: { isKept?: boolean } = $props();
</script>

<p class="say ask">
	A part of the application did not come to this device. Load the page again where there is a network; after that it
	works without.{isKept ? ' What you write is kept.' : ''}
</p>
