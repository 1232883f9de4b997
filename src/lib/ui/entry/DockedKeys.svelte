<script module lang="ts">
	import { keypadDock, type Keys } from './keypad-dock.svelte';

	export type Props = Omit<Keys, 'signs' | 'hasPoint' | 'Pad'> & Partial<Pick<Keys, 'signs' | 'hasPoint'>>;
</script>

<script lang="ts">
	import { onDestroy } from 'svelte';
	import Keypad from './Keypad.svelte';

	let { onkey, onkeep, isTyped, signs = ['<', '−'], hasPoint = true }: Props = $props();

	const dock = keypadDock();
	let mine: Keys | null = null;
	$effect.pre(() => {
		dock.keys = mine = { onkey, onkeep, isTyped, signs, hasPoint, Pad: Keypad };
	});
	onDestroy(() => {
		if (dock.keys === mine) dock.keys = null; // the next tool may have put its own there already
	});
</script>
