<script module lang="ts">
	import type { Answer } from '$lib/core/identification';

	export interface Props {
		answers: readonly Answer[];
		/** Null: it cannot be seen. */
		onanswer: (character: string, state: string | null) => void;
		onstrike: (character: string) => void;
		/** Without a chance: the key had nothing to say of it. */
		onchoose: (code: string, chance: number | null) => void;
		/** No kind of the key is like it. */
		onnone: () => void;
	}
</script>

<script lang="ts">
	import { animalKey, questions } from '$lib/core/identification';
	import { knownAnimals } from '../../animals/known-animals';
	import AnimalDrawing from './AnimalDrawing.svelte';
	import KindCard from './KindCard.svelte';

	let { answers, onanswer, onstrike, onchoose, onnone }: Props = $props();
	const known = knownAnimals();

	const key = $derived(animalKey(known.own));
	const said = $derived(key.nameBy(answers));
	/** The kind whose card is open. */
	let open = $state<string | null>(null);
	/** A question that was asked for by the person, not by what tells most. */
	let asked = $state<string | null>(null);
	const isAnswered = (id: string) => answers.some((a) => a.character === id);
	const question = $derived(questions.find((q) => q.id === asked && !isAnswered(q.id)) ?? said.next);
	const others = $derived(questions.filter((q) => !isAnswered(q.id) && q.id !== question?.id));
	const percent = (chance: number) => (chance < 0.005 ? 'under 1 %' : `${(100 * chance).toFixed(0)} %`);
	const word = ({ character, state }: Answer): string => {
		const q = questions.find(({ id }) => id === character);
		return state == null
			? `${q?.short ?? character}: cannot see`
			: (q?.states.find((s) => s.id === state)?.word ?? state);
	};
	let top: HTMLElement;
	/**
	 * The next question stands where the eye is, not below what the thumb has just scrolled past. With the frame that
	 * shows it: to scroll at once would have the page laid out twice.
	 */
	$effect(() => {
		if (answers.length === 0 || question?.id === undefined) return;
		const frame = requestAnimationFrame(() => top.scrollIntoView({ block: 'start' }));
		return () => cancelAnimationFrame(frame);
	});
	function answer(state: string | null) {
		open = null;
		asked = null;
		if (question) onanswer(question.id, state);
	}
</script>

<div class="key" bind:this={top}>
	<p class="visually-hidden" role="status">
		{answers.length
			? `Likeliest: ${said.likeliest.map((l) => `${known.list.nameOf(l.code)} ${percent(l.chance)}`).join(', ')}`
			: ''}
	</p>
	<section aria-label="What it may be">
		{#if said.isNone}
			<p class="say ask">
				No kind of this key shows all that you saw: take back what you are least sure of, or count it as unknown and
				keep one.
				<button type="button" class="btn preset-outlined-primary-500" onclick={onnone}>None of these</button>
			</p>
		{/if}
		{#if answers.length}
			<ol class="likely">
				{#each said.likeliest as { code, chance } (code)}
					<li>
						<button type="button" aria-expanded={open === code} onclick={() => (open = open === code ? null : code)}>
							<AnimalDrawing name={key.describedAs(code)!.drawing} pointed={question?.id ?? null} isBesideWords />
							<b>{known.list.nameOf(code)}</b><small>{code}</small><span>{percent(chance)}</span>
						</button>
					</li>
				{/each}
			</ol>
		{:else}
			<p>Answer what you can see, in any order. A wrong answer is forgiven, and “cannot see” is an answer too.</p>
		{/if}
		{#if said.coarser && open === null}
			<p class="say">
				<b>{said.coarser.name}</b> is {percent(said.coarser.chance)} sure. {said.coarser.leave}
				<button
					type="button"
					class="btn preset-outlined-primary-500"
					onclick={() => onchoose(said.coarser!.code, said.coarser!.chance)}>Leave it at {said.coarser.name}</button
				>
			</p>
		{/if}
	</section>
	{#if open}
		{@const code = open}
		{@const chanceOf = (one: string) => said.likeliest.find((l) => l.code === one)?.chance ?? null}
		<KindCard
			{code}
			chance={chanceOf(code) ?? 0}
			onchoose={(chosen) => onchoose(chosen, chanceOf(chosen))}
			onclose={() => (open = null)}
		/>
	{:else if question}
		<section class="question" aria-labelledby="key-question">
			<h3 id="key-question">{question.question}</h3>
			<p class="small">{question.needs === 'eye' ? '' : 'With a lens. '}{question.hint}</p>
			<div class="states">
				{#each question.states as s (s.id)}
					<button type="button" onclick={() => answer(s.id)}>
						{s.word}{#if s.detail}<small>{s.detail}</small>{/if}
					</button>
				{/each}
				<button type="button" class="unseen" onclick={() => answer(null)}>Cannot see</button>
			</div>
		</section>
	{:else}
		<p class="say">
			{said.isSure
				? 'Hold it against the drawing: open the first one above.'
				: 'Nothing that can still be asked would tell more. Open one above, or leave it at the wider name.'}
		</p>
	{/if}
	{#if answers.length}
		<section aria-label="What you saw">
			<h3>What you saw</h3>
			<p class="seen">
				{#each answers as a (a.character)}
					<button
						type="button"
						class="btn preset-outlined-surface-500"
						onclick={() => onstrike(a.character)}
						aria-label="Take back: {word(a)}">{word(a)} ×</button
					>
				{/each}
			</p>
		</section>
	{/if}
	{#if others.length}
		<details>
			<summary>Something else strikes you?</summary>
			<p class="seen">
				{#each others as q (q.id)}
					<button
						type="button"
						class="btn preset-outlined-surface-500"
						onclick={() => {
							asked = q.id;
							open = null;
						}}>{q.short}</button
					>
				{/each}
			</p>
		</details>
	{/if}
</div>

<style>
	.key {
		display: grid;
		gap: 0.625rem;
	}
	.likely {
		display: grid;
		grid-template-columns: repeat(3, minmax(0, 1fr));
		gap: 0.375rem;
	}
	.likely button {
		display: grid;
		justify-items: center;
		align-content: start;
		gap: 0.125rem;
		width: 100%;
		height: 100%;
		padding: 0.25rem;
		background: var(--page);
		color: var(--ink);
		border: 1.5px solid var(--ink-3);
		border-radius: 0.25rem;
		line-height: 1.2;
		cursor: pointer;
	}
	.likely li:first-child button {
		border-width: 2.5px;
	}
	.likely button :global(svg) {
		width: min(100%, 5.5rem);
	}
	.likely small {
		margin-inline: -0.25rem; /* up to the rim: most families' names fit whole then */
		overflow-wrap: anywhere;
	}
	.likely span {
		font: 600 1.0625rem var(--head);
	}
	h3 {
		font-size: 1.0625rem;
	}
	.states {
		display: grid;
		grid-template-columns: repeat(auto-fill, minmax(8.25rem, 1fr));
		gap: 0.375rem;
		margin-top: 0.375rem;
	}
	.states button {
		min-height: 3rem;
		padding: 0.375rem 0.625rem;
		text-align: left;
		background: var(--page);
		color: var(--ink);
		border: 1.5px solid var(--ink-3);
		border-radius: 0.25rem;
		font-weight: 600;
		line-height: 1.25;
		cursor: pointer;
	}
	.states small {
		display: block;
		font-weight: 400;
	}
	.states .unseen {
		border-style: dashed;
	}
	.seen {
		display: flex;
		flex-wrap: wrap;
		gap: 0.375rem;
		margin: 0.25rem 0;
	}
	.seen button,
	.say button {
		min-height: 2.75rem;
	}
	.say button {
		display: block;
		margin-top: 0.375rem;
	}
	summary {
		min-height: 2.75rem;
		padding-block: 0.625rem;
		cursor: pointer;
		font-weight: 600;
	}
</style>
