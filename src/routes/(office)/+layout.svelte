<script lang="ts">
	import { browser } from '$app/environment';
	import { page } from '$app/state';
	import { animalList } from '$lib/core/macroinvertebrates';
	import { writeNumbersBy } from '$lib/core/quantity';
	import { writeDatesBy } from '$lib/core/wording';
	import Notebook from '$lib/ui/kit/Notebook.svelte';
	import Toasts from '$lib/ui/kit/Toasts.svelte';
	import type { LayoutProps } from './$types';

	import { sayAccess } from '$lib/ui/account/say-access';
	import { setKnownAnimals } from '$lib/ui/animals/known-animals';

	let { data, children }: LayoutProps = $props();

	setKnownAnimals({
		get list() {
			return animalList(data.animals);
		},
		get own() {
			return data.animals;
		}
	});
	// the server looks it up by request instead
	if (browser) {
		writeDatesBy(() => data.program.dates);
		writeNumbersBy(() => data.program.numbers);
	}
</script>

<Notebook tabs={data.tabs} path={page.url.pathname} person={data.person}>
	{#if data.access.length}
		<aside class="told" aria-label="Your account">
			{#each data.access as event (event.id)}<p class="say ask">{sayAccess(event, data.program.timeZone)}</p>{/each}
			<form method="POST" action="/account?/told">
				<button class="btn preset-outlined-primary-500">I know of it</button>
				<a href="/account">All ways into your account</a>
			</form>
		</aside>
	{/if}
	{@render children()}
</Notebook>
<Toasts />

<style>
	.told {
		display: grid;
		gap: 0.375rem;
		padding: 0.625rem 1.625rem;
		border-bottom: 1px solid var(--rule);
	}
</style>
