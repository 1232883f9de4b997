<script module lang="ts">
	export interface Props {
		squares: number;
		/** Squares that were sorted whole. */
		done: readonly number[];
		/** The square in hand; null when enough are sorted. */
		now: number | null;
	}
</script>

<script lang="ts">
	let { squares, done, now }: Props = $props();

	/** As wide as a tray is beside its length. */
	const columns = $derived(Math.ceil(Math.sqrt(squares * 1.25)));
	function said(square: number): string {
		if (square === now) return ', in hand';
		return done.includes(square) ? ', sorted' : '';
	}
</script>

<ol aria-label="Squares of the tray" style:grid-template-columns="repeat({columns}, 1fr)">
	{#each { length: squares }, i (i)}
		<li class:done={done.includes(i + 1)} class:now={i + 1 === now} aria-label="{i + 1}{said(i + 1)}">{i + 1}</li>
	{/each}
</ol>

<style>
	ol {
		display: grid;
		max-width: 22rem;
		margin: 0.5rem 0;
		border: 2px solid var(--ink);
	}
	li {
		padding: 0.25rem 0;
		text-align: center;
		border: 1px solid var(--rule);
		background: var(--page);
		color: var(--ink-2);
	}
	.done {
		text-decoration: line-through;
		background: var(--paper-3);
	}
	.now {
		background: var(--water);
		color: var(--page);
		font-weight: 700;
	}
</style>
