<script module lang="ts">
	import type { Determination } from '$lib/core/subjects/determination';
	import type { Threshold } from '$lib/core/interpret';
	import type { Flag } from '$lib/core/subjects/flags';
	import type { SaidIn } from '$lib/core/subjects/say';
	import type { Unit } from '$lib/core/quantity';

	export interface Props {
		/** Its number in the table: the names of its fields end with it. */
		row: number;
		result: Determination;
		flags: Flag[];
		/** What the uses want of this parameter then. */
		thresholds: Threshold[];
		/** The unit that the card shows it in. */
		unit: Unit;
		/** Those in which doubts are said. */
		saidIn: SaidIn;
		/** The text that a verdict keeps. */
		judged: string;
		mayJudge: boolean;
		nameOf: (memberId: string) => string;
		timeZone: string;
		/** What was said in this row when it was last sent, and what was wrong with it. */
		typed: { verdict: string; reason: string; why: string } | null;
	}
	const words = {
		waiting: 'waits for review',
		accepted: 'accepted',
		qualified: 'qualified',
		rejected: 'rejected'
	} as const;
</script>

<script lang="ts">
	import { saidOn, sayWorking } from '$lib/core/interpret';
	import { flagSentence } from '$lib/core/subjects/flags';
	import { capitalised, sayDay, saySure, wayWords } from '$lib/core/wording';
	import { weightOf } from '$lib/core/subjects/flags';
	import { parameterOf, units } from '$lib/core/quantity';
	import Fold from '../kit/Fold.svelte';

	let { row, result, flags, thresholds, unit, saidIn, judged, mayJudge, nameOf, timeZone, typed }: Props = $props();

	const known = $derived(parameterOf(result.parameter, saidIn.own));
	const sure = $derived(saySure(result.figure, result.uncertainty, known.decimals, unit, result.limits, result.way));
	const says = $derived(saidOn(result, thresholds));
	const id = $derived(result.isReported ? result.parameter : `${result.parameter}-${result.from}`);
	const name = $derived(result.isReported ? known.name : `${known.name} by ${wayWords[result.way]}`);
	const choices = $derived([
		{ word: 'Accept', verdict: 'accept' },
		{ word: 'Qualify', verdict: 'qualify' },
		{ word: 'Reject', verdict: 'reject' },
		...(result.isReported || result.status === 'rejected' ? [] : [{ word: 'Report this one', verdict: 'report' }])
	]);
</script>

<tr {id} class={result.status} class:other={!result.isReported}>
	<th scope="row">
		{result.isReported ? known.name : `Also found by ${wayWords[result.way]}`}
		<small>{result.basis}</small>
	</th>
	<td class="figure">
		<b class:struck={result.status === 'rejected'}>{sure.figure}</b>
		{#if sure.uncertainty}<span class="small">± {sure.uncertainty} {units[unit].symbol}</span>{/if}
		{#if sure.limits}<span class="small">{sure.limits} {units[unit].symbol}, 95 %</span>{/if}
		{#each says as { threshold, words: verdict } (threshold.use)}<span class="small">{threshold.use}: {verdict}</span
			>{/each}
		{#if result.working}<Fold title="how">
				<p class="working">{sayWorking(result.working)}</p>
			</Fold>{/if}
	</td>
	<td class="flags">
		{#if result.isSimulated}<p class="say ask">Simulated: a stand-in gave it, it says nothing of a stream.</p>{/if}
		{#each flags as flag, i (i)}<p class="say {weightOf(flag)}">{flagSentence(flag, saidIn)}</p>{/each}
		{#if result.choice}<p class="small">
				Reported because {nameOf(result.choice.by)} chose it: {result.choice.reason}
			</p>{/if}
		<p class="small">
			{#if result.review}
				{capitalised(words[result.status])}
				{result.status === 'waiting' ? 'again' : ''} by {nameOf(result.review.by)}, {sayDay(
					Date.parse(result.review.at),
					timeZone,
					true
				)}{result.review.reason ? `: ${result.review.reason}` : '.'}
			{:else}{words[result.status]}{/if}
		</p>
	</td>
	{#if mayJudge}
		<td class="judge">
			<input type="hidden" name="parameter.{row}" value={result.parameter} />
			<input type="hidden" name="from.{row}" value={result.from} />
			<input type="hidden" name="judged.{row}" value={judged} />
			<fieldset>
				<legend class="visually-hidden">{name}</legend>
				{#each choices as { word, verdict } (verdict)}
					<label
						><input
							type="radio"
							name="verdict.{row}"
							value={verdict}
							checked={typed?.verdict === verdict}
						/>{word}</label
					>
				{/each}
			</fieldset>
			<label class="reason">
				<span class="visually-hidden">Reason, for {name}</span>
				<input
					name="reason.{row}"
					class="input"
					maxlength="500"
					placeholder="why"
					value={typed?.reason ?? ''}
					aria-invalid={typed?.why ? 'true' : undefined}
					aria-describedby="why-{row}"
				/>
			</label>
			<p id="why-{row}" class="wrong" role="alert">{typed?.why ?? ''}</p>
		</td>
	{/if}
</tr>

<style>
	th,
	td {
		vertical-align: top;
		padding: 0.625rem 0.5rem;
		border-bottom: 1px solid var(--rule);
	}
	th {
		color: var(--ink);
		font-size: 0.9375rem;
		font-weight: 650;
		text-align: left;
	}
	th small {
		display: block;
		font-weight: 400;
	}
	.other th {
		padding-left: 1.125rem;
		font-weight: 500;
	}
	.figure b {
		font-size: 1.25rem;
		font-weight: 650;
		white-space: nowrap;
	}
	.figure span {
		display: block;
	}
	.working {
		overflow-wrap: anywhere;
		font-variant-numeric: tabular-nums;
	}
	.flags {
		min-width: 11.25rem;
	}
	.flags p + p {
		margin-top: 0.375rem;
	}
	fieldset {
		display: flex;
		gap: 2px 0.625rem;
		font-size: 0.9375rem;
	}
	fieldset label {
		display: flex;
		white-space: nowrap;
		align-items: center;
		gap: 0.3125rem;
		min-height: 1.75rem;
		cursor: pointer;
	}
	/* a reason is asked for where one is needed, and no scripts are */
	.reason {
		display: none;
		margin-top: 0.25rem;
	}
	.judge:has(input[type='radio']:checked:not([value='accept'])) .reason {
		display: block;
	}
	.reason .input {
		width: 100%;
		padding: 0.25rem 0.5rem;
	}
	.wrong {
		color: var(--danger);
		font-weight: 600;
	}
	.wrong:empty {
		display: none;
	}
	@media (max-width: 900px) {
		tr {
			display: grid;
			border-bottom: 1px solid var(--rule);
		}
		th,
		td {
			padding: 0.25rem 0;
			border: 0;
		}
		fieldset {
			flex-wrap: wrap;
		}
		fieldset label {
			min-height: 2.75rem;
		}
		.reason .input {
			min-height: 2.75rem;
		}
	}
</style>
