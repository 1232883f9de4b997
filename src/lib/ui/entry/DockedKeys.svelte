<script module lang="ts">
	import { keypadDock, type Keys } from './keypad-dock.svelte';

	export type Props = Omit<Keys, 'signs' | 'hasPoint'> & Partial<Pick<Keys, 'signs' | 'hasPoint'>>;
</script>

<script lang="ts">
	import { onDestroy } from 'svelte';

	let { onkey, onkeep, isTyped, signs = ['<', '−'], hasPoint = true }: Props = $props();

	const dock = keypadDock();
	let mine: Keys | null = null;
	$effect.pre(() => {
		dock.keys = mine = { onkey, onkeep, isTyped, signs, hasPoint };
	});
	onDestroy(() => {
		if (dock.keys === mine) dock.keys = null; // the next tool may have put its own there already
	});
</script>
