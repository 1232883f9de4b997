<script module lang="ts">
	import type { Sheet } from '$lib/core/logbook';
	import type { Step } from '$lib/core/subjects/steps';
	import type { Writer } from '../../entry/writer';

	export interface Props {
		step: Extract<Step, { tool: 'titration' }>;
		titrations: Sheet['titrations'];
		/** The titrant held against a standard. */
		checks: Sheet['titrantChecks'];
		/** Typed in from paper: the drops are on the sheet. */
		isOnPaper: boolean;
		/** Two bottles lie so far apart that a third is asked for. */
		isThirdAsked: boolean;
		writer: Writer;
		onstart: () => void;
	}
	const slips = ['overshot the end', 'miscounted', 'misread', 'wrong bottle'];
	const third = { id: 'third', label: 'third' };
	/** Keys that count a drop; a phone's volume keys where the browser hands them on. */
	const MORE = new Set([' ', 'ArrowUp', '+', 'AudioVolumeUp', 'VolumeUp']);
	const LESS = new Set(['Backspace', 'ArrowDown', '-', 'AudioVolumeDown', 'VolumeDown']);
</script>

<script lang="ts">
	import { writeFixed, writeNumber } from '$lib/core/quantity';
	import { untrack } from 'svelte';
	import { sayTime } from '$lib/core/wording';
	import { isTitrated } from '$lib/core/subjects/titration/step';
	import { titrated } from '$lib/core/subjects/titration/strength';
	import ByBurette from './ByBurette.svelte';
	import Countdown from '../../clocks/Countdown.svelte';
	import Chips from '../../entry/Chips.svelte';
	import MeasureField from '../../entry/MeasureField.svelte';
	import StrikeReason from '../../entry/StrikeReason.svelte';
	import Struck from '../../logbook/Struck.svelte';
	import { sayClock } from '../../clocks/stages';
	import { stamp } from '../../entry/writer';
	import DockedKeys from '../../entry/DockedKeys.svelte';
	import { pressed } from '../../entry/keypad-text';

	let { step, titrations, checks, isOnPaper, isThirdAsked, writer, onstart }: Props = $props();

	let bottleId = $state(
		untrack(() => step.bottles.find((b) => !isTitrated(titrations?.[b.id] ?? {}))?.id ?? step.bottles[0]!.id)
	);
	let striking = $state(false);
	const bottles = $derived(
		(isThirdAsked || titrations?.[third.id]) && !step.bottles.some((b) => b.id === third.id)
			? [...step.bottles, third]
			: step.bottles
	);
	const bottle = $derived(titrations?.[bottleId]);
	const at = (field: string) => `titrations/${bottleId}/${field}`;
	/** Drops counted here: the thumb is quicker than the disk, from which they come back after a reload. */
	let tapped = $state<Record<string, number>>({});
	const counted = $derived(tapped[bottleId] ?? (Number(writer.drafts[at('drops')] ?? 0) || 0));
	const settled_s = $derived(
		bottle?.fixedAt === undefined ? null : step.settle_s - (writer.now_ms - Date.parse(bottle.fixedAt)) / 1000
	);
	const found = (drops: number, blankDrops = bottle?.blankDrops) =>
		titrated({ drops, blankDrops, mgLPerDrop: bottle?.mgLPerDrop ?? step.mgLPerDrop });
	/** Bottles for which a burette was taken; the others count drops. */
	let byBurette = $state<Record<string, boolean>>({});
	const stage = $derived.by(() => {
		if (bottle?.drops !== undefined) return 'done';
		if (bottle?.titrant_mL !== undefined) return 'burette';
		if (isOnPaper) return 'paper';
		if (bottle?.hasBubble !== false) return 'bubble';
		if (bottle.fixedAt === undefined) return 'fix';
		if (bottle.acidAt === undefined) return 'acid';
		return byBurette[bottleId] ? 'burette' : 'drops';
	});

	function count(drops: number) {
		tapped[bottleId] = Math.max(0, drops);
		writer.draft(at('drops'), drops > 0 ? String(drops) : '');
	}
	async function keep() {
		const drops = counted;
		delete tapped[bottleId];
		await writer.setAll({ [at('mgLPerDrop')]: step.mgLPerDrop, [at('drops')]: drops });
	}
	async function fix() {
		onstart();
		await writer.set(at('fixedAt'), stamp(writer));
	}
	function onkeydown(event: KeyboardEvent) {
		if (stage !== 'drops' || (event.target as HTMLElement).closest('input, textarea, select')) return;
		if (event.key === ' ' && (event.target as HTMLElement).closest('button, a, summary')) return; // the space bar presses what has the focus
		if (MORE.has(event.key)) count(counted + 1);
		else if (LESS.has(event.key)) count(counted - 1);
		else return;
		event.preventDefault();
	}
</script>

<svelte:window {onkeydown} />

<Chips
	legend="Bottle"
	chips={bottles.map((b) => ({
		id: b.id,
		word: `${b.label}${isTitrated(titrations?.[b.id] ?? {}) ? ', done' : ''}`,
		isOn: b.id === bottleId
	}))}
	ontap={(id) => (bottleId = id)}
/>

{#if stage === 'paper'}
	<MeasureField
		{writer}
		path={at('drops')}
		label="Drops, as the sheet says"
		placed={null}
		onkept={() => void writer.set(at('mgLPerDrop'), step.mgLPerDrop)}
	/>
{:else if stage === 'bubble'}
	<h2>Is there a bubble under the stopper?</h2>
	<p class="small">Turn the bottle over and look against the sky.</p>
	<p class="row">
		<button type="button" class="big btn preset-filled-primary-500" onclick={() => writer.set(at('hasBubble'), false)}
			>No bubble</button
		>
		<button type="button" class="big btn preset-outlined-primary-500" onclick={() => writer.set(at('hasBubble'), true)}
			>A bubble</button
		>
	</p>
	{#if bottle?.hasBubble}<p class="say spoils" role="alert">
			<b>Start again.</b> Pour it out downstream, fill it anew under water, look again.
		</p>{/if}
{:else if stage === 'fix'}
	<p>Reagent one, reagent two, both under the surface; stopper, turn it over twenty times.</p>
	<button type="button" class="big btn preset-filled-primary-500" onclick={fix}>Fixed just now</button>
{:else if stage === 'acid'}
	{#if settled_s !== null && settled_s > 0}
		<Countdown
			label="floc settles"
			big={sayClock(Math.ceil(settled_s))}
			words="until the floc has settled; half the bottle clear"
		/>
		<button
			type="button"
			class="big btn preset-outlined-primary-500"
			onclick={() => writer.set(at('acidAt'), stamp(writer))}>Acid is in all the same</button
		>
	{:else}
		<p class="say" role="status"><b>The floc has settled.</b> Acid in, stopper, turn it until it is clear amber.</p>
		<button
			type="button"
			class="big btn preset-filled-primary-500"
			onclick={() => writer.set(at('acidAt'), stamp(writer))}>Acid is in, clear amber</button
		>
	{/if}
	<p class="small">
		Fixed at {sayTime(Date.parse(bottle?.fixedAt ?? ''), writer.timeZone)}; titrate within {writeNumber(step.within_h)} h.
	</p>
{:else if stage === 'drops'}
	<p class="small">
		One drop, swirl, look against white. Stop when the colour is just gone. Tap for each, or type how many there were.
	</p>
	<button type="button" class="drop" onclick={() => count(counted + 1)} aria-describedby="drops-sum">
		<b>{counted}</b> <span>{counted === 1 ? 'drop' : 'drops'}: tap for one more</span>
	</button>
	<p id="drops-sum" role="status">
		= {writeFixed(found(counted).dissolvedOxygen_mgL, 1)} mg/L at {writeNumber(step.mgLPerDrop)} mg/L a drop, half a drop
		taken off
	</p>
	<DockedKeys
		onkey={(key) => count(Number(pressed(counted ? String(counted) : '', key)))}
		onkeep={keep}
		isTyped={counted > 0}
		signs={[]}
		hasPoint={false}
	/>
	<p class="row">
		<button
			type="button"
			class="big btn preset-outlined-primary-500"
			disabled={counted === 0}
			onclick={() => count(counted - 1)}>One drop back</button
		>
		<button type="button" class="big btn preset-filled-primary-500" disabled={counted === 0} onclick={keep}
			>Colour gone: keep {counted}</button
		>
	</p>
	<button type="button" class="big btn preset-outlined-surface-500" onclick={() => (byBurette[bottleId] = true)}
		>With a burette instead</button
	>
{:else if stage === 'burette'}
	{#key bottleId}<ByBurette id={bottleId} {bottle} {checks} {step} {writer} />{/key}
	{#if bottle?.titrant_mL === undefined}
		<button type="button" class="big btn preset-outlined-surface-500" onclick={() => (byBurette[bottleId] = false)}
			>By drops instead</button
		>
	{/if}
{:else if bottle?.drops !== undefined}
	{@const { belowBlank, dissolvedOxygen_mgL } = found(bottle.drops)}
	<p class="say" role="status">
		<b
			>{bottle.drops} drops{bottle.blankDrops ? ` less ${bottle.blankDrops} of the blank` : ''}: {belowBlank
				? 'below the blank'
				: `${writeFixed(dissolvedOxygen_mgL, 1)} mg/L`}</b
		><br />
		<span class="small"
			>{writer.initialsOf(writer.lines.get(at('drops'))?.live?.by ?? '')}{bottle.blankDrops === undefined
				? '. The colour went somewhere within the last drop: half of it is taken off.'
				: '.'}</span
		>
	</p>
	{#if striking}
		<StrikeReason
			reasons={slips}
			onstrike={(reason) => {
				writer.strike(at('drops'), reason);
				striking = false;
			}}
			oncancel={() => (striking = false)}
		/>
	{:else}<button type="button" class="big btn preset-outlined-surface-500" onclick={() => (striking = true)}
			>Strike this titration</button
		>{/if}
	<MeasureField
		{writer}
		path={at('blankDrops')}
		label="Drops that a blank took (leave empty where none was done)"
		placed={null}
	/>
{/if}
<Struck line={writer.lines.get(at('drops'))} {writer} />

<style>
	.row {
		display: grid;
		grid-template-columns: 1fr 1fr;
		gap: 0.5rem;
	}
	.big {
		width: 100%;
		min-height: 3.75rem;
		font-size: 1.125rem;
		margin-top: 0.5rem;
	}
	.drop {
		display: grid;
		place-items: center;
		width: 100%;
		min-height: 9.375rem;
		margin: 0.5rem 0;
		border: 3px solid var(--water);
		border-radius: 5.625rem 5.625rem 0.75rem 0.75rem;
		background: var(--water-4);
		color: var(--ink);
		touch-action: manipulation;
		cursor: pointer;
		user-select: none;
	}
	.drop:active {
		background: var(--water-3);
	}
	.drop b {
		font: 600 4rem/1 var(--head);
	}
	.say {
		margin: 0.5rem 0;
	}
</style>
