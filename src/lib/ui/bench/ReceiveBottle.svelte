<script module lang="ts">
	import type { Trip } from '$lib/core/custody';
	import type { MethodCard } from '$lib/core/method';
	import type { BottleSheet } from '$lib/core/subjects/bottle/held';
	import type { Writer } from '../entry/writer';

	export interface Props {
		id: string;
		bottle: BottleSheet;
		card: MethodCard;
		/** Where the bottles of this trip go; a lab may ask for less than the card. */
		trip: Trip | null | undefined;
		/** Who had it last, as far as anybody said. */
		from: string;
		/** Who takes it in. */
		to: string;
		writer: Writer;
	}
</script>

<script lang="ts">
	import OneOf from '../kit/OneOf.svelte';
	import { heldFor_h } from '$lib/core/custody';
	import { temperature_C } from '$lib/core/leaf';
	import { limitsOf } from '$lib/core/method';
	import { readPlain, writeNumber } from '$lib/core/quantity';
	import { receptions, type lids, type Reception } from '$lib/core/subjects/bottle/branch';
	import { NOT_SAID } from '$lib/core/subjects/bottle/giver';
	import { keepsFor_h } from '$lib/core/subjects/bottle/held';
	import { stepOfBottle } from '$lib/core/subjects/bottle/step';
	import { stepsOf } from '$lib/core/subjects/steps';
	import { speaksAgainst } from '$lib/core/subjects/bottle/reception';
	import { receiveWords, receptionWords } from '$lib/core/subjects/bottle/reception-words';
	import { bottleKindWords, lidWords, sayAgainst } from '$lib/core/subjects/bottle/words';
	import { sayDuration } from '$lib/core/wording';
	import { stamp } from '../entry/writer';

	let { id, bottle, card, trip, from, to, writer }: Props = $props();

	const HOUR_ms = 3_600_000;
	const label = $derived(bottle.label ?? id);
	const held_h = $derived(heldFor_h(Date.parse(bottle.filledAt!), writer.now_ms));
	const limit_h = $derived(keepsFor_h(bottle, stepOfBottle(id, stepsOf(card, 'bottle')), card, trip));
	let typed = $state('');
	let lid = $state<(typeof lids)[number]>('tight');
	let giver = $state<string | null>(null);
	let reason = $state('');
	const temperature = $derived.by(() => {
		const read = readPlain(typed);
		return temperature_C.safeParse(read).success ? read : null;
	});
	const why = $derived(typed.trim() === '' || temperature !== null ? null : 'A temperature in °C, like 4.5.');
	const against = $derived(
		speaksAgainst({ held_h, temperature_C: temperature, lid }, { held_h: limit_h, cooler_C: limitsOf(card).cooler_C })
	);
	const reasons = $derived(against.map(sayAgainst).join('; '));
	const said = $derived(reason.trim() || reasons);

	function take(verdict: Reception) {
		if (why !== null || (verdict !== 'accepted' && said === '')) return;
		const now = stamp(writer);
		const place = `bottles/${id}`;
		const custody = `custody/received-${id}`;
		void writer.setAll({
			[`${place}/atLabAt`]: now,
			[`${place}/received/lid`]: lid,
			...(temperature === null ? {} : { [`${place}/received/temperature_C`]: temperature }),
			...(verdict === 'accepted' ? {} : { [`${place}/received/reason`]: said }),
			[`${place}/received/verdict`]: verdict,
			[`${custody}/from`]: (giver ?? from).trim() || NOT_SAID,
			[`${custody}/to`]: to,
			[`${custody}/at`]: now
		});
	}
</script>

<form onsubmit={(e) => e.preventDefault()} aria-label="Take in {label}">
	<p>
		<b>{label}</b>{bottle.kind ? `, ${bottleKindWords[bottle.kind]}` : ''}{bottle.role === 'blank' ? ', a blank' : ''}.
		<span class:late={held_h > limit_h}
			>Filled {sayDuration(held_h * HOUR_ms)} ago; it keeps {writeNumber(limit_h)}&nbsp;h.</span
		>
	</p>
	<div class="pair">
		<label>Came at, °C <input class="input" inputmode="decimal" autocomplete="off" bind:value={typed} /></label>
		<label class="from"
			>From whom <input
				class="wide input"
				autocomplete="off"
				maxlength="80"
				value={giver ?? from}
				oninput={(e) => (giver = e.currentTarget.value)}
			/></label
		>
	</div>
	{#if why}<p class="why" role="alert">{why}</p>{/if}
	<div class="choices">
		<span>Lid</span>
		<OneOf label="Its lid" words={lidWords} chosen={lid} onchoose={(one) => (lid = one)} />
	</div>
	{#if against.length}<p class="say ask" role="status">{reasons}.</p>{/if}
	<label>Why, where you doubt or refuse it <input class="wide input" maxlength="200" bind:value={reason} /></label>
	<p class="choices">
		{#each receptions as verdict (verdict)}
			<button
				type="button"
				class={[
					'btn',
					verdict === (against.length ? 'flagged' : 'accepted')
						? 'preset-filled-primary-500'
						: 'preset-outlined-primary-500'
				]}
				disabled={why !== null || (verdict !== 'accepted' && said === '')}
				onclick={() => take(verdict)}
				>{receiveWords[verdict]}<span class="visually-hidden"> {label}, {receptionWords[verdict]}</span></button
			>
		{/each}
	</p>
</form>

<style>
	form {
		display: grid;
		gap: 0.5rem;
		padding: 0.625rem 0.75rem;
		border: 1.5px solid var(--ink-3);
		background: var(--page);
	}
	.pair,
	.choices {
		display: flex;
		flex-wrap: wrap;
		align-items: center;
		gap: 0.5rem;
	}
	:is(.btn, .input) {
		min-height: 3rem;
	}
	.input {
		width: 6rem;
	}
	.input.wide {
		width: min(18rem, 100%);
	}
	.from {
		flex: 1 1 16rem;
	}
	.late,
	.why {
		color: var(--danger);
		font-weight: 600;
	}
</style>
