<script module lang="ts">
	import type { Limits } from '$lib/core/method';
	import type { TubeSet } from '$lib/core/subjects/growth-tubes/series';
	import type { Writer } from '../entry/writer';

	export interface Props {
		id: string;
		set: TubeSet;
		limits: Limits;
		now_ms: number;
		writer: Writer;
	}
</script>

<script lang="ts">
	import { mostProbableNumber } from '$lib/core/bacteria';
	import { saySide, significant, writeNumber } from '$lib/core/quantity';
	import { tubesOnShelf } from '$lib/core/subjects/growth-tubes/shelf';
	import { tubesTodo } from '$lib/core/subjects/growth-tubes/words';
	import { stageWords } from '$lib/core/subjects/plates/words';
	import { patternOf, seriesOf } from '$lib/core/subjects/growth-tubes/series';
	import { sayDuration } from '$lib/core/wording';
	import { stamp } from '../entry/writer';

	let { id, set, limits, now_ms, writer }: Props = $props();

	const HOUR_ms = 3_600_000;
	const at = (row: string) => `growthTubes/${id}/rows/${row}/grown`;
	const rows = $derived(
		Object.entries(set.rows ?? {}).toSorted(([, a], [, b]) => (b.volume_mL ?? 0) - (a.volume_mL ?? 0))
	);
	/** Taps outlive a phone that dies: they are drafts until they are kept. */
	const grownIn = (row: string): number[] =>
		(writer.drafts[at(row)] ?? '').split(',').flatMap((n) => (n === '' ? [] : [Number(n)]));
	function tap(row: string, nth: number) {
		const grown = grownIn(row);
		writer.draft(at(row), (grown.includes(nth) ? grown.filter((n) => n !== nth) : [...grown, nth]).join(','));
	}
	const series = $derived(
		seriesOf({ rows: Object.fromEntries(rows.map(([row, r]) => [row, { ...r, grown: r.grown ?? grownIn(row) }])) })
	);
	const number = $derived(series && mostProbableNumber({ series }));
	const stands = $derived(tubesOnShelf(set, limits, now_ms));
	const side = $derived.by(() => {
		if (number?.qualifier === '<') return 'below';
		return number?.qualifier === '>' ? 'above' : null;
	});

	function keep() {
		void writer.setAll({
			...Object.fromEntries(rows.map(([row]) => [at(row), grownIn(row).toSorted((a, b) => a - b)])),
			[`growthTubes/${id}/readAt`]: stamp(writer)
		});
		for (const [row] of rows) writer.draft(at(row), '');
	}
	function again() {
		for (const [row, { grown }] of rows) {
			writer.strike(at(row), 'read again');
			writer.draft(at(row), (grown ?? []).join(',')); // after it: a line takes with it what was typed there before
		}
		writer.strike(`growthTubes/${id}/readAt`, 'read again');
	}
</script>

<article aria-label="Tubes {id}">
	<p>
		<b>{id}</b>
		{#if stands}
			{stageWords[stands.stage].name}, {sayDuration(stands.age_h * HOUR_ms)} old. {tubesTodo[stands.stage]}
		{:else}read{/if}
	</p>
	{#if set.readAt === undefined}
		<p class="small">Tap each tube in which something grew, by the medium’s own sheet; a second tap takes it back.</p>
		{#each rows as [row, { volume_mL = 0, tubes = 0 }] (row)}
			<div class="rack" role="group" aria-label="{writeNumber(volume_mL)} mL">
				<span>{writeNumber(volume_mL)} mL</span>
				{#each { length: tubes }, i (i)}
					<button
						type="button"
						class:grew={grownIn(row).includes(i + 1)}
						aria-pressed={grownIn(row).includes(i + 1)}
						aria-label="tube {i + 1} of {writeNumber(volume_mL)} mL"
						onclick={() => tap(row, i + 1)}>{i + 1}</button
					>
				{/each}
			</div>
		{/each}
	{/if}
	{#if series && number?.mpnPer100mL != null}
		<p role="status">
			{patternOf(series)} grown: <b>{saySide(side)}{significant(number.mpnPer100mL, 2)} per 100 mL</b>{number.lower !==
				null &&
			number.upper !== null &&
			side === null
				? `, between ${significant(number.lower, 2)} and ${significant(number.upper, 2)}`
				: ''}.
		</p>
	{/if}
	{#if set.readAt === undefined}
		<button type="button" class="btn preset-filled-primary-500" onclick={keep}>Read now</button>
	{:else}
		<button type="button" class="btn preset-outlined-surface-500" onclick={again}>Read again</button>
	{/if}
</article>

<style>
	article {
		display: grid;
		gap: 0.5rem;
		padding: 0.625rem 0.75rem;
		border: 1.5px solid var(--ink-3);
		background: var(--page);
	}
	.rack {
		display: flex;
		flex-wrap: wrap;
		align-items: center;
		gap: 0.375rem;
	}
	.rack span {
		min-width: 4rem;
	}
	.rack button {
		width: 2.75rem;
		height: 2.75rem;
		border: 1.5px solid var(--ink-3);
		border-radius: 50% 50% 0.5rem 0.5rem;
		background: var(--paper);
		touch-action: manipulation;
	}
	.rack button.grew {
		background: var(--water);
		color: var(--page);
		font-weight: 700;
	}
	.btn {
		min-height: 3rem;
	}
</style>
