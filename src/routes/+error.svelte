<script lang="ts">
	import { page } from '$app/state';
</script>

<svelte:head><title>{page.status} · Keen Riffle</title></svelte:head>

<main>
	<h1>{page.error?.message ?? 'Something went wrong here.'}</h1>
	<p>
		{#if page.status === 403}
			Ask your coordinator, or <a href="/sign-in">sign in as someone else</a>.
		{:else}
			Go back, or to <a href="/today">Today</a>.
		{/if}
	</p>
</main>

<style>
	main {
		max-width: 34em;
		margin: 18vh auto 0;
		padding: 0 1.25rem;
	}
	p {
		margin-top: 0.75rem;
	}
</style>
