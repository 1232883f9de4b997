<script module lang="ts">
	import type { RunningClock } from '$lib/core/evaluate';

	export interface Props {
		clocks: RunningClock[];
		now_ms: number;
		timeZone: string;
	}
</script>

<script lang="ts">
	import { sayDuration, sayTime } from '$lib/core/interpret';

	let { clocks, now_ms, timeZone }: Props = $props();

	const ordered = $derived([...clocks].sort((a, b) => a.last_ms - b.last_ms));
	const nearest = $derived(ordered[0]);
	const left = (c: RunningClock) => (c.last_ms > now_ms ? `${sayDuration(c.last_ms - now_ms)} left, ${c.label}` : `${c.label}: past its last moment`);
</script>

{#if nearest}
	<details class:late={nearest.last_ms <= now_ms}>
		<summary><span><b>{left(nearest)}</b></span><span>lab by {sayTime(nearest.last_ms, timeZone)}</span></summary>
		<ul>
			{#each ordered as clock (clock.id)}
				<li>
					{left(clock)}: filled {sayTime(clock.start_ms, timeZone)}, be on the road by {sayTime(clock.due_ms, timeZone)}, last moment {sayTime(
						clock.last_ms,
						timeZone
					)}.
				</li>
			{/each}
		</ul>
	</details>
{/if}

<style>
	details {
		background: var(--ochre-3);
		border-top: 2px solid var(--ochre-2);
		font-size: 16px;
	}
	.late {
		background: var(--danger-3);
		border-color: var(--danger);
	}
	summary {
		display: flex;
		flex-wrap: wrap;
		justify-content: space-between;
		gap: 0 12px;
		padding: 12px 14px;
		min-height: 48px;
		cursor: pointer;
		list-style: none;
	}
	ul {
		padding: 0 14px 12px;
	}
</style>
