<script module lang="ts">
	export interface Lane {
		id: string;
		name: string;
		say: string;
		state: 'late' | 'now' | 'later';
		start_ms: number;
		/** When it ought to be done; null where there is only an end. */
		due_ms: number | null;
		last_ms: number;
		href: string | null;
	}
	export interface Props {
		lanes: Lane[];
		/** How many run beside those drawn. */
		more: number;
		now_ms: number;
		timeZone: string;
	}
</script>

<script lang="ts">
	import { clock24, sayTime, sayWeekday } from '$lib/core/wording';
	import { placeOnRail, railMarks, type RailMark } from './rail-scale';

	let { lanes, more, now_ms, timeZone }: Props = $props();

	const at = (ms: number) => 100 * placeOnRail(ms, now_ms);
	const markWord = ({ at_ms, kind }: RailMark, i: number) => {
		if (kind === 'hour') return sayTime(at_ms, timeZone);
		if (kind === 'week') return `${Math.round((at_ms - now_ms) / 604_800_000)} wk`;
		return railMarksNow[i - 1]?.kind !== 'day' ? 'tomorrow' : sayWeekday(at_ms, timeZone);
	};
	const startOfDay = (ms: number) => {
		const [hour, minute] = clock24(ms, timeZone).split(':').map(Number) as [number, number];
		return ms - (hour * 60 + minute) * 60_000;
	};
	const railMarksNow = $derived(railMarks(now_ms, startOfDay));
</script>

<section class="rail" aria-label="Clocks">
	<div class="ruler" aria-hidden="true">
		<span class="now" style:left="{at(now_ms)}%">{sayTime(now_ms, timeZone)}</span>
		{#each railMarksNow as mark, i (mark.at_ms)}<span class="tick {mark.kind}" style:left="{100 * mark.place}%"
				>{markWord(mark, i)}</span
			>{/each}
	</div>
	<ul>
		{#each lanes as lane (lane.id)}
			{@const past = lane.last_ms < now_ms}
			{@const from = at(lane.start_ms)}
			{@const to = past ? at(now_ms) : at(lane.last_ms)}
			<li class={lane.state}>
				<span class="lane-name"
					>{#if lane.href}<a href={lane.href}>{lane.name}</a>{:else}{lane.name}{/if}</span
				>
				<span class="track" aria-hidden="true">
					{#if past}
						<i class="over" style:left="0" style:width="{to}%"></i>
					{:else}
						<i class="good" style:left="{from}%" style:width="{Math.max(0.4, to - from)}%"></i>
						{#if lane.due_ms !== null && lane.due_ms > now_ms - 86_400_000}
							<i class="wanted" style:left="{from}%" style:width="{Math.max(0, at(lane.due_ms) - from)}%"></i>
							<i class="due" style:left="{at(lane.due_ms)}%"></i>
						{/if}
						<i class="last" style:left="{to}%"></i>
					{/if}
				</span>
				<span class="lane-say" style:left="calc(var(--names) + (100% - var(--names)) * {Math.min(to, 82) / 100} + 8px)"
					>{lane.say}</span
				>
			</li>
		{/each}
	</ul>
	{#if lanes.length === 0}<p class="small">
			Nothing is running. A clock starts here when a bottle is filled or a grab falls due.
		</p>{/if}
	{#if more > 0}<p class="small more">and {more} more under Next</p>{/if}
	<span class="now-line" style:left="calc(var(--names) + (100% - var(--names)) * {at(now_ms) / 100})" aria-hidden="true"
	></span>
</section>

<style>
	.rail {
		--names: 11rem;
		position: relative;
		padding: 0;
	}
	.ruler {
		position: relative;
		margin-left: var(--names);
		height: 1.5rem;
		border-bottom: 1.5px solid var(--ink);
		font-size: 0.75rem;
	}
	.ruler span {
		position: absolute;
		transform: translateX(-50%);
		white-space: nowrap;
	}
	.ruler .tick::after {
		content: '';
		position: absolute;
		left: 50%;
		top: 1.0625rem;
		height: 0.4375rem;
		border-left: 1px solid var(--ink);
	}
	.ruler .week {
		color: var(--ink-2);
	}
	.ruler .now {
		font-weight: 700;
		font-size: 0.8125rem;
		color: var(--water);
	}
	li {
		position: relative;
		display: grid;
		grid-template-columns: var(--names) 1fr;
		height: 1.5rem;
		align-items: center;
		font-size: 0.8125rem;
	}
	.lane-name {
		overflow: hidden;
		white-space: nowrap;
		text-overflow: ellipsis;
		padding-right: 0.5rem;
	}
	.lane-name a {
		display: inline-block;
		line-height: 1.5rem;
		color: inherit;
		text-decoration-color: var(--rule);
	}
	.late .lane-name,
	.now .lane-name {
		font-weight: 650;
	}
	.track {
		position: relative;
		height: 100%;
	}
	.track i {
		position: absolute;
		top: 50%;
		transform: translateY(-50%);
	}
	.good {
		height: 0.5625rem;
		background: var(--water-3);
	}
	.wanted {
		height: 3px;
		background: var(--water);
	}
	.now .wanted {
		background: var(--ochre);
	}
	.due,
	.last {
		width: 0;
		height: 0.875rem;
		border-left: 3px solid var(--water);
	}
	.now .due {
		border-color: var(--ochre);
	}
	.last {
		border-left: 2px solid var(--ink);
	}
	.over {
		height: 0.3125rem;
		background: repeating-linear-gradient(90deg, var(--danger) 0 0.375rem, transparent 0.375rem 0.625rem);
	}
	.lane-say {
		position: absolute;
		white-space: nowrap;
	}
	.late .lane-say {
		color: var(--danger);
		font-weight: 650;
	}
	.now-line {
		position: absolute;
		top: 1rem;
		bottom: 0;
		border-left: 2px solid var(--water);
		pointer-events: none;
	}
	.more {
		position: absolute;
		right: 0;
		bottom: -2px;
	}
	/* on a phone: the words are enough */
	@media (max-width: 640px) {
		.ruler,
		.track,
		.now-line,
		li:nth-child(n + 3) {
			display: none;
		}
		li {
			grid-template-columns: 1fr auto;
			height: auto;
			min-height: 1.625rem;
		}
		.lane-say {
			position: static;
		}
		.more {
			position: static;
		}
	}
</style>
