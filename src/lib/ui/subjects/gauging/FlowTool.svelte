<script module lang="ts">
	import type { GaugingView } from '$lib/core/subjects/gauging/view';
	import type { Line } from '$lib/core/logbook';
	import type { VelocityPointMethod } from '$lib/core/subjects/gauging/branch';
	import type { FlowStep } from '$lib/core/subjects/gauging/step';
	import type { SectionUnits } from '$lib/core/subjects/gauging/units';
	import type { Flag } from '$lib/core/subjects/flags';

	import type { Writer } from '../../entry/writer';

	export interface Props {
		gaugingId: string;
		/** Where in a vertical its velocity is read. */
		school: VelocityPointMethod | 'sweep';
		view: GaugingView | null;
		units: SectionUnits;
		/** What the card asks for. */
		step: Pick<FlowStep, 'leastVerticals' | 'enough_percent' | 'shareLimit_percent'>;
		/** The meter was raised at some time: the mean of a vertical holds that. */
		isRaised: boolean;
		flags: Flag[];
		meters: string[];
		newId: () => string;
		writer: Writer;
	}
</script>

<script lang="ts">
	import { onMount, tick, untrack } from 'svelte';
	import { flagSentence } from '$lib/core/subjects/flags';
	import { weightOf } from '$lib/core/subjects/flags';
	import { convert, significant, units as unitTable, writeFixed, writeNumber, type AsTyped } from '$lib/core/quantity';
	import DockedKeys from '../../entry/DockedKeys.svelte';
	import StrikeReason from '../../entry/StrikeReason.svelte';
	import Struck from '../../logbook/Struck.svelte';
	import { sayAdvice } from './advice';
	import { AfterPaint } from '../../after-paint.svelte';
	import CrossSection from './CrossSection.svelte';
	import { sayAsRead } from './as-read';
	import { depthShare } from '$lib/core/subjects/gauging/words';
	import { FlowEntry, type Field } from './flow-entry.svelte';
	import ArithmeticsCompared from './ArithmeticsCompared.svelte';

	let { gaugingId, school, view, units, step, isRaised, flags, meters, newId, writer }: Props = $props();

	const holds = (row: string, field: string) =>
		writer.lines.get(`gaugings/${gaugingId}/verticals/${row}/${field}`)?.live != null;
	const isOlder = (row: string) => !isRaised && holds(row, 'velocity_m_s') && !holds(row, 'velocity06_m_s');
	const entry = untrack(
		() => new FlowEntry(gaugingId, school, newId, units, (path, text) => writer.draft(path, text), isOlder)
	);
	untrack(() => entry.begin(view, (row, field) => writer.lines.get(entry.path({ row, field }))?.live != null));
	$effect.pre(() => entry.resume(writer.drafts)); // another tab types and keeps as well
	/**
	 * What stands around the table, its shares and its struck figures: drawn a frame after the figure that the hand
	 * waits for.
	 */
	const painted = new AfterPaint(() => ({ view, lines: writer.lines, cell: entry.cell, isTyping: entry.text !== '' }));
	const standing = $derived(painted.current.lines.get(entry.path(painted.current.cell))?.live ?? null);
	let striking = $state(false);
	let meterSaid = false;

	const words: Record<Field, string> = {
		distance_m: 'tape',
		depth_m: 'depth',
		velocity_m_s: 'speed',
		velocity02_m_s: `at ${depthShare(2)}`,
		velocity06_m_s: untrack(() => school) === 'one-point' ? 'speed' : `at ${depthShare(6)}`,
		velocity08_m_s: `at ${depthShare(8)}`
	};
	const fields = $derived(
		entry.fields.map((field) => ({ field, word: `${words[field]}, ${unitTable[entry.unitOf(field)].symbol}` }))
	);
	const kept = (row: string, field: Field) => writer.lines.get(entry.path({ row, field }));
	interface Row {
		id: string;
		/** What each cell shows; null where there is none. */
		cells: { field: Field; word: string; text: string | null }[];
		/** The cell that is being typed into, where it is in this row. */
		active: Field | null;
		edge: string;
		share: string;
		/** What was written at its places and taken out again. */
		struck: Line[];
	}
	const edgeWords: Record<string, string> = { start: 'first edge', end: 'far edge' };
	const sayKept = (line: Line | undefined, field: Field) =>
		line?.live ? sayAsRead(line.value as AsTyped, entry.unitOf(field)) : '';
	const sayPlanned = (place: number | null, field: Field) =>
		place === null || field !== 'distance_m' ? '' : writeNumber(place);
	const pathsOfRow = new Map<string, string[]>();
	/** Where the figures of a row stand; named once, for they are looked up with every key. */
	function pathsIn(id: string): string[] {
		const key = school === 'one-point' && isOlder(id) ? `${id} as mean` : id;
		const paths = pathsOfRow.get(key) ?? entry.fields.map((field) => entry.path({ row: id, field }));
		pathsOfRow.set(key, paths);
		return paths;
	}
	const rowsBefore = new Map<string, { from: unknown[]; row: Row }>();
	/** Of forty rows one or two change with a key: only those are worked out and drawn anew. */
	function rowOf(id: string, from: unknown[], make: () => Row): Row {
		const before = rowsBefore.get(id);
		if (before && before.from.length === from.length && from.every((f, i) => f === before.from[i])) return before.row;
		const row = make();
		rowsBefore.set(id, { from, row });
		return row;
	}
	const rows = $derived.by(() => {
		const placed = (view?.verticals ?? []).filter((v) => v.distance_m !== null);
		const { row: current, field: active } = entry.cell;
		const isNew = current !== 'start' && current !== 'end' && !placed.some((v) => v.id === current);
		const { fresh } = entry; // there is always a next row
		const shares = new Map(painted.current.view?.verticals.map((v) => [v.id, v.share_percent]));
		return ['start', ...placed.map((v) => v.id), isNew ? current : fresh, 'end'].map((id) => {
			const isEdge = id === 'start' || id === 'end';
			const share = shares.get(id)?.toFixed(0);
			const here = current === id ? active : null;
			const paths = pathsIn(id);
			const inRow = paths.map((path) => writer.lines.get(path));
			const seen = paths.map((path) => painted.current.lines.get(path));
			const planned = entry.plannedAt(id);
			return rowOf(id, [fields, here, share, planned, ...inRow, ...seen], () => ({
				id,
				cells: fields.map(({ field, word }, i) => ({
					field,
					word,
					text: isEdge && field !== 'distance_m' ? null : sayKept(inRow[i], field) || sayPlanned(planned, field)
				})),
				active: here,
				edge: edgeWords[id] ?? '',
				share: share === undefined ? '' : `${share} %`,
				struck: seen.flatMap((line) => ((line?.history.length ?? 0) > 1 && line ? [line] : []))
			}));
		});
	});
	const advice = $derived(sayAdvice(painted.current.view, { ...step, least: step.leastVerticals }, units.tape));
	const doubts = $derived(
		flags.filter((f) =>
			[
				'below-threshold-velocity',
				'beyond-meter',
				'section-impossible',
				'speeds-turned',
				'vertical-over-limit'
			].includes(f.code)
		)
	);
	const meter = $derived((writer.lines.get(`gaugings/${gaugingId}/instrument`)?.value as string | undefined) ?? '');

	async function keep() {
		if (entry.text === '' && kept(entry.cell.row, entry.cell.field)?.live) return goOn(); // it stands as it is
		const value = entry.take();
		if (value === null) return;
		const path = entry.path();
		const { cell, text } = entry;
		const line = writer.lines.get(path);
		const isSame = line?.live != null && JSON.stringify(line.value) === JSON.stringify(value);
		if (isSame) writer.draft(path, '');
		// the figure shows and the hand goes on at once: the disk need not keep up with quick fingers, only lose
		// nothing
		const written = isSame ? null : writer.setAll({ ...plannedPlace(cell.row), [path]: value });
		if (!meterSaid && meter === '' && meters[0]) void setMeter(meters[0]);
		meterSaid = true;
		await goOn();
		try {
			await written;
		} catch (trouble) {
			entry.back(cell, text, trouble instanceof Error ? trouble.message : String(trouble));
		}
	}

	/** The place that the spacing gave a row, to be kept with the first figure of its vertical. */
	function plannedPlace(row: string): Record<string, AsTyped> {
		const place = entry.plannedAt(row);
		const path = entry.path({ row, field: 'distance_m' });
		return place === null || writer.lines.get(path)?.live ? {} : { [path]: inTape(place) };
	}
	const onTape = (m: number | null | undefined) => (m == null ? null : convert(m, 'm', units.tape));
	/** The outermost vertical with the one before it, or with the first edge: how far apart they are on the tape. */
	const outermost = $derived.by(() => {
		const places = [view?.start?.distance_m, ...(view?.verticals ?? []).map((v) => v.distance_m)];
		const [before, last] = places.filter((m) => m != null).slice(-2);
		return { last: onTape(last ?? before), gap: before == null || last == null ? null : onTape(last - before) };
	});
	const spacing = $derived(outermost.gap === null ? 0 : Number(outermost.gap.toFixed(3)));

	async function goOn() {
		const { row } = entry.cell;
		const last = onTape(view?.verticals.find((v) => v.id === row)?.distance_m) ?? entry.plannedAt(row);
		entry.advance({ last, end: onTape(view?.end?.distance_m) });
		await focusActive();
	}

	/** What is typed next is the depth of the vertical one step further out. */
	async function keepSpacing() {
		entry.spacing = spacing;
		const isAtTape = entry.cell.field === 'distance_m' && entry.cell.row !== 'end';
		if (isAtTape && entry.text === '') entry.next({ last: outermost.last, end: onTape(view?.end?.distance_m) });
		await focusActive();
	}
	const HUNDREDTHS = 'keen-riffle-hundredths';
	onMount(() => (entry.inHundredths = localStorage.getItem(HUNDREDTHS) === 'yes'));
	function typeInHundredths(isOn: boolean) {
		entry.inHundredths = isOn;
		localStorage.setItem(HUNDREDTHS, isOn ? 'yes' : 'no');
	}

	const setMeter = async (code: string) => writer.set(`gaugings/${gaugingId}/instrument`, code);

	function choose(row: string, field: Field) {
		if (entry.isActive(row, field)) return;
		entry.choose({ row, field });
		striking = false;
	}

	async function pick(row: string) {
		choose(row, 'depth_m');
		await focusActive();
	}

	async function focusActive() {
		await tick();
		const cell = document.getElementById('flow-cell');
		cell?.focus({ preventScroll: true });
		const rowsBox = cell?.closest('.rows');
		if (cell && rowsBox)
			rowsBox.scrollTop +=
				cell.getBoundingClientRect().top - rowsBox.getBoundingClientRect().top - rowsBox.clientHeight / 2;
	}

	/** A tap between two verticals puts a new one there; its depth is asked next. */
	async function add(distance: number) {
		const row = newId();
		entry.choose({ row, field: 'depth_m' });
		const written = writer.set(entry.path({ row, field: 'distance_m' }), inTape(distance));
		await focusActive(); // the next key belongs to the depth, whatever the disk is doing
		await written;
	}
	const drag = (row: string, depth: number) => {
		const path = entry.path({ row, field: 'depth_m' });
		return void writer.set(path, inTape(depth));
	};
	/** A length in the unit of the tape as a figure of the sheet. */
	const inTape = (length: number): AsTyped => (units.tape === 'm' ? length : { value: length, unit: units.tape });

	function strike(reason: string) {
		const line = kept(entry.cell.row, entry.cell.field)?.live;
		if (line) writer.strike(entry.path(), reason);
		striking = false;
	}

	const rowNames: Record<string, string> = { start: 'First edge of the water', end: 'Far edge of the water' };
	const nameOf = (row: string) => rowNames[row] ?? 'Vertical';
</script>

<div class="gauge">
	<section class="picture">
		<p class="figures" aria-live="polite">
			{#if view?.discharge_m3_s != null}
				<span
					><b class="big-figure">{significant(convert(view.discharge_m3_s, 'm3_s', units.discharge), 3)}</b>
					{unitTable[units.discharge].symbol}</span
				>
				<span class="side">
					<b>{view.expanded_percent === null ? '± not known' : `± ${view.expanded_percent.toFixed(0)} %`}</b>
					<small
						>{view.provisional
							? 'an edge still to come'
							: `${writeFixed(convert(view.area_m2 ?? 0, 'm2', units.area), 2)} ${unitTable[units.area].symbol}, ${writeFixed(convert(view.width_m ?? 0, 'm', units.tape), 1)} ${units.tape} wide`}</small
					>
				</span>
			{:else}
				<span class="side"><b>No flow yet</b><small>one whole vertical gives a first figure</small></span>
			{/if}
		</p>
		<p class="say ask advice"><b>{advice.first}</b> {advice.because}</p>
		<CrossSection
			view={painted.current.view ?? {
				id: gaugingId,
				arithmetic: 'mid-section',
				verticals: [],
				start: null,
				end: null,
				provisional: true,
				width_m: null,
				area_m2: null,
				discharge_m3_s: null,
				meanVelocity_m_s: null,
				uncertainty: null,
				byTable_percent: null,
				expanded_percent: null,
				next: null,
				working: null,
				arithmetics: []
			}}
			{units}
			activeId={painted.current.cell.row}
			next_m={painted.current.view?.next?.distance_m ?? null}
			onpick={pick}
			onadd={add}
			ondepth={drag}
		/>
		{#each doubts as flag, i (i)}<p class="say {weightOf(flag)}">{flagSentence(flag, units)}</p>{/each}
	</section>

	<section class="typing">
		<div class="rows">
			<table class="table" style:--columns={fields.length + 1}>
				<thead>
					<tr
						>{#each fields as { field, word } (field)}<th class="number">{word}</th>{/each}<th class="number">share</th
						></tr
					>
				</thead>
				<tbody>
					{#each rows as row (row.id)}
						<tr class:current={row.active !== null}>
							{#each row.cells as cell (cell.field)}
								<td class="number">
									{#if cell.text === null}
										{#if cell.field === 'depth_m'}<small>{row.edge}</small>{/if}
									{:else}
										{@const isActive = row.active === cell.field}
										<!-- every cell is a field, so that a tap has the next key and a kept figure costs no field taken out and put in -->
										<input
											id={isActive ? 'flow-cell' : undefined}
											class="cell"
											inputmode="none"
											autocomplete="off"
											aria-label="{nameOf(row.id)}, {cell.word}"
											aria-describedby={isActive ? 'flow-said' : undefined}
											placeholder={cell.text || '·'}
											value={isActive ? entry.text : cell.text}
											onfocus={() => choose(row.id, cell.field)}
											oninput={(e) => entry.type(e.currentTarget.value)}
											onkeydown={(e) => e.key === 'Enter' && keep()}
										/>
									{/if}
								</td>
							{/each}
							<td class="number share">{row.share}</td>
						</tr>
						{#each row.struck as line (line.path)}
							<tr class="struck-row"><td><Struck {line} {writer} /></td></tr>
						{/each}
					{/each}
				</tbody>
			</table>
		</div>
		<p class="spacing">
			{#if entry.spacing !== null}
				<button
					type="button"
					class="btn preset-outlined-primary-500"
					aria-pressed="true"
					onclick={() => (entry.spacing = null)}>every {writeNumber(entry.spacing)} {units.tape}: stop</button
				>
			{:else if spacing > 0}
				<button type="button" class="btn preset-outlined-surface-500" onclick={keepSpacing}
					>Go on every {writeNumber(spacing)} {units.tape}</button
				>
			{/if}
		</p>
		<p id="flow-said" role="alert" class:say={entry.said} class="ask">{entry.said ?? ''}</p>
		<DockedKeys
			onkey={entry.press}
			onkeep={keep}
			isTyped={entry.text !== ''}
			signs={['', '−']}
			hasPoint={entry.hasPoint}
		/>
	</section>
	<section class="beside">
		{#if standing}<p class="small">This figure: {writer.initialsOf(standing.by)}</p>{/if}
		{#if standing && !painted.current.isTyping}
			{#if striking}<StrikeReason onstrike={strike} oncancel={() => (striking = false)} />{:else}<button
					type="button"
					class="strike btn preset-outlined-surface-500"
					onclick={() => (striking = true)}>Strike this figure</button
				>{/if}
		{/if}
		<label class="measured-with small">
			measured with
			<select class="select" value={meter} onchange={(e) => setMeter(e.currentTarget.value)}>
				{#if meter === ''}<option value="">say which meter</option>{/if}
				{#each meters as code (code)}<option>{code}</option>{/each}
			</select>
		</label>
		{#if units.tape === 'm'}
			<label class="hundredths small"
				><input
					type="checkbox"
					checked={entry.inHundredths}
					onchange={(e) => typeInHundredths(e.currentTarget.checked)}
				/> type depths in cm and speeds in cm/s, without a point</label
			>
		{/if}
		<ArithmeticsCompared
			arithmetics={painted.current.view?.arithmetics ?? []}
			inUse={view?.arithmetic ?? 'mid-section'}
			unit={units.discharge}
			scatter_percent={painted.current.view?.uncertainty?.expandedPercent ?? null}
			byTable_percent={painted.current.view?.byTable_percent ?? null}
		/>
	</section>
</div>

<style>
	/* the answer stands still while the table under it grows */
	.figures {
		position: sticky;
		top: -0.75rem;
		z-index: 3;
		background: var(--page);
		display: flex;
		align-items: flex-end;
		gap: 1.125rem;
		min-height: 3.125rem;
	}
	.side b {
		display: block;
		font-size: 1.1875rem;
		font-weight: 650;
	}
	.say {
		margin: 0.5rem 0;
	}
	.advice {
		margin: 0.25rem 0 2px;
		padding: 0.25rem 0.625rem;
		font-size: 0.9375rem;
		line-height: 1.3;
	}
	.rows {
		contain: content; /* what changes in here moves nothing else */
		max-height: 13.125rem;
		overflow-y: auto;
	}
	/* rows of their own, so that those out of sight need neither be laid out nor painted */
	table,
	thead,
	tbody {
		display: block;
	}
	tr {
		display: grid;
		grid-template-columns: repeat(var(--columns), minmax(0, 1fr));
		align-items: center;
	}
	td,
	th {
		border-bottom: 0;
	}
	thead tr {
		border-bottom: 1px solid var(--ink);
	}
	tbody tr {
		border-bottom: 1px solid var(--rule);
		content-visibility: auto;
		contain-intrinsic-size: auto 2.8125rem;
	}
	tr.struck-row {
		grid-template-columns: 1fr;
	}
	td {
		padding: 0 2px;
		white-space: nowrap;
	}
	/* in the field the hand stays where it is: figures and keys keep their place at the foot */
	.typing {
		position: sticky;
		bottom: -1.25rem; /* over the padding of the page that it scrolls in */
		background: var(--page);
		z-index: 2;
		padding: 0.25rem 0 0.375rem;
	}
	thead {
		position: sticky;
		top: 0;
		background: var(--page);
		z-index: 1;
	}
	th {
		padding-inline: 0.25rem;
	}
	.cell {
		display: block;
		width: 100%;
		min-width: 2.75rem;
		min-height: 2.75rem;
		border: 0;
		background: transparent;
		color: var(--ink);
		text-align: right;
		font-size: 1.125rem;
		padding: 0 0.375rem;
		cursor: pointer;
	}
	.cell#flow-cell {
		border: 2px solid var(--water);
		border-radius: 0.25rem;
		background: var(--page);
		font-weight: 650;
		cursor: text;
	}
	tr.current {
		background: var(--ochre-3);
	}
	.share {
		padding-right: 0.5rem;
		color: var(--ink-2);
	}
	.struck-row td {
		padding: 2px 0.5rem;
	}
	.spacing .btn {
		min-height: 2.75rem;
		margin-top: 0.25rem;
	}
	.hundredths {
		display: flex;
		align-items: center;
		gap: 0.625rem;
		min-height: 3rem;
	}
	.hundredths input {
		width: 1.375rem;
		height: 1.375rem;
	}
	.strike {
		min-height: 3rem;
		margin-top: 0.5rem;
	}
	.measured-with {
		display: grid;
		grid-template-columns: auto 1fr;
		align-items: center;
		gap: 0.5rem;
		margin-top: 0.625rem;
	}
	.measured-with select {
		min-height: 2.75rem;
		font-size: 1rem;
	}
	@media (max-width: 640px) {
		.figures {
			min-height: 0;
			align-items: center;
		}
		.figures :global(.big-figure) {
			font-size: 2.1rem;
		}
		.side b {
			font-size: 1rem;
		}
	}
	@media (max-height: 700px) {
		.rows {
			max-height: 10.3125rem;
		}
	}
	@media (min-width: 900px) {
		.gauge {
			display: grid;
			grid-template-columns: minmax(0, 1fr) 22.5rem;
			grid-template-rows: auto 1fr;
			gap: 0 1.75rem;
		}
		.picture {
			grid-row: span 2;
		}
		.rows {
			max-height: 20rem;
		}
		.typing {
			position: static;
		}
	}
</style>
