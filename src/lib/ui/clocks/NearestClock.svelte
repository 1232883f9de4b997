<script module lang="ts">
	import type { RunningClock } from '$lib/core/visit';

	export interface Props {
		clocks: RunningClock[];
		now_ms: number;
		timeZone: string;
	}
	const SHORT_ms = 3_600_000;
	const DAY_ms = 86_400_000;
</script>

<script lang="ts">
	import { sayDeadline } from '$lib/core/interpret';
	import { isAwaited } from '$lib/core/subjects/determination';
	import { sayDay, sayDuration, sayTime } from '$lib/core/wording';
	import { sayClock } from './stages';

	let { clocks, now_ms, timeZone }: Props = $props();

	/** A wait is over when it is due; everything else runs out at its last moment. */
	const end = (c: RunningClock) => (isAwaited(c) && c.due_ms > now_ms ? c.due_ms : c.last_ms);
	const ordered = $derived([...clocks].sort((a, b) => end(a) - end(b)));
	const nearest = $derived(ordered[0]);
	const span = (ms: number) => (ms < SHORT_ms ? sayClock(Math.ceil(ms / 1000)) : sayDuration(ms));
	function left(c: RunningClock): string {
		if (c.kind === 'drying') return `${c.label}: dry on ${sayDay(c.due_ms, timeZone)}`;
		if (isAwaited(c))
			return c.due_ms > now_ms
				? `${span(c.due_ms - now_ms)}, ${c.label}`
				: `Now: ${c.label}, ${span(Math.max(0, c.last_ms - now_ms))} left`;
		return c.last_ms > now_ms
			? `${sayDuration(c.last_ms - now_ms)} left, ${c.label}`
			: `${c.label}: past its last moment`;
	}
	const time = (ms: number) => sayTime(ms, timeZone);
	function beside(c: RunningClock): string {
		if (isAwaited(c)) return `ready ${time(c.due_ms)}`;
		if (c.kind !== 'bacteria-holding' && c.kind !== 'holding') return '';
		const day = c.last_ms - now_ms < DAY_ms ? '' : `${sayDay(c.last_ms, timeZone)} `;
		return `lab by ${day}${time(c.last_ms)}`;
	}
	function whole(c: RunningClock): string {
		if (c.kind === 'bacteria-holding')
			return `: filled ${time(c.start_ms)}, be on the road by ${time(c.due_ms)}. ${sayDeadline(c.deadline, c.last_ms, timeZone)}`;
		if (c.kind === 'drying') return '.';
		return `: begun ${time(c.start_ms)}, ready ${time(c.due_ms)}, last moment ${time(c.last_ms)}.`;
	}
</script>

{#if nearest}
	<details class:late={nearest.last_ms <= now_ms}>
		<summary><span><b>{left(nearest)}</b></span><span>{beside(nearest)}</span></summary>
		<ul>
			{#each ordered as clock (clock.id)}<li>{left(clock)}{whole(clock)}</li>{/each}
		</ul>
	</details>
{/if}

<style>
	details {
		background: var(--ochre-3);
		border-top: 2px solid var(--ochre-2);
		font-size: min(1rem, 4.6vw);
	}
	.late {
		background: var(--danger-3);
		border-color: var(--danger);
	}
	summary {
		display: flex;
		flex-wrap: wrap;
		justify-content: space-between;
		gap: 0 0.75rem;
		padding: min(0.75rem, 1.8vh) 0.875rem;
		min-height: max(44px, min(3rem, 8vh));
		cursor: pointer;
		list-style: none;
	}
	ul {
		padding: 0 0.875rem 0.75rem;
	}
</style>
