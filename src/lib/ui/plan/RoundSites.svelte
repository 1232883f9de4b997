<script module lang="ts">
	export interface Props {
		/** All sites that could be on a round, those of its own circuit first. */
		sites: { id: string; code: string; name: string; isOwn: boolean }[];
		chosen: readonly string[];
		onkeep: (siteIds: string[]) => void;
	}
</script>

<script lang="ts">
	import { untrack } from 'svelte';
	import Fold from '../kit/Fold.svelte';

	let { sites, chosen, onkeep }: Props = $props();

	// the page makes this anew when the round's sites have changed
	let picked = $state(untrack(() => [...chosen]));
	const isChanged = $derived([...picked].sort().join() !== [...chosen].sort().join());
	const toggle = (id: string) => (picked = picked.includes(id) ? picked.filter((p) => p !== id) : [...picked, id]);
</script>

<Fold title="Sites of this round: {chosen.length}">
	<div class="sites">
		{#each sites as site (site.id)}
			<label class:other={!site.isOwn}
				><input type="checkbox" checked={picked.includes(site.id)} onchange={() => toggle(site.id)} />{site.code}
				{site.name}</label
			>
		{/each}
	</div>
	{#if picked.length === 0}<p class="why">
			A round goes to one site at least. To give it up, take it off the season.
		</p>{/if}
	<p>
		<button
			type="button"
			class="btn preset-filled-primary-500"
			disabled={!isChanged || picked.length === 0}
			onclick={() => onkeep(picked)}>Save these {picked.length}</button
		>
	</p>
</Fold>

<style>
	.sites {
		display: flex;
		flex-wrap: wrap;
		gap: 2px 1rem;
		margin: 0.25rem 0 0.5rem;
	}
	label {
		display: flex;
		gap: 0.375rem;
		align-items: center;
		min-height: 2rem;
	}
	.other {
		color: var(--ink-2);
	}
	.why {
		color: var(--danger);
		font-weight: 600;
	}
</style>
