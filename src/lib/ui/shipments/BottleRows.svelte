<!-- Bottles bag by bag: what each is, what it lacks, and whether it gets too old on the way. -->
<script lang="ts">
	import type { Snippet } from 'svelte';
	import { bagsOf, tooOldAt, whatLacks, type PackedBottle } from '$lib/core/custody';
	import { bottleLabelWords, lackWords, sayAgainst } from '$lib/core/subjects/bottle/words';
	import { counted, sayDay, sayTime } from '$lib/core/wording';

	interface Props {
		bottles: readonly PackedBottle[];
		/** When a box that leaves next is at the lab; null where nobody knows. */
		arrives_ms: number | null;
		timeZone: string;
		/** What can be done with a bottle, before its words. */
		deed: Snippet<[PackedBottle]>;
	}
	let { bottles, arrives_ms, timeZone, deed }: Props = $props();
</script>

{#each bagsOf(bottles) as bag (bag.holds)}
	<h3>
		{bag.holds === null ? 'Nothing added' : `With ${bag.holds}`}
		<small>{counted(bag.bottles.length, 'bottle')}, a bag of their own</small>
	</h3>
	{#if bag.holds !== null && bag.holds !== 'alkali'}
		<p class="small">
			Acid burns: gloves and glasses while you handle them. Carriers have rules for acids; ask yours before it collects.
		</p>
	{/if}
	<ul>
		{#each bag.bottles as bottle (`${bottle.visitId}/${bottle.id}`)}
			{@const old = arrives_ms === null ? null : tooOldAt(bottle, arrives_ms)}
			<li>
				{@render deed(bottle)}
				<div>
					<p>
						<b>{bottle.label ?? 'no label'}</b>
						{bottle.site}, {bottleLabelWords[bottle.kind]}{bottle.filledAt === null
							? ''
							: `, filled ${sayDay(Date.parse(bottle.filledAt), timeZone)} ${sayTime(Date.parse(bottle.filledAt), timeZone)}`}
					</p>
					{#each whatLacks(bottle) as lack (lack)}<p class="lack">◆ {lackWords[lack]}</p>{/each}
					{#if old}<p class="lack">
							◆ When it comes to the lab: {sayAgainst(old)}. Bring it yourself, or its figures are flagged.
						</p>{/if}
				</div>
			</li>
		{/each}
	</ul>
{/each}

<style>
	h3 {
		margin-top: 0.75rem;
		font-weight: 600;
	}
	h3 small {
		font-weight: 400;
		margin-left: 0.375rem;
	}
	li {
		display: grid;
		grid-template-columns: auto 1fr;
		gap: 0.75rem;
		align-items: center;
		min-height: 2.75rem;
		padding: 0.25rem 0;
		border-bottom: 1px solid var(--rule);
	}
	.lack {
		color: var(--ochre);
		font-size: 0.875rem;
	}
</style>
