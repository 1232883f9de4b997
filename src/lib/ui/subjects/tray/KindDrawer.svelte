<script module lang="ts">
	export interface Props {
		onchoose: (code: string) => void;
	}
</script>

<script lang="ts">
	import { animalKey } from '$lib/core/identification';
	import { knownAnimals } from '../../animals/known-animals';
	import AnimalDrawing from './AnimalDrawing.svelte';
	import KindCard from './KindCard.svelte';

	let { onchoose }: Props = $props();
	const known = knownAnimals();

	const described = $derived(animalKey(known.own).described);
	const groups = $derived(
		[...new Set(described.map((t) => known.list.of(t.code)!.order))].map((order) => ({
			order,
			name: known.list.nameOf(order),
			kinds: described.filter((t) => known.list.of(t.code)!.order === order)
		}))
	);
	let open = $state<string | null>(null);
</script>

{#each groups as { order, name, kinds } (order)}
	<h3>{name} <small>{order === name ? '' : order}</small></h3>
	<ul>
		{#each kinds as { code, drawing, tell } (code)}
			<li>
				<button
					type="button"
					aria-expanded={open === code}
					title={tell}
					onclick={() => (open = open === code ? null : code)}
				>
					<AnimalDrawing name={drawing} isBesideWords />
					<span>{known.list.nameOf(code)}</span><small>{code}</small>
				</button>
			</li>
		{/each}
	</ul>
	{#if open && kinds.some((k) => k.code === open)}
		{@const code = open}
		<KindCard {code} chance={null} {onchoose} onclose={() => (open = null)} />
	{/if}
{/each}

<style>
	h3 {
		margin: 0.625rem 0 0.25rem;
	}
	ul {
		display: grid;
		grid-template-columns: repeat(auto-fill, minmax(6.5rem, 1fr));
		gap: 0.375rem;
		margin-bottom: 0.375rem;
	}
	button {
		width: 100%;
		height: 100%;
		padding: 0.25rem;
		background: var(--page);
		color: var(--ink);
		border: 1px solid var(--rule);
		border-radius: 0.25rem;
		line-height: 1.2;
		cursor: pointer;
	}
	button[aria-expanded='true'] {
		border: 2px solid var(--water);
	}
	span,
	small {
		display: block;
		overflow-wrap: anywhere;
	}
</style>
