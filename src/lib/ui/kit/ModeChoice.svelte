<script lang="ts">
	import { onMount } from 'svelte';

	const modes = [
		{ id: 'paper', word: 'Paper' },
		{ id: 'sun', word: 'Sun' },
		{ id: 'dusk', word: 'Dusk' }
	];
	let mode = $state('paper');
	onMount(() => (mode = document.documentElement.dataset['mode'] ?? 'paper'));

	function choose(id: string) {
		mode = id;
		document.documentElement.dataset['mode'] = id;
		localStorage.setItem('keen-riffle-mode', id);
	}
</script>

<label class="small">
	<span class="visually-hidden">Look of the pages</span>
	<select value={mode} onchange={(e) => choose(e.currentTarget.value)}>
		{#each modes as { id, word } (id)}<option value={id}>{word}</option>{/each}
	</select>
</label>

<style>
	select {
		width: 100%;
		min-height: 1.875rem;
		padding: 2px 0.375rem;
		font-size: 0.8125rem;
		border: 1px solid var(--ink-3);
		border-radius: 0.25rem;
		background: var(--page);
		color: var(--ink);
	}
</style>
