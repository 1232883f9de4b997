<script module lang="ts">
	export interface Props {
		/** What was changed here, the last one last, and what was said of it. */
		history: {
			readonly made: { said: string }[];
			readonly undone: { said: string }[];
			readonly said: { words: string; isBad: boolean } | null;
			undo(): Promise<void>;
			redo(): Promise<void>;
		};
		mayPlan: boolean;
	}
</script>

<script lang="ts">
	let { history, mayPlan }: Props = $props();

	const { said } = $derived(history);
	const onundo = () => void history.undo();
	const onredo = () => void history.redo();
	const acts = $derived([
		{ word: 'Undo', said: history.made.at(-1)?.said ?? null, keys: 'Control+Z', onact: onundo },
		{ word: 'Redo', said: history.undone.at(-1)?.said ?? null, keys: 'Control+Y', onact: onredo }
	]);

	function onkeydown(event: KeyboardEvent) {
		if (!(event.ctrlKey || event.metaKey) || (event.target as HTMLElement).closest('input, textarea')) return;
		if (event.key === 'z' && !event.shiftKey) onundo();
		else if (event.key === 'y' || (event.key === 'Z' && event.shiftKey)) onredo();
		else return;
		event.preventDefault();
	}
</script>

<svelte:window {onkeydown} />
<p role="status" class:say={said} class={said?.isBad ? 'spoils' : 'ask'}>{said?.words ?? ''}</p>
{#if mayPlan}
	<p class="undo">
		{#each acts as { word, said: what, keys, onact } (word)}
			<button
				class="btn preset-outlined-surface-500"
				type="button"
				disabled={what === null}
				aria-keyshortcuts={keys}
				onclick={onact}
				>{word}{#if what !== null}<small>{what}</small>{/if}</button
			>
		{/each}
	</p>
{/if}

<style>
	.undo {
		display: flex;
		flex-wrap: wrap;
		gap: 0.5rem;
		margin: 0.5rem 0;
	}
	small {
		margin-left: 0.5rem;
		font-weight: 400;
	}
</style>
