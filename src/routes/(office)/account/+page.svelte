<script lang="ts">
	import { sayAccess } from '$lib/ui/account/say-access';
	import type { PageProps } from './$types';

	let { data }: PageProps = $props();
</script>

<svelte:head><title>Your account · Keen Riffle</title></svelte:head>

<main class="page">
	<h1 class="ruled">Ways into your account</h1>
	<p>
		Every sign-in, every new password, and every link that a coordinator made to choose one. If something here is not
		yours, ask your coordinator for a new link: it ends all sessions.
	</p>
	<ul>
		{#each data.events as event (event.id)}<li>{sayAccess(event, data.program.timeZone)}</li>{:else}<li>
				Nothing yet.
			</li>{/each}
	</ul>
</main>

<style>
	.page {
		padding: 0.875rem 1.625rem 1.875rem;
		max-width: 51.25rem;
	}
	li {
		padding: 0.25rem 0;
		border-bottom: 1px solid var(--rule);
	}
</style>
