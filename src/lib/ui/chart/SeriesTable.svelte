<script module lang="ts">
	import type { Threshold } from '$lib/core/interpret';
	import type { Parameter } from '$lib/core/quantity';
	import type { ChartPoint, ChartStretch } from './series-option';

	export interface Props {
		parameter: Parameter;
		points: (ChartPoint & { visitId: string })[];
		stretches: ChartStretch[];
		threshold: Threshold | null;
		timeZone: string;
		/** Whether the visits behind the figures may be opened. */
		mayOpen: boolean;
	}
</script>

<script lang="ts">
	import { sayVerdict, verdictOn } from '$lib/core/interpret';
	import { sayDay, wayWords } from '$lib/core/wording';
	import { significant, units, withQualifier, writeFigure, writeFixed } from '$lib/core/quantity';

	let { parameter, points, stretches, threshold, timeZone, mayOpen }: Props = $props();

	const figure = (p: ChartPoint) => withQualifier(p.value, p.qualifier, parameter.unit);
	const unit = $derived(units[parameter.unit].symbol);
	function sayDoubt({ uncertainty, lower, upper }: ChartPoint): string {
		if (lower === null) return uncertainty === null ? '' : significant(uncertainty, 2);
		return `${significant(lower, 2)} to ${upper === null ? '…' : significant(upper, 2)}`;
	}
</script>

<div class="scroll">
	{#if stretches.length}
		<table class="table">
			<thead
				><tr
					><th>Around</th><th class="number">lowest, {unit}</th><th class="number">middle, {unit}</th><th class="number"
						>highest, {unit}</th
					></tr
				></thead
			>
			<tbody>
				{#each stretches as s (s.at_ms)}
					<tr
						><td>{sayDay(s.at_ms, timeZone, true)}</td><td class="number">{writeFixed(s.low, parameter.decimals)}</td
						><td class="number">{writeFixed(s.middle, parameter.decimals)}</td><td class="number"
							>{writeFixed(s.high, parameter.decimals)}</td
						></tr
					>
				{/each}
			</tbody>
		</table>
	{:else}
		<table class="table">
			<thead
				><tr
					><th>Day</th><th class="number">{parameter.name}</th><th class="number">±, or 95 % limits</th><th>found by</th
					><th>says</th><th>review</th></tr
				></thead
			>
			<tbody>
				{#each points.toReversed() as p (p.visitId)}
					<tr class:struck={p.status === 'rejected'}>
						<td
							>{#if mayOpen}<a href="/visits/{p.visitId}">{sayDay(p.at_ms, timeZone, true)}</a>{:else}{sayDay(
									p.at_ms,
									timeZone,
									true
								)}{/if}</td
						>
						<td class="number">{writeFigure(figure(p), parameter.decimals)}</td>
						<td class="number">{sayDoubt(p)}</td>
						<td>{wayWords[p.way]}</td>
						<td
							>{threshold
								? sayVerdict(
										verdictOn(
											figure(p),
											p.uncertainty,
											p.lower === null ? null : { lower: p.lower, upper: p.upper },
											threshold
										)
									)
								: ''}</td
						>
						<td>{p.isSimulated ? 'simulated, ' : ''}{p.status === 'waiting' ? 'waits' : p.status}</td>
					</tr>
				{/each}
			</tbody>
		</table>
	{/if}
</div>

<style>
	.scroll {
		overflow-x: auto;
	}
</style>
