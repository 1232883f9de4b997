<script lang="ts">
	import { animalKey } from '$lib/core/identification';
	import type { NamingRecord } from '$lib/core/score-schemes';
	import { counted } from '$lib/core/wording';
	import { knownAnimals } from '$lib/ui/animals/known-animals';
	import AnimalDrawing from '$lib/ui/subjects/tray/AnimalDrawing.svelte';
	import type { PageProps } from './$types';

	let { data }: PageProps = $props();
	const known = knownAnimals();
	const { describedAs } = $derived(animalKey(known.own));

	/** So few say little of anybody. */
	const FEW = 8;
	const percent = (share: number) => (100 * share).toFixed(0);
	const said = ({ checked, right, lower, upper }: NamingRecord) =>
		`${right} of ${counted(checked, 'name')} right${checked < FEW ? ', too few to say how often' : `: between ${percent(lower)} and ${percent(upper)} in 100`}`;
	const kind = (code: string) => `${known.list.nameOf(code)} ${code}`;
	/** How the two are told apart, as the key says it of either. */
	const apart = (one: string, other: string) =>
		describedAs(one)?.likeness.find((l) => l.taxon === other)?.apart ??
		describedAs(other)?.likeness.find((l) => l.taxon === one)?.apart;
	const MOST = 4;
</script>

<svelte:head><title>How often names are right · Keen Riffle</title></svelte:head>

<main class="page">
	<p class="small"><a href="/vouchers">Vouchers</a></p>
	<h1 class="ruled">How often names are right</h1>
	{#if data.all}
		<p class="lead">
			Of the kept animals that somebody looked at again, as far as all who looked agree: {said(data.all)}. A name that
			only goes less far is no wrong one. The intervals of scores allow for wrong names.
		</p>
		{#if data.all.mistaken.length}
			<h2 class="ruled">What is taken for what</h2>
			<ul class="pairs">
				{#each data.all.mistaken as pair (`${pair.is} ${pair.counted}`)}
					{@const [is, wrong] = [describedAs(pair.is), describedAs(pair.counted)]}
					<li>
						<p>
							<b>{kind(pair.is)}</b> was counted as <b>{kind(pair.counted)}</b>, {pair.times === 1
								? 'once'
								: counted(pair.times, 'time')}.
						</p>
						{#if is && wrong}
							<div class="drawings">
								<figure>
									<AnimalDrawing name={is.drawing} isBesideWords />
									<figcaption>{pair.is}</figcaption>
								</figure>
								<figure>
									<AnimalDrawing name={wrong.drawing} isBesideWords />
									<figcaption>{pair.counted}</figcaption>
								</figure>
								<p>{apart(pair.is, pair.counted) ?? `${pair.is}: ${is.tell} ${pair.counted}: ${wrong.tell}`}</p>
							</div>
						{/if}
					</li>
				{/each}
			</ul>
		{/if}
		<h2 class="ruled">By whoever named them</h2>
		<table class="table">
			<thead><tr><th>Person</th><th>Names</th><th>To look at together</th></tr></thead>
			<tbody>
				{#each data.people as person (person.id)}
					<tr>
						<td><b>{person.name}</b></td>
						<td>{said(person.record)}</td>
						<td>
							{person.record.mistaken
								.slice(0, MOST)
								.map((m) => `${kind(m.is)}, taken for ${m.counted}`)
								.join('; ')}
						</td>
					</tr>
				{/each}
			</tbody>
		</table>
	{:else}
		<p class="say">
			Nobody has looked again at an animal that was kept. Give one of the <a href="/vouchers">vouchers</a> a second name:
			what turns out to be wrong stands here, and the intervals of scores allow for it.
		</p>
	{/if}
</main>

<style>
	.page {
		max-width: 60rem;
	}
	.lead {
		margin-top: 0.5rem;
		max-width: 70ch;
	}
	h2 {
		margin-top: 1.25rem;
	}
	.pairs li {
		padding: 0.625rem 0;
		border-bottom: 1px solid var(--rule);
	}
	.drawings {
		display: grid;
		grid-template-columns: 6.5rem 6.5rem minmax(0, 1fr);
		gap: 0.75rem;
		align-items: center;
		margin-top: 0.375rem;
	}
	figcaption {
		font-size: 0.8125rem;
		text-align: center;
	}
	@media (width < 40rem) {
		.drawings {
			grid-template-columns: 1fr 1fr;
		}
		.drawings p {
			grid-column: 1 / -1;
		}
	}
</style>
