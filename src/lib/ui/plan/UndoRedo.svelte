<script module lang="ts">
	export interface Props {
		/** What would be taken back, and what done again, in words; null where there is nothing. */
		undo: string | null;
		redo: string | null;
		onundo: () => void;
		onredo: () => void;
	}
</script>

<script lang="ts">
	let { undo, redo, onundo, onredo }: Props = $props();

	function onkeydown(event: KeyboardEvent) {
		if (!(event.ctrlKey || event.metaKey) || (event.target as HTMLElement).closest('input, textarea')) return;
		if (event.key === 'z' && !event.shiftKey) onundo();
		else if (event.key === 'y' || (event.key === 'Z' && event.shiftKey)) onredo();
		else return;
		event.preventDefault();
	}
</script>

<svelte:window {onkeydown} />
<p class="undo">
	<button class="act plain" type="button" disabled={undo === null} aria-keyshortcuts="Control+Z" onclick={onundo}
		>Undo{#if undo !== null}<small>{undo}</small>{/if}</button
	>
	<button class="act plain" type="button" disabled={redo === null} aria-keyshortcuts="Control+Y" onclick={onredo}
		>Redo{#if redo !== null}<small>{redo}</small>{/if}</button
	>
</p>

<style>
	.undo {
		display: flex;
		flex-wrap: wrap;
		gap: 8px;
		margin: 8px 0;
	}
	small {
		margin-left: 8px;
		font-weight: 400;
	}
</style>
