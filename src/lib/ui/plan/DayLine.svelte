<script module lang="ts">
	import type { DayPlan, RoundQuestion } from '$lib/core/schedule';

	export interface Props {
		question: RoundQuestion;
		plan: DayPlan;
		names: Record<string, string>;
		lab: string | null;
		/** A moment of the day that is under way. */
		now_min: number | null;
		mayMove: boolean;
		onstart: (start_min: number) => void;
		/** A stop is put before or after its neighbour. */
		onorder: (from: number, to: number) => void;
	}
</script>

<script lang="ts">
	import { sayWait } from '$lib/core/interpret';
	import { sayMinute } from '$lib/core/wording';
	import { waitsOf } from '$lib/core/schedule';

	let { question, plan, names, lab, now_min, mayMove, onstart, onorder }: Props = $props();

	const ROW = 27;
	const TOP = 34;
	const LABEL = 112;
	let width = $state(760);
	let pulled = $state<{ index: number; x: number; y: number; start_min: number } | null>(null);

	const waits = $derived(waitsOf(question, plan));
	const bottles = $derived(plan.stops.filter((s) => s.bottle_min !== null));
	const deadline = $derived(plan.firstBottle_min === null ? null : plan.firstBottle_min + question.holding_min);
	const first_min = $derived(Math.floor((Math.min(plan.start_min, now_min ?? Infinity) - 10) / 60) * 60);
	const last_min = $derived(
		Math.ceil(Math.max(plan.end_min + 30, question.lab?.closes_min ?? 0, deadline ?? 0) / 60) * 60 + 20
	);
	const right = $derived(Math.max(560, width) - 16);
	const X = $derived(
		(minute: number) => LABEL + ((Math.min(minute, last_min) - first_min) / (last_min - first_min)) * (right - LABEL)
	);
	const perMinute = $derived((right - LABEL) / (last_min - first_min));
	const labY = $derived(TOP + plan.stops.length * ROW);
	const bottleY = $derived(labY + 2 * ROW + 8);
	const height = $derived(bottleY + bottles.length * 22 + 34);
	const hours = $derived(Array.from({ length: Math.ceil((last_min - first_min) / 60) }, (_, i) => first_min + 60 * i));

	function onpointerdown(event: PointerEvent, index: number) {
		if (!mayMove || event.button !== 0) return;
		(event.currentTarget as Element).setPointerCapture(event.pointerId);
		pulled = { index, x: event.clientX, y: event.clientY, start_min: plan.start_min };
	}

	function onpointermove(event: PointerEvent) {
		if (!pulled) return;
		const rows = Math.round((event.clientY - pulled.y) / ROW);
		const to = Math.min(plan.stops.length - 1, Math.max(0, pulled.index + rows));
		if (to !== pulled.index) {
			onorder(pulled.index, to);
			pulled = { ...pulled, index: to, y: pulled.y + (to - pulled.index) * ROW };
		}
		const moved = Math.round((event.clientX - pulled.x) / perMinute / 5) * 5;
		onstart(Math.min(1200, Math.max(0, pulled.start_min + moved)));
	}

	function onkeydown(event: KeyboardEvent, index: number) {
		if (!mayMove) return;
		const step = { ArrowUp: -1, ArrowDown: 1 }[event.key];
		const to = index + (step ?? 0);
		if (step !== undefined && to >= 0 && to < plan.stops.length) onorder(index, to);
		else if (event.key === 'ArrowLeft') onstart(plan.start_min - 5);
		else if (event.key === 'ArrowRight') onstart(plan.start_min + 5);
		else return;
		event.preventDefault();
	}
</script>

<div class="scroll" bind:clientWidth={width}>
	<svg width={Math.max(560, width)} {height} role="group" aria-label="The day on a time line">
		{#each hours as hour (hour)}
			<path d="M{X(hour)} {TOP - 8}V{height - 22}" class="hour" />
			<text x={X(hour)} y={TOP - 14} text-anchor="middle" class="small">{sayMinute(hour)}</text>
		{/each}
		{#if now_min !== null}
			<path d="M{X(now_min)} {TOP - 8}V{height - 22}" class="present" />
			<text x={X(now_min) + 4} y={height - 6} class="small">now {sayMinute(now_min)}</text>
		{/if}
		{#each plan.stops as stop, i (stop.id)}
			{@const y = TOP + i * ROW}
			{@const from = i === 0 ? plan.start_min : plan.stops[i - 1]!.leave_min}
			<text x="0" y={y + 15} class="name">{names[stop.id]}</text>
			<path d="M{X(from)} {i === 0 ? y + 2 : y - ROW + 18}L{X(stop.arrive_min)} {y + 10}" class="road" />
			{@const wait = waits.find((w) => w.id === stop.id)}
			{#if wait}<path d="M{X(wait.from_min)} {y + 10}H{X(wait.until_min)}" class="wait" />{/if}
			<g
				role="button"
				tabindex={mayMove ? 0 : -1}
				class:movable={mayMove}
				aria-label="{names[stop.id]}, {sayMinute(stop.begin_min)} to {sayMinute(stop.leave_min)}, stop {i + 1} of {plan
					.stops.length}{wait ? `. ${sayWait(wait)}` : ''}"
				onpointerdown={(e) => onpointerdown(e, i)}
				{onpointermove}
				onpointerup={() => (pulled = null)}
				onpointercancel={() => (pulled = null)}
				onkeydown={(e) => onkeydown(e, i)}
			>
				<rect x={X(stop.begin_min)} y={y + 2} width={X(stop.leave_min) - X(stop.begin_min)} height="17" class="visit" />
			</g>
			<text x={X(stop.leave_min) + 6} y={y + 15} class="small"
				>{sayMinute(stop.begin_min)} – {sayMinute(stop.leave_min)}</text
			>
		{/each}
		{#if question.lab && lab}
			{@const last = plan.stops.at(-1)}
			<text x="0" y={labY + 15} class="name">{lab}</text>
			<rect
				x={X(question.lab.opens_min)}
				y={labY + 6}
				width={X(question.lab.closes_min) - X(question.lab.opens_min)}
				height="9"
				class="open"
			/>
			{#if last}<path d="M{X(last.leave_min)} {labY - ROW + 18}L{X(plan.end_min)} {labY + 10}" class="road" />{/if}
			<rect x={X(plan.end_min) - 3} y={labY + 1} width="7" height="19" class="lab" />
			<text x={LABEL} y={labY + ROW + 9} class="small">
				open {sayMinute(question.lab.opens_min)} – {sayMinute(question.lab.closes_min)}{plan.plated_min === null
					? ''
					: `; handed in ${sayMinute(plan.end_min)}, last plate ${sayMinute(plan.plated_min)}`}
			</text>
		{/if}
		{#if bottles.length && deadline !== null}
			{#each bottles as stop, i (stop.id)}
				{@const y = bottleY + i * 22}
				<text x="0" y={y + 12} class="small">bottle {names[stop.id]}</text>
				<rect
					x={X(stop.bottle_min!)}
					y={y + 4}
					width={X(Math.min(last_min, stop.bottle_min! + question.holding_min)) - X(stop.bottle_min!)}
					height="9"
					class="life"
				/>
				{#if plan.plated_min !== null}<path
						d="M{X(stop.bottle_min!)} {y + 8.5}H{X(Math.max(stop.bottle_min!, plan.plated_min))}"
						class="spent"
					/>{/if}
				<path d="M{X(stop.bottle_min! + question.holding_min)} {y + 1}v15" class="end" />
			{/each}
			<text x={Math.min(X(deadline), right - 150)} y={height - 6} class="small"
				>first bottle lasts to {sayMinute(deadline)}</text
			>
			{#if plan.plated_min !== null}<path
					d="M{X(plan.plated_min)} {TOP - 8}V{height - 22}"
					class="plated"
					class:late={plan.plated_min > deadline}
				/>{/if}
		{/if}
	</svg>
</div>

<style>
	.scroll {
		overflow-x: auto;
	}
	svg {
		display: block;
	}
	.hour {
		stroke: var(--rule);
	}
	.small {
		font-size: 0.7813rem;
		fill: var(--ink-2);
	}
	.name {
		font-size: 0.875rem;
		font-weight: 600;
	}
	.road {
		stroke: var(--ink-3);
		stroke-width: 1.2;
	}
	.wait {
		stroke: var(--ochre);
		stroke-width: 2;
		stroke-dasharray: 3 3;
	}
	.visit {
		fill: var(--water);
	}
	.movable {
		cursor: grab;
		outline: none;
		touch-action: none;
	}
	.movable:focus-visible .visit {
		stroke: var(--ochre);
		stroke-width: 3;
	}
	.open {
		fill: var(--paper-3);
	}
	.lab {
		fill: var(--ink);
	}
	.life {
		fill: var(--water-3);
	}
	.spent {
		stroke: var(--water);
		stroke-width: 3;
	}
	.end {
		stroke: var(--ink);
		stroke-width: 2;
	}
	.plated {
		stroke: var(--ochre);
		stroke-width: 2.5;
	}
	.plated.late {
		stroke: var(--danger);
	}
	.present {
		stroke: var(--water-2);
		stroke-width: 2;
		stroke-dasharray: 2 3;
	}
</style>
