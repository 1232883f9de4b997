<script module lang="ts">
	import type { Line, Sheet } from '$lib/core/logbook';

	export interface Props {
		bottleId: string;
		kind: 'bacteria' | 'nutrients';
		bottle: NonNullable<Sheet['bottles']>[string] | undefined;
		holding_h: number;
		withoutIce_h: number;
		suggestedLabel: string;
		lines: Map<string, Line>;
		initialsOf: (memberId: string) => string;
		timeZone: string;
		now_ms: number;
		onset: (path: string, value: unknown, was: string | null) => void;
		onstrike: (path: string, was: string, reason: string) => void;
	}
</script>

<script lang="ts">
	import { untrack } from 'svelte';
	import { holdingTime } from '$lib/core/custody';
	import { sayDuration, sayTime } from '$lib/core/interpret';
	import StrikeReason from './StrikeReason.svelte';
	import Struck from './Struck.svelte';

	let { bottleId, kind, bottle, holding_h, withoutIce_h, suggestedLabel, lines, initialsOf, timeZone, now_ms, onset, onstrike }: Props = $props();

	const at = $derived((field: string) => `bottles/${bottleId}/${field}`);
	const wasAt = (path: string) => lines.get(path)?.live?.id ?? null;
	let label = $state(untrack(() => bottle?.label ?? suggestedLabel));
	let striking = $state(false);
	const holding = $derived(bottle?.filledAt ? holdingTime(Date.parse(bottle.filledAt), holding_h) : null);
	const stamp = () => new Date(now_ms).toISOString();

	function fill() {
		if (bottle?.kind === undefined) onset(at('kind'), kind, null);
		if (label.trim() !== (bottle?.label ?? '')) onset(at('label'), label.trim(), wasAt(at('label')));
		onset(at('filledAt'), stamp(), wasAt(at('filledAt')));
	}
</script>

<label class="bottle-code">
	<span>Code on the label</span>
	<input
		class="input-line"
		autocomplete="off"
		autocapitalize="characters"
		maxlength="80"
		bind:value={label}
		onchange={() => bottle?.label && label.trim() && label.trim() !== bottle.label && onset(at('label'), label.trim(), wasAt(at('label')))}
	/>
</label>
<Struck line={lines.get(at('label'))} {initialsOf} {timeZone} />

{#if holding && bottle?.filledAt}
	<div class="say" role="status">
		<b>Filled at {sayTime(Date.parse(bottle.filledAt), timeZone)}. Write that on the label now.</b><br />
		The lab must have it by {sayTime(holding.last_ms, timeZone)}, {holding_h} h after filling: {holding.last_ms > now_ms
			? `${sayDuration(holding.last_ms - now_ms)} left`
			: 'that has passed'}.
	</div>
	{#if bottle.onIceAt}
		<p class="done">On ice since {sayTime(Date.parse(bottle.onIceAt), timeZone)}.</p>
	{:else}
		<p class="small">Within {withoutIce_h} h no ice is needed; on ice they neither grow nor die, warm they do both.</p>
		<button type="button" class="act main big" onclick={() => onset(at('onIceAt'), stamp(), null)}>It is on ice now</button>
	{/if}
	{#if striking}
		<StrikeReason
			onstrike={(reason) => {
				const was = wasAt(at('filledAt'));
				if (was) onstrike(at('filledAt'), was, reason);
				striking = false;
			}}
			oncancel={() => (striking = false)}
		/>
	{:else}
		<button type="button" class="act plain big" onclick={() => (striking = true)}>Strike the time of filling</button>
	{/if}
{:else}
	<button type="button" class="act main big" disabled={label.trim() === ''} onclick={fill}>Filled just now</button>
	<p class="small">The clock of {holding_h} h starts when you tap.</p>
{/if}
<Struck line={lines.get(at('filledAt'))} {initialsOf} {timeZone} />

<style>
	.bottle-code span {
		font-weight: 600;
	}
	.bottle-code input {
		font-size: 20px;
		min-height: 52px;
		font-weight: 600;
	}
	.big {
		width: 100%;
		min-height: 60px;
		font-size: 19px;
		margin: 12px 0 6px;
	}
	.say {
		margin: 12px 0;
	}
	.done {
		font-weight: 600;
	}
</style>
