<script module lang="ts">
	import type { FormName, Answers } from '$lib/core/observations';
	import type { Writer } from '../../entry/writer';

	export interface Props {
		form: FormName;
		answers: Answers | undefined;
		/** For each question what was answered here before, the commonest first. */
		usual: Record<string, string[]>;
		/** What was answered at the last visit, where that is known. */
		last?: Answers | undefined;
		writer: Writer;
	}
</script>

<script lang="ts">
	import { asLastTime, chosen, forms, isAnswered, usualFirst, type Question } from '$lib/core/observations';
	import { inSentence } from '$lib/core/wording';
	import Chips from '../../entry/Chips.svelte';
	import Struck from '../../logbook/Struck.svelte';
	import { valueAt } from '../../entry/writer';

	let { form, answers, usual, last = {}, writer }: Props = $props();

	/**
	 * Questions that are answered and opened again; those with several choices stay open until the next one is
	 * touched.
	 */
	let opened = $state<string | null>(null);
	const questions = $derived(forms[form]);
	const left = $derived(questions.filter((q) => !isAnswered(q, answers)).length);
	const said = (q: Question) =>
		chosen(q, answers)
			.map((c) => c.word)
			.join(', ');
	/** The next one stands on top: a thumb need not look for it. */
	const open = $derived(questions.filter((q) => opened === q.id || !isAnswered(q, answers)));
	const groups = $derived([...new Set(open.map((q) => q.group))]);

	const same = $derived(asLastTime(form, questions, answers, last));
	const sameOf = $derived(questions.filter((q) => Object.keys(same).some((p) => p.split('/')[1] === q.id)));

	/** Initials of whoever answered last. */
	const answeredBy = (q: Question) => {
		const lines = [...writer.lines.values()].filter(
			(l) => l.live && (l.path === `${form}/${q.id}` || l.path.startsWith(`${form}/${q.id}/`))
		);
		const by = lines.at(-1)?.live?.by;
		return by === undefined ? '' : writer.initialsOf(by);
	};

	function tap(q: Question, choice: string) {
		const path = `${form}/${q.id}`;
		if (q.takes === 'one') {
			opened = null;
			if (valueAt(writer, path) === choice) writer.strike(path, 'taken back');
			else void writer.set(path, choice);
			return;
		}
		opened = q.id;
		const isOn = valueAt<boolean>(writer, `${path}/${choice}`) === true;
		if (isOn) return writer.strike(`${path}/${choice}`, 'taken back');
		// "none" and the others take each other out
		for (const other of q.choices)
			if ((choice === 'none') !== (other.id === 'none') && valueAt(writer, `${path}/${other.id}`) === true)
				writer.strike(`${path}/${other.id}`, 'taken back');
		void writer.set(`${path}/${choice}`, true);
		if (choice === 'none') opened = null;
	}
</script>

<p class="left" role="status">{left === 0 ? 'All answered.' : `${left} of ${questions.length} still to answer.`}</p>
{#if sameOf.length}
	<button type="button" class="same btn preset-outlined-primary-500" onclick={() => void writer.setAll(same)}
		>As last time: {sameOf.map((q) => inSentence(q.ask)).join(', ')}
		<small>what changes with the weather is asked anew</small></button
	>
{/if}
{#each groups as group (group)}
	<h2 class="ruled">{group}</h2>
	{#each open.filter((q) => q.group === group) as q (q.id)}
		<Chips
			legend={q.ask}
			help={q.help}
			chips={usualFirst(q, usual[q.id]).map((c) => ({ ...c, isOn: chosen(q, answers).some((on) => on.id === c.id) }))}
			ontap={(choice) => tap(q, choice)}
		/>
		{#if isAnswered(q, answers)}<button
				type="button"
				class="done btn preset-outlined-surface-500"
				onclick={() => (opened = null)}>That is all</button
			>{/if}
	{/each}
{/each}
{#if open.length < questions.length}
	<h2 class="ruled">Answered</h2>
	{#each questions.filter((q) => !open.includes(q)) as q (q.id)}
		<p class="said">
			<span>{q.ask}: <b>{said(q)}</b> <small>{answeredBy(q)}</small></span>
			<button type="button" class="btn preset-outlined-surface-500" onclick={() => (opened = q.id)}
				>change<span class="visually-hidden"> {q.ask}</span></button
			>
		</p>
		<Struck line={writer.lines.get(`${form}/${q.id}`)} {writer} />
	{/each}
{/if}

<style>
	.left {
		font-weight: 600;
	}
	h2 {
		margin: 0.875rem 0 0.625rem;
	}
	.said {
		display: flex;
		justify-content: space-between;
		align-items: center;
		gap: 0.625rem;
		border-bottom: 1px solid var(--rule);
	}
	.said .btn {
		border: 0;
		text-decoration: underline;
		min-height: 3rem;
		font-weight: 400;
	}
	.same {
		width: 100%;
		min-height: 3.25rem;
		margin-top: 0.5rem;
	}
	.same small {
		display: block;
		font-weight: 400;
	}
	.done {
		min-height: 2.75rem;
		margin: -0.375rem 0 0.875rem;
	}
</style>
