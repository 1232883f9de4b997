<script module lang="ts">
	import type { Snippet } from 'svelte';
	import type { Rest } from '$lib/core/quality';
	import type { Figure, Parameter, ParameterCode, Unit } from '$lib/core/quantity';
	import type { Meter } from './MeterPanel.svelte';
	import type { Slot } from '../../entry/figure-entry.svelte';
	import type { Writer } from '../../entry/writer';

	export interface Props {
		parameter: ParameterCode;
		/** What it is, how it is judged. */
		known: Parameter;
		unit: Unit;
		slots: Slot[];
		instruments: string[];
		/** A meter that can be listened to, and when its figures count as at rest. */
		meter?: { port: Meter; rest: Rest; now_ms: () => number } | undefined;
		signs?: readonly string[];
		/** What the figure means and what is wrong with it: said directly under it. */
		answer?: Snippet | undefined;
		writer: Writer;
	}
</script>

<script lang="ts">
	import { untrack } from 'svelte';
	import { convert, exactly, isUnitOf, unitCodes, units, writeFigure } from '$lib/core/quantity';
	import { FigureEntry } from '../../entry/figure-entry.svelte';
	import DockedKeys from '../../entry/DockedKeys.svelte';
	import StrikeReason from '../../entry/StrikeReason.svelte';
	import Struck from '../../logbook/Struck.svelte';

	let { parameter, known, unit, slots, instruments, meter, signs, answer, writer }: Props = $props();

	const live = (path: string) => writer.lines.get(path)?.live ?? null;
	const figureAt = (path: string) => (live(path) ? (writer.lines.get(path)?.value as Figure) : null);

	// the page makes this tool anew for each step, so what it starts from does not change under it
	const entry = untrack(() => new FigureEntry(known, unit, (path, text) => writer.draft(path, text)));
	entry.active = untrack(
		() =>
			slots.find((s) => writer.drafts[s.path])?.path ??
			slots.find((s) => !writer.lines.get(s.path)?.live)?.path ??
			slots[0]?.path ??
			''
	);
	$effect.pre(() =>
		entry.resume(
			writer.drafts,
			slots.map((s) => s.path)
		)
	); // another tab types and keeps as well
	let instrument = $state(untrack(() => lastUsed() ?? instruments[0] ?? ''));
	let striking = $state(false);
	/** Places whose figure has been kept here and may still be on its way to the disk. */
	const onTheWay = new Set<string>();

	const readable = $derived(unitCodes.filter((u) => isUnitOf(known, u)));
	const bare = (figure: Figure) =>
		writeFigure(figure).replace(` ${units[figure.unit].symbol}`, '').replace('below ', '<').replace('over ', '>');

	function lastUsed(): string | undefined {
		return slots.map((s) => figureAt(s.path)?.instrument).find((i) => i !== undefined);
	}

	async function keep() {
		const figure = entry.take(instrument || null);
		if (figure) await keepAs(figure);
	}

	/** What the meter showed, taken by a tap: into the place that waits for it. */
	function fromMeter(value: number, isSettled: boolean) {
		const own = known.unit;
		const figure = exactly(
			own === entry.unit ? value : Number(convert(value, own, entry.unit).toPrecision(6)),
			entry.unit
		);
		const method = isSettled ? 'meter' : 'meter, not settled';
		void keepAs({
			...figure,
			...(instrument ? { instrument } : {}),
			method,
			...(meter?.port.isSimulated ? { isSimulated: true as const } : {})
		});
	}

	async function keepAs(figure: Figure) {
		const path = entry.active;
		const text = entry.text;
		entry.clear(path);
		// the hand goes on at once; the line is on the disk a moment later
		onTheWay.add(path);
		const next = slots.find((s) => !onTheWay.has(s.path) && !live(s.path));
		if (next) {
			entry.choose(next.path);
			focusOn(next.path);
		}
		try {
			await writer.set(path, figure);
		} catch (trouble) {
			onTheWay.delete(path);
			entry.choose(path);
			entry.texts[path] = text;
			entry.said = trouble instanceof Error ? trouble.message : String(trouble);
		}
	}

	const focusOn = (path: string) => document.getElementById(path)?.focus();

	function strike(reason: string) {
		const line = live(entry.active);
		if (line) writer.strike(entry.active, reason);
		striking = false;
	}
</script>

<div class="slots" style:--n={slots.length}>
	{#each slots as slot, i (slot.path)}
		{@const kept = figureAt(slot.path)}
		<label
			data-by={kept && !entry.texts[slot.path] ? writer.initialsOf(live(slot.path)?.by ?? '') : undefined}
			class:active={entry.active === slot.path}
			class:kept={kept !== null && !entry.texts[slot.path]}
		>
			<small>{slot.label}{i === slots.length - 1 && slots.length < 4 ? `, ${units[entry.unit].symbol}` : ''}</small>
			<input
				id={slot.path}
				inputmode="none"
				autocomplete="off"
				enterkeyhint="done"
				value={entry.texts[slot.path] ?? (kept ? bare(kept) : '')}
				onfocus={(e) => {
					entry.choose(slot.path);
					e.currentTarget.select();
				}}
				oninput={(e) => entry.type(e.currentTarget.value)}
				onkeydown={(e) => {
					if (e.key === 'Enter') void keep();
				}}
				aria-describedby="said"
			/>
		</label>
	{/each}
</div>
<p id="said" role="alert" class:say={entry.said} class="ask said">{entry.said ?? ''}</p>

{@render answer?.()}
{#each slots as slot (slot.path)}
	<Struck line={writer.lines.get(slot.path)} {writer} />
{/each}

{#if meter}
	{#await import('./MeterPanel.svelte') then { default: MeterPanel }}
		<MeterPanel
			meter={meter.port}
			{parameter}
			{known}
			unit={entry.unit}
			place={slots.find((s) => s.path === entry.active)?.label ?? ''}
			rest={meter.rest}
			now_ms={meter.now_ms}
			ontake={fromMeter}
		/>
	{/await}
{/if}
{#if readable.length > 1}
	<label class="instrument small">
		read in
		<select class="select" value={entry.unit} onchange={(e) => (entry.unit = e.currentTarget.value as Unit)}>
			{#each readable as code (code)}<option value={code}>{units[code].symbol}</option>{/each}
		</select>
	</label>
{/if}
{#if instruments.length}
	<label class="instrument small">
		read with
		<select class="select" bind:value={instrument}>
			{#each instruments as code (code)}<option>{code}</option>{/each}
			<option value="">another, not listed</option>
		</select>
	</label>
{/if}

<DockedKeys onkey={entry.press} onkeep={keep} isTyped={entry.text !== ''} {...signs ? { signs } : {}} />
{#if live(entry.active) && !entry.texts[entry.active]}
	{#if striking}
		<StrikeReason onstrike={strike} oncancel={() => (striking = false)} />
	{:else}
		<button type="button" class="strike btn preset-outlined-surface-500" onclick={() => (striking = true)}
			>Strike this figure</button
		>
	{/if}
{/if}

<style>
	.slots {
		display: grid;
		grid-template-columns: repeat(var(--n), minmax(0, 1fr));
		gap: 0.5rem;
	}
	.slots small {
		display: block;
		line-height: 1.15;
	}
	/* whose figure it is; not part of the field's name */
	.slots label[data-by]::after {
		content: attr(data-by);
		display: block;
		text-align: right;
		font-size: 0.8125rem;
		color: var(--ink-2);
	}
	.slots label {
		display: block;
		border: 1.5px solid var(--ink-3);
		border-radius: 0.3125rem;
		padding: 0.375rem 0.5rem;
		background: var(--page);
	}
	.slots label.active {
		box-shadow: inset 0 0 0 2px var(--water);
		border-color: var(--water);
	}
	input {
		width: 100%;
		border: 0;
		background: transparent;
		padding: 0;
		font-size: 1.625rem;
		font-weight: 600;
		color: var(--ink);
	}
	input:focus {
		outline: none;
		box-shadow: none;
	}
	.kept input {
		color: var(--ink-2);
	}
	.said {
		margin: 0.5rem 0;
		min-height: 0;
	}
	.instrument {
		display: grid;
		grid-template-columns: auto 1fr;
		align-items: center;
		gap: 0.5rem;
		margin: 0.5rem 0;
	}
	.instrument select {
		min-height: 2.75rem;
		font-size: 1rem;
	}
	.strike {
		margin-top: 0.5rem;
		min-height: 3rem;
	}
</style>
