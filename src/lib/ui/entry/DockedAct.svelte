<script module lang="ts">
	import { keypadDock, type NextAct } from './keypad-dock.svelte';

	export type Props = NextAct;
</script>

<script lang="ts">
	import { onDestroy } from 'svelte';

	let { word, onact, isMain }: Props = $props();

	const dock = keypadDock();
	let mine: NextAct | null = null;
	$effect.pre(() => {
		dock.act = mine = { word, onact, isMain };
	});
	onDestroy(() => {
		if (dock.act === mine) dock.act = null;
	});
</script>
