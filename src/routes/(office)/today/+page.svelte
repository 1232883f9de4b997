<script lang="ts">
	import { invalidateAll } from '$app/navigation';
	import { onMount } from 'svelte';
	import { counted, sayDay, sayDuration } from '$lib/core/wording';
	import ClocksRail from '$lib/ui/clocks/ClocksRail.svelte';
	import Thread from '$lib/ui/thread/Thread.svelte';
	import type { PageProps } from './$types';

	let { data }: PageProps = $props();

	type Said = (typeof data.parts)[number]['items'][number];
	function when(s: Said): string {
		if (s.when === 'late') return 'late';
		if (s.when === 'later') return sayDay(s.at_ms, data.program.timeZone);
		return s.kind === 'bottle' ? sayDuration(s.at_ms - data.now_ms) : 'now';
	}

	onMount(() => {
		// the page of the day stays true while it stands open on a desk
		const again = setInterval(() => document.visibilityState === 'visible' && void invalidateAll(), 60_000);
		return () => clearInterval(again);
	});
</script>

<svelte:head><title>Today · Keen Riffle</title></svelte:head>

<div class="top"><ClocksRail {...data.rail} now_ms={data.now_ms} timeZone={data.program.timeZone} /></div>
<div class="spread">
	<section class="thread" aria-labelledby="streams">
		<h1 id="streams">The {data.streams.find((s) => s.joins === null)?.name ?? 'stream'} and its brooks</h1>
		<p class="small">{sayDay(data.now_ms, data.program.timeZone, true)} · {data.program.name}</p>
		{#if data.sites.length}
			<Thread streams={data.streams} sites={data.sites} />
			<p class="small key">
				Full: done this month. Half: due. Diamond: late. Ring with a dot: someone is there now. Broken ring: not sampled
				yet.
			</p>
			{#if data.sitesInAll > data.sites.length}
				<p class="small">
					Drawn are the {data.sites.length} of {data.sitesInAll} sites that ask for something first.
					<a href="/sites">All sites</a>
				</p>
			{/if}
		{:else}
			<p>No sites yet. They are drawn here, along their streams, as soon as there is one.</p>
		{/if}
	</section>
	<section class="todo" aria-labelledby="next">
		<h2 id="next">Next</h2>
		{#each data.late as one (one.memberId)}
			<p class="say ask">
				{one.name} has left, and sent {one.lines === 1 ? 'one line' : `${one.lines} lines`} since.
				<a href="/library/people/{one.memberId}#late">Take them in or leave them</a>.
			</p>
		{/each}
		{#if data.reportsWaiting}
			<p class="say ask">
				{counted(data.reportsWaiting, 'lab report')}
				{data.reportsWaiting === 1 ? 'waits' : 'wait'} to be looked at.
				<a href="/lab-reports">Look at {data.reportsWaiting === 1 ? 'it' : 'them'}</a>.
			</p>
		{/if}
		{#each data.boxes?.late ?? [] as box (box.id)}
			<p class="say ask">
				Box {box.code} should be at {box.lab} by now. <a href="/shipments/{box.id}">Say when it came</a>, or ask for it.
			</p>
		{/each}
		{#if data.boxes?.toSend}
			<p class="say ask">
				{counted(data.boxes.toSend, 'bottle')}
				{data.boxes.toSend === 1 ? 'waits' : 'wait'} to be sent to a lab.
				<a href="/shipments">Pack {data.boxes.toSend === 1 ? 'it' : 'them'}</a>.
			</p>
		{/if}
		{#each data.parts as part (part.word)}
			{#if part.items.length}
				<h3 class="ruled">{part.word}</h3>
				<ul>
					{#each part.items as item, i (i)}
						<li class={item.when}>
							<span class="when">{when(item)}</span>
							<p>{item.deed[0]}<b>{item.deed[1]}</b>{item.deed[2]}<small>{item.reason}</small></p>
							{#if item.act}<a
									class={[
										'btn',
										item.kind === 'bottle' && i === 0 ? 'preset-filled-primary-500' : 'preset-outlined-primary-500'
									]}
									href={item.act.href}>{item.act.word}<span class="visually-hidden"> {item.deed[1]}</span></a
								>{:else}<span></span>{/if}
						</li>
					{/each}
				</ul>
				{#if part.more}<p class="small">
						And {part.more} more after these. <a href="/plan">The season shows which rounds reach them</a>
					</p>{/if}
			{/if}
		{/each}
		{#if data.isBeginning}
			<p class="say">
				<b>The program is being set up.</b>
				{#if data.mayKeep}
					The library asks for one thing after the other: streams and sites, people, a lab, a card. Then the season can
					be planned, and what is due stands here.
				{:else}
					As soon as rounds are planned, what is due stands here.
				{/if}
			</p>
			{#if data.mayKeep}
				<p class="acts">
					<a class="btn preset-filled-primary-500" href="/library">What comes next</a>
					{#if data.sites.length}<a class="btn preset-outlined-primary-500" href="/plan">Plan the season</a>{/if}
				</p>
			{/if}
		{:else if data.parts.every((p) => p.items.length === 0)}
			<p>Nothing is due. A good day to clean the probes.</p>
		{/if}
	</section>
</div>

<style>
	.acts {
		display: flex;
		gap: 0.5rem;
		margin-top: 0.75rem;
	}
	.top {
		background: var(--page);
		border-bottom: 1px solid var(--rule);
		padding: 0.5rem 1.375rem 0.5rem;
	}
	.spread {
		display: grid;
		grid-template-columns: minmax(0, 35rem) minmax(0, 1fr);
		flex: 1;
	}
	.thread {
		border-right: 1px solid var(--rule);
		padding: 1rem 0.75rem 1rem 1.375rem;
	}
	.todo {
		padding: 1rem 1.625rem 1.5rem;
		max-width: 41.25rem;
	}
	#next {
		font-size: 1.625rem;
		line-height: 1.15;
	}
	h3 {
		margin-top: 1rem;
		font-size: 1.0625rem;
		line-height: 1.3;
	}
	li {
		display: grid;
		grid-template-columns: 5.125rem 1fr auto;
		gap: 3px 0.75rem;
		padding: 0.5625rem 0;
		border-bottom: 1px solid var(--rule);
		align-items: start;
	}
	.when {
		font-weight: 650;
	}
	.late .when {
		color: var(--danger);
	}
	.now .when {
		color: var(--ochre);
	}
	li small {
		display: block;
	}
	.key {
		margin-top: 0.25rem;
	}
	@media (max-width: 1000px) {
		.spread {
			grid-template-columns: 1fr;
		}
		.thread {
			border-right: 0;
			order: 2;
			padding-inline: 0.875rem;
			border-top: 1px solid var(--rule);
		}
		.todo {
			padding-inline: 0.875rem;
		}
		.top {
			padding-inline: 0.875rem;
		}
	}
</style>
