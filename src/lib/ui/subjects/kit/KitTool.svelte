<script module lang="ts">
	import type { Step } from '$lib/core/subjects/steps';
	import type { Figure } from '$lib/core/quantity';
	import type { Writer } from '../../entry/writer';

	export interface Props {
		step: Extract<Step, { tool: 'kit' }>;
		/** All pads of its strip, where it is one of several: one dip is the dip of all. */
		pads: readonly Props['step'][];
		/** Kits whose time runs beside this one. */
		others: readonly { id: string; title: string; left_ms: number }[];
		/** Typed in from paper, where nobody waits for a colour. */
		isOnPaper: boolean;
		writer: Writer;
		hrefOf: (stepId: string) => string;
		/** A wait was started by a tap: the moment to ask whether the phone may call. */
		onstart: () => void;
	}
</script>

<script lang="ts">
	import { colourPath, colourWait_s } from '$lib/core/subjects/kit/step';
	import { sayTime } from '$lib/core/wording';
	import { units, writeFigure } from '$lib/core/quantity';
	import Countdown from '../../clocks/Countdown.svelte';
	import { chartOf } from './colour-chart';
	import StrikeReason from '../../entry/StrikeReason.svelte';
	import Struck from '../../logbook/Struck.svelte';
	import { stageAt, sayClock } from '../../clocks/stages';
	import { stamp, valueAt } from '../../entry/writer';

	let { step, pads, others, isOnPaper, writer, hrefOf, onstart }: Props = $props();

	const startWords = { dip: 'Dipped: start the clock', reagents: 'Reagents in: start the clock' } as const;

	const wait = $derived(`waits/${step.id}`);
	const path = $derived(colourPath(step));
	const kept = $derived(valueAt<Figure>(writer, path));
	const startedAt = $derived(valueAt<string>(writer, `${wait}/startedAt`));
	const whole_s = $derived(colourWait_s(step));
	const gone_s = $derived(startedAt === undefined ? null : (writer.now_ms - Date.parse(startedAt)) / 1000);
	const stage = $derived(gone_s === null ? null : stageAt(step.waits, gone_s));
	const left_s = $derived(gone_s === null ? null : whole_s + step.readWithin_s - gone_s);
	const symbol = $derived(units[step.unit].symbol);
	const chart = $derived(chartOf(step.chart, step.unit));
	let striking = $state(false);

	const dipped = $derived(pads.length ? pads : [step]);
	const alsoStarted = $derived(dipped.filter((pad) => pad.id !== step.id));

	async function start() {
		onstart();
		const at = stamp(writer);
		const clocks = dipped.map((pad) => ({ of: `waits/${pad.id}`, pad, needs_s: colourWait_s(pad) }));
		await writer.setAll(
			Object.fromEntries(
				clocks.flatMap(({ of, pad, needs_s }) => [
					[`${of}/what`, pad.title],
					[`${of}/least_s`, needs_s],
					[`${of}/most_s`, Math.min(3600, needs_s + pad.readWithin_s)],
					[`${of}/startedAt`, at]
				])
			)
		);
	}
	async function read(figure: Figure) {
		const isOver = startedAt !== undefined && valueAt(writer, `${wait}/endedAt`) === undefined;
		await writer.setAll({ [path]: figure, ...(isOver ? { [`${wait}/endedAt`]: stamp(writer) } : {}) });
	}
	/** A fresh strip: the clocks of all its pads go back, but of those that are read already. */
	function again() {
		for (const pad of dipped) {
			if (pad.id !== step.id && valueAt(writer, colourPath(pad)) !== undefined) continue;
			writer.strike(`waits/${pad.id}/endedAt`, 'dipped anew');
			writer.strike(`waits/${pad.id}/startedAt`, 'dipped anew');
		}
	}
</script>

{#if kept}
	<p class="say" role="status">
		<b>{writeFigure(kept)}</b>{kept.method ? `, ${kept.method}` : ''}
		<small>{writer.initialsOf(writer.lines.get(path)?.live?.by ?? '')}</small>
	</p>
	{#if striking}
		<StrikeReason
			onstrike={(reason) => {
				writer.strike(path, reason);
				again();
				striking = false;
			}}
			oncancel={() => (striking = false)}
		/>
	{:else}<button type="button" class="big btn preset-outlined-surface-500" onclick={() => (striking = true)}
			>Strike this figure</button
		>{/if}
	{#if step.waste}<p class="say ask">{step.waste}</p>{/if}
{:else if isOnPaper}
	<p>The colour that the sheet says:</p>
{:else if stage === null || gone_s === null}
	<button type="button" class="big btn preset-filled-primary-500" onclick={start}
		>{step.begins ? startWords[step.begins] : 'Start the clock'}</button
	>
	<p class="small">
		{step.waits.map((w) => `${w.what} ${sayClock(w.for_s)}`).join(', then ')}; read within {sayClock(step.readWithin_s)} after
		that. It goes on if you turn the phone off.
		{#if alsoStarted.length}One dip: the clock of {alsoStarted.map((pad) => pad.title).join(' and ')} starts with it.{/if}
	</p>
{:else}
	{#if !stage.isOver}
		<Countdown
			label={step.title}
			big={sayClock(Math.ceil(stage.left_s))}
			words="{stage.what}{stage.next ? `, then ${stage.next}` : ''}"
		/>
	{:else if left_s !== null && left_s > 0}
		<Countdown
			label={step.title}
			big="Read it now"
			words="within {sayClock(Math.ceil(left_s))}; after that the colour goes on changing"
			isReady
		/>
	{:else}
		<Countdown
			label={step.title}
			big="Too late"
			words="its time was over at {sayTime(
				Date.parse(startedAt ?? '') + (whole_s + step.readWithin_s) * 1000,
				writer.timeZone
			)}: dip a fresh one"
			isReady
		/>
	{/if}
	<button type="button" class="big btn preset-outlined-surface-500" onclick={again}>Dip a fresh one</button>
{/if}

{#if !kept && (startedAt !== undefined || isOnPaper)}
	<h2 class="ruled">Which block of the chart, {symbol || 'pH'}</h2>
	<p class="small">Out of the sun, glasses off if they are tinted. Between two blocks is a figure too.</p>
	<ul class="chart">
		{#each chart as block (block.id)}
			<li class={block.kind}>
				<button type="button" onclick={() => read(block.figure)}
					><b>{block.figureText}</b> <span>{block.word}</span></button
				>
			</li>
		{/each}
	</ul>
{/if}
<Struck line={writer.lines.get(path)} {writer} />

{#if others.length}
	<h2 class="ruled">Running beside it</h2>
	<ul>
		{#each others as other (other.id)}
			<li>
				<a class="other" href={hrefOf(other.id)}
					>{other.title}: {other.left_ms > 0 ? sayClock(Math.ceil(other.left_ms / 1000)) : 'read it now'}</a
				>
			</li>
		{/each}
	</ul>
{/if}

<style>
	.big {
		width: 100%;
		min-height: 3.75rem;
		font-size: 1.1875rem;
		margin: 0.5rem 0;
	}
	.chart li button {
		display: grid;
		grid-template-columns: 6.875rem 1fr;
		width: 100%;
		min-height: 3rem;
		align-items: center;
		text-align: left;
		border-bottom: 1px solid var(--rule);
		font-size: 1.125rem;
		color: var(--ink);
		cursor: pointer;
	}
	.chart .between button {
		font-size: 0.9375rem;
		color: var(--ink-2);
		padding-left: 1.125rem;
		min-height: 2.75rem;
	}
	.other {
		display: block;
		min-height: 3rem;
		padding-top: 0.75rem;
	}
	h2 {
		margin-top: 0.875rem;
	}
	.say {
		margin: 0.5rem 0;
	}
</style>
