<script module lang="ts">
	export interface Props {
		code: string;
		/** How likely the key holds it; null where it is only looked through. */
		chance: number | null;
		/** It, or one of the kinds that the program tells apart in it. */
		onchoose: (code: string) => void;
		onclose: () => void;
	}
</script>

<script lang="ts">
	import { animalKey } from '$lib/core/identification';
	import { knownAnimals } from '../../animals/known-animals';
	import AnimalDrawing from './AnimalDrawing.svelte';

	let { code, chance, onchoose, onclose }: Props = $props();
	const known = knownAnimals();

	const kind = $derived(animalKey(known.own).describedAs(code));
	const tellOf = $derived(new Map(known.own.map((own) => [own.code, own.tell])));
	const narrower = $derived(known.list.taxa.filter((t) => t.within[0] === code));
	const nameOf = (of: string) => known.list.nameOf(of);
</script>

{#if kind}
	<article aria-label="{nameOf(code)}, {code}">
		<div class="drawing"><AnimalDrawing name={kind.drawing} /></div>
		<h3>{nameOf(code)} <small>{code}</small></h3>
		{#if chance !== null}<p><b>{(100 * chance).toFixed(0)} %</b> by what you saw.</p>{/if}
		<p>{kind.tell}</p>
		<p class="small">
			{kind.size_mm[0]} to {kind.size_mm[1]} mm.{kind.where ? ` Where: ${kind.where}.` : ''}{kind.moves
				? ` Moves: ${kind.moves}.`
				: ''}
		</p>
		{#if narrower.length}
			<h4>Told apart here</h4>
			<ul class="narrower">
				{#each narrower as t (t.code)}
					<li>
						<button type="button" class="btn preset-outlined-primary-500" onclick={() => onchoose(t.code)}
							>{t.name} <small>{t.code}</small></button
						>
						{tellOf.get(t.code)}
					</li>
				{/each}
			</ul>
		{/if}
		{#if kind.likeness.length}
			<h4>Easily taken for</h4>
			<ul>
				{#each kind.likeness as l (l.taxon)}<li><b>{nameOf(l.taxon)} <small>{l.taxon}</small></b> {l.apart}</li>{/each}
			</ul>
		{/if}
		<p class="acts">
			<button type="button" class="btn preset-outlined-surface-500" onclick={onclose}>Look on</button>
			<button type="button" class="btn preset-filled-primary-500" onclick={() => onchoose(code)}
				>{narrower.length ? 'It is this, no further' : 'It is this'}</button
			>
		</p>
	</article>
{/if}

<style>
	article {
		background: var(--page);
		border: 1.5px solid var(--ink-3);
		padding: 0.625rem 0.75rem;
	}
	.drawing {
		float: right;
		width: 8.5rem;
		margin-left: 0.5rem;
	}
	h3 {
		font-size: 1.1875rem;
	}
	p,
	ul {
		margin: 0.375rem 0;
	}
	h4 {
		font-weight: 600;
		clear: right;
	}
	li {
		margin: 0.25rem 0 0.25rem 1rem;
		list-style: disc;
	}
	.narrower li {
		margin-left: 0;
		list-style: none;
	}
	.narrower button {
		display: block;
		min-height: 2.75rem;
	}
	.acts {
		display: flex;
		gap: 0.5rem;
		justify-content: flex-end;
		clear: right;
	}
	.acts button {
		min-height: 3rem;
	}
</style>
