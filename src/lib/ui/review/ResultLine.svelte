<script module lang="ts">
	import type { Determination } from '$lib/core/subjects/determination';
	import type { Threshold } from '$lib/core/interpret';
	import type { Flag } from '$lib/core/subjects/flags';
	import type { SaidIn } from '$lib/core/subjects/say';
	import type { Unit } from '$lib/core/quantity';

	export interface Props {
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
		/** What was wrong with the last try, and the reason that was typed. */
		refused: { why: string; reason: string } | null;
	}
	const words = {
		waiting: 'waits for review',
		accepted: 'accepted',
		qualified: 'qualified',
		rejected: 'rejected'
	} as const;
</script>

<script lang="ts">
	import { enhance } from '$app/forms';
	import { saidOn, sayWorking } from '$lib/core/interpret';
	import { flagSentence } from '$lib/core/subjects/flags';
	import { sayDay, saySure, wayWords, capitalised } from '$lib/core/wording';
	import { weightOf } from '$lib/core/subjects/flags';
	import { parameterOf, units } from '$lib/core/quantity';

	const name = (r: Determination) => (r.isReported ? r.parameter : `${r.parameter}-${r.from}`);

	let { result, flags, thresholds, unit, saidIn, judged, mayJudge, nameOf, timeZone, refused }: Props = $props();

	const known = $derived(parameterOf(result.parameter, saidIn.own));
	const sure = $derived(saySure(result.figure, result.uncertainty, known.decimals, unit, result.limits));
	const says = $derived(saidOn(result, thresholds));
	const id = $derived(name(result));
	const reasonId = $derived(`reason-${id}`);
</script>

<article {id} class={result.status} class:other={!result.isReported}>
	<div class="figure">
		<h3>{result.isReported ? known.name : `Also found by ${wayWords[result.way]}`}</h3>
		<p>
			<b class:struck={result.status === 'rejected'}>{sure.figure}</b>
			{#if sure.uncertainty}<span class="small">± {sure.uncertainty} {units[unit].symbol}</span>{/if}
			{#if sure.limits}<span class="small">{sure.limits} {units[unit].symbol}, 95 %</span>{/if}
			{#each says as { threshold, words: verdict } (threshold.use)}<span class="small">{threshold.use}: {verdict}</span
				>{/each}
		</p>
		{#if result.isSimulated}<p class="say ask">Simulated: a stand-in gave it, it says nothing of a stream.</p>{/if}
		<small>{result.basis}</small>
		{#if result.choice}<p class="small">
				Reported because {nameOf(result.choice.by)} chose it: {result.choice.reason}
			</p>{/if}
		{#if result.working}<details>
				<summary>how</summary>
				<p class="working">{sayWorking(result.working)}</p>
			</details>{/if}
	</div>
	<div class="doubts">
		{#each flags as flag, i (i)}<p class="say {weightOf(flag)}">{flagSentence(flag, saidIn)}</p>{/each}
		{#if result.review}
			<p class="small">
				{capitalised(words[result.status])}
				{result.status === 'waiting' ? 'again' : ''} by {nameOf(result.review.by)}, {sayDay(
					Date.parse(result.review.at),
					timeZone,
					true
				)}{result.review.reason ? `: ${result.review.reason}` : '.'}
			</p>
		{:else}
			<p class="small">{words[result.status]}</p>
		{/if}
		{#if mayJudge}
			<form method="POST" action="?/judge#{id}" use:enhance>
				<input type="hidden" name="parameter" value={result.parameter} />
				<input type="hidden" name="from" value={result.from} />
				<input type="hidden" name="judged" value={judged} />
				<label class="visually-hidden" for={reasonId}
					>Reason, for {known.name}{result.isReported ? '' : ` by ${wayWords[result.way]}`}</label
				>
				<input
					id={reasonId}
					name="reason"
					class="input-line"
					maxlength="500"
					placeholder={result.isReported
						? 'reason, when qualified or rejected'
						: 'reason, when qualified, rejected or reported'}
					value={refused?.reason ?? ''}
					aria-invalid={refused ? 'true' : undefined}
					aria-describedby="{reasonId}-why"
				/>
				<button class="act" name="verdict" value="accept">Accept</button>
				<button class="act" name="verdict" value="qualify">Qualify</button>
				<button class="act plain" name="verdict" value="reject">Reject</button>
				{#if !result.isReported && result.status !== 'rejected'}
					<button class="act plain wide" formaction="?/report#{result.parameter}"
						>Report this one, for the reason given</button
					>
				{/if}
				<p id="{reasonId}-why" class="wrong" role="alert">{refused?.why ?? ''}</p>
			</form>
		{/if}
	</div>
</article>

<style>
	article {
		display: grid;
		grid-template-columns: 230px minmax(0, 1fr);
		gap: 6px 20px;
		padding: 10px 0;
		border-bottom: 1px solid var(--rule);
	}
	.other {
		margin-left: 22px;
		grid-template-columns: 208px minmax(0, 1fr);
	}
	.wide {
		grid-column: 1 / -1;
		justify-self: start;
	}
	.figure b {
		font-size: 21px;
		font-weight: 650;
	}
	.figure span {
		display: block;
	}
	details {
		font-size: 14px;
	}
	summary {
		cursor: pointer;
		color: var(--water);
		width: fit-content;
		padding: 4px 0;
	}
	.working {
		overflow-wrap: anywhere;
		font-variant-numeric: tabular-nums;
	}
	.doubts {
		display: grid;
		gap: 6px;
		align-content: start;
	}
	form {
		display: grid;
		grid-template-columns: minmax(120px, 1fr) auto auto auto;
		gap: 6px;
	}
	.input-line {
		padding: 4px 8px;
	}
	.wrong {
		grid-column: 1 / -1;
		color: var(--danger);
		font-weight: 600;
	}
	.wrong:empty {
		display: none;
	}
	@media (max-width: 720px) {
		article,
		.other {
			grid-template-columns: 1fr;
		}
		form {
			grid-template-columns: repeat(3, 1fr);
		}
		.input-line {
			grid-column: 1 / -1;
			min-height: 44px;
		}
		form .act {
			min-height: 44px;
		}
	}
</style>
