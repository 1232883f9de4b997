<script lang="ts">
	import type { FieldApp } from '$lib/field/field-app.svelte';

	/** `to`: the screen that it stands on, where one comes back to. */
	let { app, to }: { app: FieldApp; to: '/sample' | '/bench' } = $props();
</script>

<h2>Nothing is packed yet</h2>
{#if app.sync.standing === 'offline'}
	<p>
		This device has not been here with a network before. Open this page once where there is one; after that it works
		without.
	</p>
{:else if app.sync.standing === 'signed-out'}
	<p>
		Sign in once, with a network. Then sites, method cards and instruments are packed, and everything works without one.
	</p>
	<p><a class="btn preset-filled-primary-500" href="/sign-in?to={to}" data-sveltekit-reload>Sign in</a></p>
{:else if app.sync.standing === 'trouble'}
	<p>The server does not answer as it should. It is tried again by itself.</p>
{:else}
	<p>Packing sites, method cards and instruments.</p>
{/if}

<style>
	.btn {
		margin-top: 0.875rem;
		min-height: 3.25rem;
		padding: 0.75rem 1.75rem;
	}
</style>
