<script module lang="ts">
	import type { Standing, Threshold } from '$lib/core/interpret';
	import type { Unit } from '$lib/core/quantity';

	export interface Props {
		threshold: Threshold;
		/** What the latest season's samples come to; null where none was taken in one. */
		standing: Standing | null;
		decimals: number;
		/** What it is read in. */
		unit: Unit;
	}
</script>

<script lang="ts">
	import { capitalised, counted, sayMonth, saySure } from '$lib/core/wording';

	let { threshold, standing, decimals, unit }: Props = $props();

	const state = $derived(standing?.band?.state ?? null);
	const missing = $derived(threshold.leastSamples - (standing?.samples ?? 0));
</script>

<p class="say" class:ask={state === 'watch'} class:spoils={state === 'act'}>
	{#if standing?.figure}
		<b>{capitalised(threshold.use)}: {standing.band?.word ?? 'open: only a limit is known'}.</b>
		The {threshold.statistic} of {counted(standing.samples, 'sample')} of the season from {sayMonth(standing.season)} is {saySure(
			standing.figure,
			null,
			decimals,
			unit
		).figure}.
		{#if state !== 'good'}{threshold.nextStep}{/if}
	{:else if standing?.lacks === 'above-nought'}
		<b>{capitalised(threshold.use)}: a sample of 0 has no place in a geometric mean.</b>
		What was not found is entered as “below” the limit of its method.
	{:else}
		<b>{capitalised(threshold.use)}: too early to say.</b>
		{counted(standing?.samples ?? 0, 'sample')} of the season so far; {missing} more before its {threshold.statistic}
		means anything.
	{/if}
	<small>{threshold.source}</small>
</p>
