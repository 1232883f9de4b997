<script module lang="ts">
	import type { Threshold } from '$lib/core/interpret';
	import type { Parameter, Unit } from '$lib/core/quantity';
	import type { ChartPoint, ChartStretch } from './series-option';

	export interface Props {
		parameter: Parameter;
		/** What it is read in. */
		unit: Unit;
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
	import { sayDay, saySure, wayWords } from '$lib/core/wording';
	import { convert, parameterIn, units, withQualifier, writeFixed } from '$lib/core/quantity';

	let { parameter, unit, points, stretches, threshold, timeZone, mayOpen }: Props = $props();

	const figure = (p: ChartPoint) => withQualifier(p.value, p.qualifier, parameter.unit);
	const sureOf = (p: ChartPoint) => saySure(figure(p), p.uncertainty, parameter.decimals, unit, limitsOf(p), p.way);
	const limitsOf = ({ lower, upper }: ChartPoint) => (lower === null ? null : { lower, upper });
	const symbol = $derived(units[unit].symbol);
	const shown = $derived(parameterIn(parameter, unit));
	const digits = (value: number) => writeFixed(convert(value, parameter.unit, unit), shown.decimals);
</script>

<div class="scroll">
	{#if stretches.length}
		<table class="table">
			<thead
				><tr
					><th>Around</th><th class="number">lowest, {symbol}</th><th class="number">middle, {symbol}</th><th
						class="number">highest, {symbol}</th
					></tr
				></thead
			>
			<tbody>
				{#each stretches as s (s.at_ms)}
					<tr
						><td>{sayDay(s.at_ms, timeZone, true)}</td><td class="number">{digits(s.low)}</td><td class="number"
							>{digits(s.middle)}</td
						><td class="number">{digits(s.high)}</td></tr
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
					{@const sure = sureOf(p)}
					<tr class:struck={p.status === 'rejected'}>
						<td
							>{#if mayOpen}<a href="/visits/{p.visitId}">{sayDay(p.at_ms, timeZone, true)}</a>{:else}{sayDay(
									p.at_ms,
									timeZone,
									true
								)}{/if}</td
						>
						<td class="number">{sure.figure}</td>
						<td class="number">{sure.limits ?? sure.uncertainty ?? ''}</td>
						<td>{wayWords[p.way]}</td>
						<td>{threshold ? sayVerdict(verdictOn(figure(p), p.uncertainty, limitsOf(p), threshold)) : ''}</td>
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
