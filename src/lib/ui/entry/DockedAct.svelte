<script module lang="ts">
	import { keypadDock, type NextAct } from './keypad-dock.svelte';

	export type Props = NextAct;
</script>

<script lang="ts">
	let { word, onact, isMain }: Props = $props();

	const dock = keypadDock();
	const act = $derived<NextAct>({ word, onact, isMain });
	$effect.pre(() => {
		dock.act = act;
	});
	$effect(() => () => {
		if (dock.act === act) dock.act = null;
	});
</script>
