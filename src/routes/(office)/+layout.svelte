<script lang="ts">
	import { page } from '$app/state';
	import Notebook from '$lib/ui/kit/Notebook.svelte';
	import type { LayoutProps } from './$types';

	let { data, children }: LayoutProps = $props();
</script>

<Notebook tabs={data.tabs} path={page.url.pathname} person={data.person}>{@render children()}</Notebook>
