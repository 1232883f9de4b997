<script module lang="ts">
	export interface Knot {
		id: string;
		title: string;
		state: 'done' | 'open' | 'skipped' | 'not-required';
		href: string;
	}
	export interface Props {
		knots: Knot[];
		current: string;
	}
	const said = { done: 'done', open: 'to do', skipped: 'skipped', 'not-required': 'not required here' } as const;
</script>

<script lang="ts">
	let { knots, current }: Props = $props();
</script>

<nav aria-label="Steps of this visit">
	<ol>
		{#each knots as knot, i (knot.id)}
			<li class={knot.state} class:here={knot.id === current}>
				<a href={knot.href} aria-current={knot.id === current ? 'step' : undefined} title={knot.title}>
					<span class="knot" aria-hidden="true">{knot.state === 'not-required' ? '–' : i + 1}</span>
					<span class="word">{knot.title}<span class="visually-hidden">, {said[knot.state]}</span></span>
				</a>
			</li>
		{/each}
	</ol>
</nav>

<style>
	nav {
		background: var(--paper-2);
		height: 100%;
		overflow-y: auto;
		scrollbar-width: none;
	}
	ol {
		padding: 0.375rem 0;
	}
	li {
		position: relative;
	}
	/* the rope itself: dark where the knots are done */
	li::before {
		content: '';
		position: absolute;
		left: min(1.6875rem, 7vw);
		top: 0;
		bottom: 0;
		width: 0.5rem;
		margin-left: -0.25rem;
		background: var(--paper-3);
	}
	li.done::before {
		width: 0.25rem;
		margin-left: -2px;
		background: var(--ink-2);
	}
	a {
		position: relative;
		display: grid;
		place-items: center;
		width: min(3.375rem, 14vw);
		height: max(44px, min(3.5rem, 9vh));
		text-decoration: none;
	}
	.knot {
		display: grid;
		place-items: center;
		width: min(1.625rem, 8vw);
		height: min(1.375rem, 7vw);
		border: 2px solid var(--ink-2);
		border-radius: 50%;
		background: var(--page);
		color: var(--ink);
		font-size: min(0.8125rem, 4vw);
		font-weight: 650;
	}
	.word {
		position: absolute;
		width: 1px;
		height: 1px;
		overflow: hidden;
		clip-path: inset(50%);
		white-space: nowrap;
	}
	.done .knot {
		background: var(--ink-2);
		color: var(--page);
	}
	.skipped .knot {
		border-style: dashed;
	}
	.not-required .knot {
		border-color: var(--ink-3);
		color: var(--ink-3);
	}
	.here .knot {
		width: min(2.125rem, 10vw);
		height: min(2.125rem, 10vw);
		background: var(--water);
		border: 3px solid var(--page);
		outline: 2px solid var(--water);
		color: var(--page);
	}
	@media (min-width: 900px) {
		nav {
			width: 14.5rem;
		}
		a {
			grid-template-columns: 3.375rem 1fr;
			justify-items: start;
			width: 100%;
			height: 3rem;
			color: var(--ink-2);
		}
		.knot {
			justify-self: center;
		}
		.here a {
			color: var(--ink);
			font-weight: 650;
		}
		.word {
			position: static;
			width: auto;
			height: auto;
			clip-path: none;
			white-space: normal;
			font-size: 0.9375rem;
		}
	}
</style>
