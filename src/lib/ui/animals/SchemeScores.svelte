<script module lang="ts">
	import type { SchemeInterval, SchemeScore } from '$lib/core/score-schemes';

	export interface Props {
		scores: SchemeScore[];
		/** Vouchers that were looked at again: in the program, and named by those who counted. */
		checked: { all: number; byCounters: number };
		/** Who counted, in a sentence. */
		counters: string;
		/** Whoever looks may open the schemes and the vouchers. */
		hasLinks: boolean;
	}
</script>

<script lang="ts">
	import { writeFixed } from '$lib/core/quantity';
	import { knownAnimals } from './known-animals';
	import { counted, listed } from '$lib/core/wording';

	let { scores, checked, counters, hasLinks }: Props = $props();
	const known = knownAnimals();

	const ofCounters = $derived(
		checked.byCounters === 0
			? `None of these was named by ${counters}.`
			: `Those named by ${counters} (${checked.byCounters}) count in full, the others less.`
	);
	const WORTH_SAYING = 0.005;
	const span = (i: SchemeInterval | null) =>
		i === null ? '' : `${writeFixed(i.lower, 2)} to ${writeFixed(i.upper, 2)}`;
	const chances = (i: SchemeInterval) =>
		i.chances
			.filter((c) => c.chance >= WORTH_SAYING)
			.sort((a, b) => b.chance - a.chance)
			.map((c) => `${c.name} ${(100 * c.chance).toFixed(0)} %`)
			.join(', ');
	const unsaid = (s: SchemeScore) =>
		s.needsShares
			? 'It weighs animals; this sample only says what was there.'
			: 'None of these animals has a value in it.';
</script>

<div class="wide">
	<table class="table table-stacks">
		<thead>
			<tr>
				<th>Scheme</th>
				<th class="number">Score</th>
				<th class="number">from counting</th>
				<th class="number">from counting and naming</th>
				<th>Class, as chances</th>
			</tr>
		</thead>
		<tbody>
			{#each scores as s (s.code)}
				<tr>
					<td>
						{#if hasLinks}<a href="/library/schemes/{s.code}">{s.name}</a>{:else}{s.name}{/if}
						<small
							>{s.isExample ? 'Example. ' : ''}{s.scored
								? `${counted(s.scored.kinds, 'kind')} with a value`
								: unsaid(s)}{s.scored?.without.length
								? `, none for ${listed(s.scored.without.slice(0, 4).map(known.list.nameOf))}${s.scored.without.length > 4 ? ' …' : ''}`
								: ''}</small
						>
					</td>
					<td class="number" data-label="score">{s.scored ? writeFixed(s.scored.figure, 2) : ''}</td>
					<td class="number" data-label="from counting">{span(s.counting)}</td>
					<td class="number" data-label="from counting and naming">{span(s.both)}</td>
					<td data-label="class"
						>{#if s.both ?? s.counting}{chances((s.both ?? s.counting)!)}{/if}</td
					>
				</tr>
			{/each}
		</tbody>
	</table>
</div>
<p class="small">
	{#if checked.all}
		How often names are wrong is known from {counted(checked.all, 'voucher')} that {checked.all === 1 ? 'was' : 'were'} looked
		at again. {ofCounters} Whoever takes one kind for another does so with all of its animals.
	{:else}
		No voucher was looked at again yet: what a wrong name would add is not known.
		{#if hasLinks}<a href="/vouchers">Vouchers</a>{/if}
	{/if}
</p>

<style>
	.wide {
		overflow-x: auto;
	}
	td small {
		display: block;
	}
</style>
