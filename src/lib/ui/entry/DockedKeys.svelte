<script module lang="ts">
	import { keypadDock, type Keys } from './keypad-dock.svelte';

	export type Props = Omit<Keys, 'signs' | 'hasPoint'> & Partial<Pick<Keys, 'signs' | 'hasPoint'>>;
</script>

<script lang="ts">
	let { onkey, onkeep, isTyped, signs = ['<', '−'], hasPoint = true }: Props = $props();

	const dock = keypadDock();
	const keys = $derived<Keys>({ onkey, onkeep, isTyped, signs, hasPoint });
	$effect.pre(() => {
		dock.keys = keys;
	});
	$effect(() => () => {
		if (dock.keys === keys) dock.keys = null; // the next tool may have put its own there already
	});
</script>
