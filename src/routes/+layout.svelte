<script lang="ts">
	import { onMount } from 'svelte';
	import '../app.css';
	import { enterAgain } from '$lib/ui/kit/entered-early';
	import type { LayoutProps } from './$types';

	let { children }: LayoutProps = $props();
	onMount(enterAgain);
</script>

{@render children()}
