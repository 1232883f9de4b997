<script module lang="ts">
	import type { SeasonRound } from '$lib/core/schedule';

	export interface BoardBead extends SeasonRound {
		name: string;
		siteIds: readonly string[];
		refusedBecause: string | null;
		quality: readonly { siteId: string; kind: 'duplicate' | 'blank' }[];
		/** Why it goes although a rule speaks against it. */
		despite: string;
		isProposed?: boolean;
	}

	export interface Props {
		from: number;
		to: number;
		today: number;
		sites: { id: string; code: string; name: string }[];
		rounds: readonly BoardBead[];
		/** What is wrong with a round on a day, in words; and the nearest day that is right. */
		judge: (round: BoardBead, day: number) => { words: string[]; nearest: number | null };
		mayPlan: boolean;
		chosen: string | null;
		onchoose: (roundId: string) => void;
		onmove: (roundId: string, day: number) => void;
	}
</script>

<script lang="ts">
	import { onMount } from 'svelte';
	import { sayPlanDay } from '$lib/core/interpret';
	import { boardScale } from './board-layout';

	let { from, to, today, sites, rounds, judge, mayPlan, chosen, onchoose, onmove }: Props = $props();

	const ROW = 29;
	/** More rows than these scroll in a frame of their own. */
	const MOST_ROWS = 16;
	const HEAD = 42;
	const TOP = 4;
	const LABEL = 104;
	let width = $state(1100);
	/** A round on its way to another day, by pointer or by keys. */
	let held = $state<{ id: string; day: number } | null>(null);
	let svg: SVGSVGElement;
	let box: HTMLDivElement;
	// on a narrow screen the board begins at today, not in January
	onMount(() => (box.scrollLeft = scale.x(today) - box.clientWidth / 2));

	const scale = $derived(boardScale(from, to, LABEL + 10, Math.max(820, width) - 14));
	const height = $derived(TOP + sites.length * ROW + 6);
	const rowOf = $derived(new Map(sites.map((s, i) => [s.id, TOP + i * ROW + ROW / 2])));
	const shown = $derived(rounds.filter((r) => r.day >= from - 3 && r.day <= to + 3));
	const heldRound = $derived(rounds.find((r) => r.id === held?.id) ?? null);
	const verdict = $derived(held && heldRound ? judge(heldRound, held.day) : null);
	const canMove = (r: BoardBead) => mayPlan && r.state === 'planned' && !r.isProposed;
	const stateWords = { planned: 'planned', done: 'done', missed: 'missed', refused: 'refused' } as const;
	const place = (r: BoardBead) => (held?.id === r.id ? held.day : r.day);

	function onpointerdown(event: PointerEvent, round: BoardBead) {
		onchoose(round.id);
		if (!canMove(round) || event.button !== 0) return;
		(event.currentTarget as Element).setPointerCapture(event.pointerId);
		held = { id: round.id, day: round.day };
	}

	function onpointermove(event: PointerEvent, round: BoardBead) {
		if (held?.id !== round.id || !(event.currentTarget as Element).hasPointerCapture(event.pointerId)) return;
		held = { id: round.id, day: clamp(scale.dayAt(event.clientX - svg.getBoundingClientRect().left)) };
	}

	function drop() {
		const round = heldRound;
		if (held && round && held.day !== round.day) onmove(round.id, held.day);
		held = null;
	}

	function onkeydown(event: KeyboardEvent, round: BoardBead) {
		if (event.key === 'Enter' || event.key === ' ') {
			event.preventDefault();
			if (held) drop();
			else onchoose(round.id);
		} else if (event.key === 'ArrowUp' || event.key === 'ArrowDown') {
			event.preventDefault();
			goTo(inOrder[inOrder.indexOf(round) + (event.key === 'ArrowUp' ? -1 : 1)]);
		} else if (event.key === 'Home' || event.key === 'End') {
			event.preventDefault();
			goTo(inOrder.at(event.key === 'Home' ? 0 : -1));
		} else if (event.key === 'Escape') held = null;
		else if (canMove(round) && (event.key === 'ArrowLeft' || event.key === 'ArrowRight')) {
			event.preventDefault();
			const by = (event.key === 'ArrowLeft' ? -1 : 1) * (event.shiftKey ? 7 : 1);
			held = { id: round.id, day: clamp((held?.id === round.id ? held.day : round.day) + by) };
		}
	}

	/* One stop of the tab key: the chosen round, else the first from today on. Up and down go through the rounds by day. */
	const inOrder = $derived([...shown].sort((a, b) => a.day - b.day || (a.name < b.name ? -1 : 1)));
	const stop = $derived(
		inOrder.find((r) => r.id === chosen)?.id ?? (inOrder.find((r) => r.day >= today) ?? inOrder.at(-1))?.id
	);
	function goTo(round: BoardBead | undefined) {
		if (!round) return;
		held = null;
		onchoose(round.id);
		svg.querySelector<SVGGElement>(`[data-round="${round.id}"]`)?.focus();
	}
	const clamp = (day: number) => Math.min(to, Math.max(Math.max(from, today), day));
</script>

<div class="scroll" class:tall={sites.length > MOST_ROWS} bind:this={box} bind:clientWidth={width}>
	<!-- the months stay while the sites go by -->
	<svg class="head" width={Math.max(820, width)} height={HEAD} aria-hidden="true">
		{#each scale.weeks as week (week.x)}
			{#if week.month}<text x={week.x + 3} y="14" class="word">{week.month}</text>{/if}
		{/each}
		<text x={scale.x(today)} y={HEAD - 11} text-anchor="middle" class="now">today</text>
	</svg>
	<svg
		bind:this={svg}
		width={Math.max(820, width)}
		{height}
		role="group"
		aria-label="Season board: sites down, weeks across"
	>
		{#each scale.weeks as week (week.x)}
			<path d="M{week.x} 0V{height}" class="week" class:month={week.month} />
		{/each}
		<rect x={scale.x(today) - 1} y="0" width="3" {height} class="today" />
		{#each sites as site, i (site.id)}
			<text x="0" y={TOP + i * ROW + ROW / 2 + 5} class="site">{site.name}</text>
			<path d="M{LABEL} {TOP + (i + 1) * ROW}H{Math.max(820, width)}" class="rule" />
		{/each}
		{#each shown as round (round.id)}
			{@const x = scale.x(place(round))}
			{@const dots = round.siteIds.flatMap((id) =>
				rowOf.has(id) ? [{ y: rowOf.get(id)!, isDone: round.visited?.includes(id) ?? false }] : []
			)}
			{@const ys = dots.map((d) => d.y)}
			{#if ys.length}
				<g
					role="button"
					tabindex={stop === round.id ? 0 : -1}
					data-round={round.id}
					class="round {round.state}"
					class:proposed={round.isProposed}
					class:chosen={chosen === round.id}
					class:movable={canMove(round)}
					class:wrong={held?.id === round.id && (verdict?.words.length ?? 0) > 0}
					aria-label="{round.name}, {sayPlanDay(place(round))}, {round.isProposed
						? 'proposed'
						: stateWords[round.state]}{round.state === 'done' && (round.visited?.length ?? 0) < round.siteIds.length
						? `, ${round.visited?.length ?? 0} of ${round.siteIds.length} sites`
						: ''}"
					aria-pressed={chosen === round.id}
					onpointerdown={(e) => onpointerdown(e, round)}
					onpointermove={(e) => onpointermove(e, round)}
					onpointerup={drop}
					onpointercancel={() => (held = null)}
					onkeydown={(e) => onkeydown(e, round)}
				>
					<path d="M{x} {Math.min(...ys)}V{Math.max(...ys)}" class="stem" />
					<rect
						x={x - 9}
						y={Math.min(...ys) - 11}
						width="18"
						height={Math.max(...ys) - Math.min(...ys) + 22}
						class="grip"
					/>
					{#each dots as { y, isDone }, k (k)}
						{#if round.state === 'refused'}
							<path d="M{x - 5} {y - 5}L{x + 5} {y + 5}M{x + 5} {y - 5}L{x - 5} {y + 5}" class="cross" />
						{:else if round.state === 'missed' || (round.state === 'done' && !isDone && round.day < today)}
							<path
								d="M{x} {y - 7}L{x + 7} {y}L{x} {y + 7}L{x - 7} {y}Z"
								class="bead"
								class:awaited={round.state === 'done'}
							/>
						{:else}
							<circle cx={x} cy={y} r="6" class="bead" class:awaited={round.state === 'done' && !isDone} />
						{/if}
					{/each}
					{#each round.state === 'refused' ? [] : round.quality as q (q.siteId + q.kind)}
						{#if rowOf.has(q.siteId)}<text x={x + 9} y={rowOf.get(q.siteId)! + 4} class="quality"
								>{q.kind === 'duplicate' ? 'dup' : 'blank'}</text
							>{/if}
					{/each}
				</g>
			{/if}
		{/each}
		{#if held && heldRound}
			<g
				transform="translate({Math.min(scale.x(held.day) + 14, Math.max(820, width) - 300)} {Math.max(
					4,
					Math.min(...heldRound.siteIds.map((id) => rowOf.get(id) ?? TOP)) - 12
				)})"
			>
				<rect width="290" height="24" class="tag" class:bad={verdict?.words.length} />
				<text x="8" y="17"
					>{sayPlanDay(held.day)}{verdict?.words.length ? `: ${verdict.words[0]}` : ' breaks no rule.'}</text
				>
			</g>
		{/if}
	</svg>
</div>
<p class="small legend">
	<svg width="14" height="14" aria-hidden="true"><circle cx="7" cy="7" r="6" class="key-done" /></svg> done
	<svg width="14" height="14" aria-hidden="true"><circle cx="7" cy="7" r="5" class="key-planned" /></svg> planned
	<svg width="14" height="14" aria-hidden="true"><path d="M7 1L13 7L7 13L1 7Z" class="key-planned" /></svg> missed
	<svg width="14" height="14" aria-hidden="true"><path d="M2 2L12 12M12 2L2 12" class="key-cross" /></svg> refused. ↑ ↓
	go from round to round.
	{#if mayPlan}Drag a planned round, or choose it and press ← → (with Shift a week), then Enter; Esc puts it back.{/if}
</p>
<p role="status" class="said">
	{#if held && verdict}
		{sayPlanDay(held.day)}: {verdict.words.length ? verdict.words.join(' ') : 'breaks no rule.'}
		{#if verdict.words.length && verdict.nearest !== null}Nearest day that does: {sayPlanDay(verdict.nearest)}.{/if}
	{/if}
</p>

<style>
	.scroll {
		overflow-x: auto;
	}
	.tall {
		overflow-y: auto;
		max-height: max(20rem, 62vh);
		border-bottom: 1px solid var(--rule);
	}
	.head {
		position: sticky;
		top: 0;
		z-index: 1;
		background: var(--paper);
	}
	svg {
		display: block;
		touch-action: pan-x;
	}
	.legend svg {
		display: inline;
		vertical-align: -2px;
		margin-left: 0.5rem;
	}
	.week {
		stroke: var(--rule);
		stroke-width: 0.5;
	}
	.week.month {
		stroke-width: 1.5;
	}
	.rule {
		stroke: var(--rule);
	}
	.today {
		fill: var(--water-3);
	}
	.word,
	.quality {
		font-size: 0.7813rem;
		fill: var(--ink-2);
	}
	.now {
		font-size: 0.75rem;
		font-weight: 650;
		fill: var(--water);
	}
	.site {
		font-size: 0.875rem;
		font-weight: 600;
	}
	.grip {
		fill: transparent;
	}
	.round {
		cursor: pointer;
		outline: none;
	}
	.movable {
		cursor: ew-resize;
	}
	.stem {
		stroke: var(--ink-3);
		stroke-width: 1.5;
		opacity: 0.55;
	}
	.bead {
		fill: var(--page);
		stroke: var(--ink);
		stroke-width: 2;
	}
	.done .bead,
	.key-done {
		fill: var(--ink);
	}
	.key-planned {
		fill: var(--page);
		stroke: var(--ink);
		stroke-width: 2;
	}
	/* of a round that is done, a site where nobody has been */
	.done .bead.awaited {
		fill: var(--page);
	}
	.missed .bead {
		stroke-dasharray: 3 2;
	}
	.cross,
	.key-cross {
		stroke: var(--danger);
		stroke-width: 2.5;
	}
	.proposed .bead {
		stroke: var(--ochre);
		fill: var(--ochre-3);
	}
	.proposed .stem {
		stroke: var(--ochre);
		stroke-dasharray: 4 3;
	}
	.chosen .grip,
	.round:focus-visible .grip {
		stroke: var(--water);
		stroke-width: 2;
	}
	.wrong .bead {
		stroke: var(--danger);
		fill: var(--danger-3);
	}
	.tag {
		fill: var(--page);
		stroke: var(--water);
		pointer-events: none;
	}
	.tag.bad {
		fill: var(--danger-3);
		stroke: var(--danger);
	}
	.said {
		min-height: 1.375rem;
		margin-top: 0.25rem;
	}
</style>
