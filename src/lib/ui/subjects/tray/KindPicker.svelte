<script module lang="ts">
	import type { Naming } from './naming.svelte';

	export interface Props {
		title?: string;
		/** Shown as one line until it is opened. */
		isFolded?: boolean;
		/** What is seen of the animal, for the key. */
		naming: Naming;
		onchoose: (code: string) => void;
		/** None of the kinds that the key knows. */
		onnone?: () => void;
		onclose?: () => void;
	}
</script>

<script lang="ts">
	import { animalWords } from '$lib/core/macroinvertebrates';
	import { knownAnimals } from '../../animals/known-animals';

	let { title = 'Which kind?', isFolded = false, naming, onchoose, onnone, onclose }: Props = $props();
	const known = knownAnimals();

	const id = $props.id();
	let words = $state('');
	let opened = $state(false);
	const isOpen = $derived(opened || !isFolded);
	/** How it is looked for. Whoever left the key in the middle comes back to it. */
	let way = $state<'name' | 'key' | 'drawings'>();
	const shownWay = $derived(way ?? (naming.answers.length ? 'key' : 'name'));
	const ways = { name: 'By name', key: 'By what you see', drawings: 'By drawings' } as const;
	/** All by which each kind is looked for: what other lists call it too. */
	const texts = $derived.by(() => {
		const texts = new Map(known.list.taxa.map(({ code, name, order }) => [code, `${name} ${order}`]));
		for (const { word, code } of animalWords(known.list).words) texts.set(code, `${texts.get(code) ?? ''} ${word}`);
		return texts;
	});
	const found = $derived.by(() => {
		const asked = words.trim().toLowerCase().split(/\s+/);
		return known.list.taxa.filter(({ code }) => {
			const text = texts.get(code)!.toLowerCase();
			return asked.every((w) => text.includes(w));
		});
	});
	const groups = $derived([...new Set(found.map((t) => t.order))]);
	function close() {
		opened = false;
		words = '';
		way = undefined;
	}
	function choose(code: string, chance: number | null = null) {
		close();
		naming.name(code, chance);
		onchoose(code);
	}
</script>

<section aria-label={title}>
	{#if isOpen}
		<p class="head">
			<label for={id}><b>{title}</b></label>
			<button
				type="button"
				class="btn preset-outlined-surface-500"
				onclick={() => {
					close();
					onclose?.();
				}}>Close</button
			>
		</p>
		<p class="ways" role="group" aria-label="How to look for it">
			{#each Object.entries(ways) as [w, name] (w)}
				<button
					type="button"
					class={['btn', shownWay === w ? 'preset-filled-surface-500' : 'preset-outlined-surface-500']}
					aria-pressed={shownWay === w}
					onclick={() => (way = w as keyof typeof ways)}>{name}</button
				>
			{/each}
		</p>
		{#if shownWay === 'key'}
			{#await import('./KindKey.svelte') then { default: KindKey }}
				<KindKey
					answers={naming.answers}
					onanswer={naming.answer}
					onstrike={naming.strike}
					onchoose={choose}
					onnone={() => {
						close();
						onnone?.();
					}}
				/>
			{/await}
		{:else if shownWay === 'drawings'}
			{#await import('./KindDrawer.svelte') then { default: KindDrawer }}<KindDrawer onchoose={choose} />{/await}
		{:else}
			<input
				{id}
				class="input"
				type="search"
				autocomplete="off"
				placeholder="mayfly, beetle, Baetidae"
				bind:value={words}
			/>
			<div class="list">
				{#each groups as order (order)}
					<h3>{order}</h3>
					<div class="kinds">
						{#each found.filter((t) => t.order === order) as t (t.code)}
							<button type="button" onclick={() => choose(t.code)}
								>{t.name}<small>{t.code === order ? 'not named further' : t.code}</small></button
							>
						{/each}
					</div>
				{:else}<p>
						No kind of that name. Look for it by what you see, or count it as <b>unknown</b> and keep one.
					</p>{/each}
			</div>
		{/if}
	{:else}
		<button type="button" class="fold btn preset-outlined-primary-500" onclick={() => (opened = true)}>{title}</button>
	{/if}
</section>

<style>
	section {
		margin: 0.5rem 0;
	}
	.head {
		display: flex;
		justify-content: space-between;
		align-items: center;
		margin: 0 0 0.375rem;
	}
	.ways {
		display: grid;
		grid-template-columns: repeat(3, 1fr);
		gap: 0.25rem;
		margin-bottom: 0.5rem;
	}
	.ways button,
	.head button,
	.fold {
		min-height: 3rem;
	}
	input {
		width: 100%;
		min-height: 3rem;
	}
	.list {
		max-height: 22rem;
		overflow-y: auto;
		border-bottom: 1px solid var(--rule);
	}
	h3 {
		margin: 0.5rem 0 0.25rem;
		font-size: 0.9375rem;
	}
	.kinds {
		display: grid;
		grid-template-columns: repeat(auto-fill, minmax(9.5rem, 1fr));
		gap: 0.375rem;
	}
	.kinds button {
		min-height: 3rem;
		padding: 0.25rem 0.5rem;
		text-align: left;
		background: var(--page);
		color: var(--ink);
		border: 1px solid var(--rule);
		border-radius: 0.25rem;
		cursor: pointer;
	}
	small {
		display: block;
		color: var(--ink-2);
	}
</style>
