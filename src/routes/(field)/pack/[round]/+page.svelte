<script lang="ts">
	import { sayGear } from '$lib/core/interpret';
	import { sayDay, sayTime } from '$lib/core/wording';
	import { packList } from '$lib/core/schedule';
	import { PackTicks } from '$lib/field/pack-ticks.svelte';
	import PackLines from '$lib/ui/plan/PackLines.svelte';
	import { fieldApp } from '../../field-context';
	import FieldNote from '../../FieldNote.svelte';
	import type { PageProps } from './$types';

	let { params }: PageProps = $props();

	const app = fieldApp();
	const ticks = $derived(new PackTicks(params.round));
	$effect(() => ticks.follow()); // this device's store, and the server when there is one

	const satchel = $derived(app.packed?.satchel ?? null);
	const timeZone = $derived(satchel?.program.timeZone ?? 'UTC');
	const round = $derived(satchel?.rounds.find((r) => r.id === params.round) ?? null);
	const card = $derived(satchel?.cards.find((c) => c.id === round?.cardVersionId)?.card ?? null);
	const codeOf = (id: string) => satchel?.sites.find((s) => s.id === id)?.code ?? '?';
	const lines = $derived(
		round && card && satchel
			? packList({
					card,
					sites: round.siteIds.map(codeOf),
					duplicates: round.quality.filter((q) => q.kind === 'duplicate').map((q) => codeOf(q.siteId)),
					blanks: round.quality.filter((q) => q.kind === 'blank').map((q) => codeOf(q.siteId)),
					people: Math.max(2, round.crewIds.length),
					instruments: satchel.instruments
						.filter((i) => round.kit.includes(i.facts.code))
						.map((i) => ({ code: i.facts.code, kind: i.kind }))
				})
			: []
	);
	const packedBy = $derived(
		new Map([...(ticks.ticks?.values() ?? [])].filter((t) => t.isPacked).map((t) => [t.line, app.initialsOf(t.by)]))
	);
	const inCar = $derived(lines.filter((l) => packedBy.has(l.id)).length);

	const standing = $derived.by(() => {
		if (ticks.isTold) return 'The others see it.';
		return ticks.isKept ? 'Kept here; told to the others when there is a network.' : 'Being kept …';
	});

	const tick = (line: string, isPacked: boolean) =>
		app.member && void ticks.tick(line, isPacked, app.member.id, app.now_ms);
</script>

<svelte:head><title>Pack {round?.name ?? ''} · Keen Riffle</title></svelte:head>

<header class="top">
	<a class="back" href="/pack" aria-label="All rounds">‹</a>
	<div>
		<h1>{round?.name ?? 'Pack'}</h1>
		{#if round}<small
				>{sayDay(Date.parse(round.startsAt), timeZone)}, start {sayTime(Date.parse(round.startsAt), timeZone)}</small
			>{/if}
	</div>
	<FieldNote {app} />
</header>
<main>
	{#if round && lines.length && ticks.ticks}
		<p class="so-far" role="status">
			<b>{inCar === lines.length ? 'Everything is in.' : `${inCar} of ${lines.length} in.`}</b>
			<small>{standing}</small>
		</p>
		{#each round.gear as warning, i (i)}<p class="say ask">
				{sayGear(warning, timeZone)}
				{#if warning.kind === 'calibrate' || warning.kind === 'battery'}<a
						href="/plan/calibrate/{warning.code}"
						data-sveltekit-reload>Calibrate it</a
					>{/if}
			</p>{/each}
		<PackLines {lines} {packedBy} ontick={tick} />
	{:else if app.isOpen && !round}
		<h2>This round is not on this device</h2>
		<p>It may be another team’s, or have been taken off the plan. <a href="/pack">All rounds</a></p>
	{/if}
</main>

<style>
	.top {
		position: sticky;
		top: 0;
		z-index: 5;
		display: grid;
		grid-template-columns: auto 1fr auto;
		gap: 0.5rem;
		align-items: center;
		padding: 0.25rem 0.875rem 0.25rem 0.25rem;
		background: var(--paper);
		border-bottom: 1px solid var(--rule);
	}
	h1 {
		font-size: 1.1875rem;
	}
	.top small {
		display: block;
	}
	.back {
		display: grid;
		place-items: center;
		width: 2.875rem;
		height: 3rem;
		font-size: 1.75rem;
		text-decoration: none;
		color: var(--ink);
	}
	main {
		max-width: 40rem;
		margin: 0 auto;
		padding: 0.75rem 1rem 2.5rem;
	}
	.so-far b {
		font: 600 1.375rem var(--head);
	}
	.so-far small {
		display: block;
	}
	.say {
		margin: 0.5rem 0;
	}
</style>
