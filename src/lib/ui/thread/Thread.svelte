<script module lang="ts">
	import type { BeadState, StreamIn } from './layout';

	export interface ThreadSite {
		id: string;
		streamId: string;
		river_km: number;
		name: string;
		/** What is said under the name. */
		say: string;
		state: BeadState;
		href: string;
	}
	export interface Props {
		streams: StreamIn[];
		sites: ThreadSite[];
		/** The site whose page this is. */
		current?: string | null;
		width?: number;
	}
	const words: Record<BeadState, string> = {
		done: 'done',
		due: 'due',
		late: 'late',
		here: 'someone is there now',
		new: 'not sampled yet'
	};
</script>

<script lang="ts">
	import { layOutThread } from './layout';

	let { streams, sites, current = null, width = 560 }: Props = $props();

	const thread = $derived(layOutThread(streams, sites, width));
	const siteOf = $derived(new Map(sites.map((s) => [s.id, s])));
</script>

<svg viewBox="0 0 {thread.width} {thread.height}" class="thread" role="group" aria-label="The streams and their sites">
	{#each thread.lines as line (line.path)}<path d={line.path} stroke-width={line.width} class="stream" />{/each}
	{#each thread.names as name (name.text)}<text x={name.x} y={name.y} text-anchor={name.anchor} class="name"
			>{name.text}</text
		>{/each}
	{#each thread.beads as bead (bead.id)}
		{@const site = siteOf.get(bead.id)}
		{#if site}
			<a
				href={site.href}
				aria-label="{site.name}, {words[site.state]}{site.state === 'new' ? '' : `: ${site.say}`}"
				class:current={site.id === current}
			>
				<rect
					x={Math.min(bead.box.x, bead.x - 12)}
					y={Math.min(bead.box.y, bead.y - 14)}
					width={bead.box.w + 30}
					height={Math.max(bead.box.h, 28)}
					class="target"
				/>
				{#if site.state === 'late'}
					<path d="M{bead.x} {bead.y - 11}l10 11l-10 11l-10-11z" class="late" />
				{:else if site.state === 'here'}
					<circle cx={bead.x} cy={bead.y} r="8" class="here" /><circle cx={bead.x} cy={bead.y} r="3" class="dot" />
				{:else if site.state === 'due'}
					<circle cx={bead.x} cy={bead.y} r="8" class="due" /><path
						d="M{bead.x} {bead.y - 8}a8 8 0 0 1 0 16z"
						class="half"
					/>
				{:else if site.state === 'new'}
					<circle cx={bead.x} cy={bead.y} r="8" class="new" />
				{:else}
					<circle cx={bead.x} cy={bead.y} r="8" class="done" />
				{/if}
				<text x={bead.label.x} y={bead.label.y - 2} text-anchor={bead.label.anchor} class="site">{site.name}</text>
				<text
					x={bead.label.x}
					y={bead.label.y + 13}
					text-anchor={bead.label.anchor}
					class="say-line"
					class:attention={site.state === 'late'}>{bead.say}</text
				>
			</a>
		{/if}
	{/each}
</svg>

<style>
	.thread {
		display: block;
		width: 100%;
	}
	.stream {
		fill: none;
		stroke: var(--water-2);
		stroke-linecap: round;
	}
	.name {
		font: italic 0.8438rem var(--head);
		fill: var(--water-2);
	}
	a {
		text-decoration: none;
	}
	.target {
		fill: transparent;
	}
	a:hover .target {
		fill: var(--water-4);
		fill-opacity: 0.6;
	}
	.site {
		font-size: 0.875rem;
		font-weight: 650;
	}
	a:hover .site,
	.current .site {
		text-decoration: underline;
	}
	.say-line {
		font-size: 0.8125rem;
		fill: var(--ink-2);
	}
	.attention {
		fill: var(--danger);
	}
	.done {
		fill: var(--ink);
		stroke: var(--page);
		stroke-width: 2;
	}
	.new {
		fill: var(--page);
		stroke: var(--ink-3);
		stroke-width: 1.5;
		stroke-dasharray: 3 3;
	}
	.due {
		fill: var(--page);
		stroke: var(--ink);
		stroke-width: 2.5;
	}
	.half {
		fill: var(--ink);
	}
	.late {
		fill: var(--page);
		stroke: var(--danger);
		stroke-width: 3;
	}
	.here {
		fill: var(--water-4);
		stroke: var(--water);
		stroke-width: 3;
	}
	.dot {
		fill: var(--water);
	}
</style>
