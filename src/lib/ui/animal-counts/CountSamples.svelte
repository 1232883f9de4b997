<script module lang="ts">
	import type { CountPlan, PlannedSample } from '$lib/core/animal-counts';

	export interface Props {
		plan: Pick<CountPlan, 'samples' | 'rows'>;
	}
</script>

<script lang="ts">
	import { knownAnimals } from '../animals/known-animals';
	import { counted } from '$lib/core/wording';
	import Fold from '../kit/Fold.svelte';

	let { plan }: Props = $props();
	const known = knownAnimals();

	const SHOWN = 200;
	/** Of one sample: the rest is likely to be the same mistake. */
	const MOST_TOLD = 5;
	const words: Record<PlannedSample['verdict'], string> = {
		new: 'new',
		opens: 'new, with a visit',
		same: 'nothing new',
		refused: 'waits'
	};
	/** What needs a person first, then what ought to be looked at. */
	const urgency = ({ verdict, doubts }: PlannedSample) => {
		if (verdict === 'refused') return 0;
		return doubts.length ? 1 : 2;
	};
	const ordered = $derived(plan.samples.toSorted((a, b) => urgency(a) - urgency(b)).slice(0, SHOWN));
	const byLine = $derived(new Map(plan.rows.map((r) => [r.line, r])));
	const unread = (sample: PlannedSample) =>
		sample.lines.flatMap((line) => {
			const row = byLine.get(line);
			return row?.why ? [{ line, why: row.why }] : [];
		});
</script>

<ul aria-label="Samples of the file">
	{#each ordered as sample (sample.name)}
		{@const bad = unread(sample)}
		<li>
			<p><b>{sample.name}</b> <small>{counted(sample.animals, 'animal')}</small></p>
			<p class={['verdict', sample.verdict]}>{words[sample.verdict]}</p>
			<div>
				{#if bad.length}
					{#each bad.slice(0, MOST_TOLD) as { line, why } (line)}<p>Row {line}: {why}</p>{/each}
					{#if bad.length > MOST_TOLD}<p>And {counted(bad.length - MOST_TOLD, 'row')} more.</p>{/if}
				{:else}{#each sample.why as sentence (sentence)}<p>{sentence}</p>{/each}{/if}
				{#each sample.doubts as sentence (sentence)}<p>{sentence}</p>{/each}
				{#if sample.kinds.length}
					<Fold title={counted(sample.kinds.length, 'kind')}>
						<ul class="kinds">
							{#each sample.kinds as { code, count } (code)}<li>{code}, {known.list.nameOf(code)}: {count}</li>{/each}
						</ul>
					</Fold>
				{/if}
			</div>
		</li>
	{/each}
</ul>
{#if plan.samples.length > SHOWN}<p class="small">
		And {counted(plan.samples.length - SHOWN, 'sample')} more; those that wait stand first.
	</p>{/if}

<style>
	ul:not(.kinds) > li {
		display: grid;
		grid-template-columns: minmax(9rem, 1fr) 8rem minmax(0, 3fr);
		gap: 0 1rem;
		padding: 0.5rem 0;
		border-bottom: 1px solid var(--rule);
	}
	@media (max-width: 40rem) {
		ul:not(.kinds) > li {
			grid-template-columns: minmax(0, 1fr) auto;
		}
		li > div {
			grid-column: 1 / -1;
		}
	}
	p {
		margin: 0;
	}
	small {
		display: block;
	}
	.verdict {
		font-weight: 600;
	}
	.verdict.refused {
		color: var(--ochre);
	}
	.verdict.new,
	.verdict.opens {
		color: var(--water);
	}
	.verdict.same {
		font-weight: 400;
	}
</style>
