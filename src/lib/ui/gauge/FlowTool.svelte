<script module lang="ts">
	import type { GaugingView } from '$lib/core/evaluate';
	import type { Line } from '$lib/core/logbook';
	import type { SectionUnits } from '$lib/core/method';
	import type { Flag } from '$lib/core/quality';

	export interface Props {
		gaugingId: string;
		view: GaugingView | null;
		units: SectionUnits;
		least: number;
		enough_percent: number;
		shareLimit_percent: number;
		flags: Flag[];
		lines: Map<string, Line>;
		drafts: Record<string, string>;
		meters: string[];
		initialsOf: (memberId: string) => string;
		timeZone: string;
		newId: () => string;
		ondraft: (path: string, text: string) => void;
		onset: (path: string, value: unknown, was: string | null) => void | Promise<void>;
		onstrike: (path: string, was: string, reason: string) => void;
	}
</script>

<script lang="ts">
	import { tick, untrack } from 'svelte';
	import { flagSentence } from '$lib/core/interpret';
	import { convert, significant, units as unitTable, type AsTyped } from '$lib/core/quantity';
	import Keypad from '../sample/Keypad.svelte';
	import StrikeReason from '../sample/StrikeReason.svelte';
	import Struck from '../sample/Struck.svelte';
	import { sayAdvice } from './advice';
	import CrossSection from './CrossSection.svelte';
	import { sayAsRead } from './as-read';
	import { FlowEntry, type Field } from './flow-entry.svelte';
	import SchoolsCompared from './SchoolsCompared.svelte';

	let {
		gaugingId,
		view,
		units,
		least,
		enough_percent,
		shareLimit_percent,
		flags,
		lines,
		drafts,
		meters,
		initialsOf,
		timeZone,
		newId,
		ondraft,
		onset,
		onstrike
	}: Props = $props();

	const entry = untrack(() => new FlowEntry(gaugingId, newId, units, ondraft));
	untrack(() => entry.begin(view));
	$effect.pre(() => entry.resume(drafts)); // another tab types and keeps as well
	let striking = $state(false);
	let meterSaid = false;

	const words: Record<Field, string> = { distance_m: 'tape', depth_m: 'depth', velocity_m_s: 'speed' };
	const fields = $derived((Object.keys(words) as Field[]).map((field) => ({ field, word: `${words[field]}, ${unitTable[entry.unitOf(field)].symbol}` })));
	const kept = (row: string, field: Field) => lines.get(entry.path({ row, field }));
	const shown = (row: string, field: Field) => (kept(row, field)?.live ? sayAsRead(kept(row, field)!.value as AsTyped, entry.unitOf(field)) : '');
	const rows = $derived.by(() => {
		const placed = (view?.verticals ?? []).filter((v) => v.distance_m !== null).map((v) => v.id);
		const isNew = entry.cell.row !== 'start' && entry.cell.row !== 'end' && !placed.includes(entry.cell.row);
		return ['start', ...placed, ...(isNew ? [entry.cell.row] : []), 'end'];
	});
	const share = (row: string) => view?.verticals.find((v) => v.id === row)?.share_percent ?? null;
	const advice = $derived(sayAdvice(view, { least, enough_percent, shareLimit_percent }, units.tape));
	const doubts = $derived(flags.filter((f) => ['below-stall-speed', 'beyond-meter', 'section-impossible'].includes(f.code)));
	const meter = $derived((lines.get(`gaugings/${gaugingId}/instrument`)?.value as string | undefined) ?? '');

	async function keep() {
		const value = entry.take();
		if (value === null) return;
		const path = entry.path();
		const { cell, text } = entry;
		const line = lines.get(path);
		// the hand goes on at once: the disk need not keep up with quick fingers, only lose nothing
		entry.advance();
		await focusActive();
		if (!meterSaid && meter === '' && meters[0]) void setMeter(meters[0]);
		meterSaid = true;
		if (line?.live && JSON.stringify(line.value) === JSON.stringify(value)) return ondraft(path, '');
		try {
			await onset(path, value, line?.live?.id ?? null);
		} catch (trouble) {
			entry.choose(cell, text);
			entry.said = trouble instanceof Error ? trouble.message : String(trouble);
		}
	}

	const setMeter = async (code: string) => onset(`gaugings/${gaugingId}/instrument`, code, lines.get(`gaugings/${gaugingId}/instrument`)?.live?.id ?? null);

	async function choose(row: string, field: Field) {
		if (entry.isActive(row, field)) return;
		entry.choose({ row, field });
		striking = false;
		await focusActive();
	}

	async function focusActive() {
		await tick();
		const cell = document.getElementById('flow-cell');
		cell?.focus({ preventScroll: true });
		const rowsBox = cell?.closest('.rows');
		if (cell && rowsBox) rowsBox.scrollTop += cell.getBoundingClientRect().top - rowsBox.getBoundingClientRect().top - rowsBox.clientHeight / 2;
	}

	function strike(reason: string) {
		const line = kept(entry.cell.row, entry.cell.field)?.live;
		if (line) onstrike(entry.path(), line.id, reason);
		striking = false;
	}

	const nameOf = (row: string) => (row === 'start' ? 'First edge of the water' : row === 'end' ? 'Far edge of the water' : 'Vertical');
</script>

<div class="gauge">
	<section class="picture">
		<p class="figures" aria-live="polite">
			{#if view?.discharge_m3s != null}
				<span><b class="big-figure">{significant(convert(view.discharge_m3s, 'm3_s', units.discharge), 3)}</b> {unitTable[units.discharge].symbol}</span>
				<span class="side">
					<b>{view.uncertainty?.expandedPercent == null ? '± not known yet' : `± ${view.uncertainty.expandedPercent.toFixed(0)} %`}</b>
					<small
						>{view.provisional
							? 'an edge still to come'
							: `${convert(view.area_m2 ?? 0, 'm2', units.area).toFixed(2)} ${unitTable[units.area].symbol}, ${convert(view.width_m ?? 0, 'm', units.tape).toFixed(1)} ${units.tape} wide`}</small
					>
				</span>
			{:else}
				<span class="side"><b>No flow yet</b><small>one whole vertical gives a first figure</small></span>
			{/if}
		</p>
		<p class="say ask advice"><b>{advice.first}</b> {advice.because}</p>
		<CrossSection
			view={view ?? {
				id: gaugingId,
				verticals: [],
				start: null,
				end: null,
				provisional: true,
				width_m: null,
				area_m2: null,
				discharge_m3s: null,
				meanVelocity_ms: null,
				uncertainty: null,
				next: null,
				working: null,
				schools: []
			}}
			{units}
			activeId={entry.cell.row}
			next_m={view?.next?.distance_m ?? null}
			onpick={(id) => choose(id, 'depth_m')}
		/>
		{#each doubts as flag, i (i)}<p class="say spoils">{flagSentence(flag)}</p>{/each}
	</section>

	<section class="typing">
		<div class="rows">
			<table>
				<thead>
					<tr
						>{#each fields as { field, word } (field)}<th class="number">{word}</th>{/each}<th class="number">share</th></tr
					>
				</thead>
				<tbody>
					{#each rows as row (row)}
						<tr class:current={entry.cell.row === row}>
							{#each fields as { field, word } (field)}
								<td class="number">
									{#if (row === 'start' || row === 'end') && field !== 'distance_m'}
										{#if field === 'depth_m'}<small>{row === 'start' ? 'first edge' : 'far edge'}</small>{/if}
									{:else if entry.isActive(row, field)}
										<input
											id="flow-cell"
											class="cell"
											inputmode="none"
											autocomplete="off"
											aria-label="{nameOf(row)}, {word}"
											aria-describedby="flow-said"
											placeholder={shown(row, field)}
											value={entry.text}
											oninput={(e) => entry.type(e.currentTarget.value)}
											onkeydown={(e) => e.key === 'Enter' && keep()}
										/>
									{:else}
										<button type="button" class="cell" aria-label="{nameOf(row)}, {word}: {shown(row, field) || 'empty'}" onclick={() => choose(row, field)}
											>{shown(row, field) || '·'}</button
										>
									{/if}
								</td>
							{/each}
							<td class="number share">{share(row) === null ? '' : `${share(row)!.toFixed(0)} %`}</td>
						</tr>
						{#each fields as { field } (field)}
							{#if (kept(row, field)?.history.length ?? 0) > 1}<tr class="struck-row"
									><td colspan="4"><Struck line={kept(row, field)} {initialsOf} {timeZone} /></td></tr
								>{/if}
						{/each}
					{/each}
				</tbody>
			</table>
		</div>
		<p id="flow-said" role="alert" class:say={entry.said} class="ask">{entry.said ?? ''}</p>
		<div class="keys">
			<Keypad
				onkey={entry.press}
				onkeep={keep}
				signs={['', '−']}
				keepWord={entry.cell.field === 'velocity_m_s' ? 'Keep' : 'Next'}
				disabled={entry.text === ''}
			/>
		</div>
	</section>
	<section class="beside">
		{#if kept(entry.cell.row, entry.cell.field)?.live && entry.text === ''}
			{#if striking}<StrikeReason onstrike={strike} oncancel={() => (striking = false)} />{:else}<button
					type="button"
					class="act plain strike"
					onclick={() => (striking = true)}>Strike this figure</button
				>{/if}
		{/if}
		<label class="measured-with small">
			measured with
			<select class="input-line" value={meter} onchange={(e) => setMeter(e.currentTarget.value)}>
				{#if meter === ''}<option value="">say which meter</option>{/if}
				{#each meters as code (code)}<option>{code}</option>{/each}
			</select>
		</label>
		<SchoolsCompared schools={view?.schools ?? []} unit={units.discharge} />
	</section>
</div>

<style>
	.figures {
		display: flex;
		align-items: flex-end;
		gap: 18px;
		min-height: 50px;
	}
	.side b {
		display: block;
		font-size: 19px;
		font-weight: 650;
	}
	.say {
		margin: 8px 0;
	}
	.advice {
		margin: 4px 0 2px;
		padding: 4px 10px;
		font-size: 15px;
		line-height: 1.3;
	}
	.rows {
		max-height: 138px;
		overflow-y: auto;
	}
	table {
		table-layout: fixed;
	}
	td {
		padding: 0 2px;
		white-space: nowrap;
	}
	/* in the field the hand stays where it is: figures and keys keep their place at the foot */
	.typing {
		position: sticky;
		bottom: 52px;
		background: var(--page);
		z-index: 2;
		padding: 4px 0 6px;
	}
	.typing :global(.pad button) {
		min-height: 45px;
	}
	th {
		padding-inline: 4px;
		position: sticky;
		top: 0;
		background: var(--page);
	}
	.cell {
		display: block;
		width: 100%;
		min-width: 60px;
		min-height: 44px;
		border: 0;
		background: transparent;
		color: var(--ink);
		text-align: right;
		font-size: 18px;
		padding: 0 6px;
		cursor: pointer;
	}
	input.cell {
		border: 2px solid var(--water);
		border-radius: 4px;
		background: var(--page);
		font-weight: 650;
		cursor: text;
	}
	tr.current td {
		background: var(--ochre-3);
	}
	.share {
		padding-right: 8px;
		color: var(--ink-2);
	}
	.struck-row td {
		padding: 2px 8px;
	}
	.keys {
		margin-top: 8px;
	}
	.strike {
		min-height: 48px;
		margin-top: 8px;
	}
	.measured-with {
		display: grid;
		grid-template-columns: auto 1fr;
		align-items: center;
		gap: 8px;
		margin-top: 10px;
	}
	.measured-with select {
		min-height: 44px;
		font-size: 16px;
	}
	@media (min-width: 900px) {
		.gauge {
			display: grid;
			grid-template-columns: minmax(0, 1fr) 360px;
			grid-template-rows: auto 1fr;
			gap: 0 28px;
		}
		.picture {
			grid-row: span 2;
		}
		.rows {
			max-height: 320px;
		}
		.typing {
			position: static;
		}
	}
</style>
