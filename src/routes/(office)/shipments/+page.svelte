<script lang="ts">
	import { untrack } from 'svelte';
	import { enhance } from '$app/forms';
	import { isForLab } from '$lib/core/custody';
	import { sayJourney } from '$lib/core/interpret';
	import { counted, sayDay } from '$lib/core/wording';
	import BottleRows from '$lib/ui/shipments/BottleRows.svelte';
	import type { PageProps } from './$types';

	let { data, form }: PageProps = $props();

	const { timeZone } = $derived(data.program);
	let labId = $state(untrack(() => data.labs[0]?.id ?? ''));
	const lab = $derived(data.labs.find((l) => l.id === labId));
	const name = (bottle: { visitId: string; id: string }) => `${bottle.visitId}/${bottle.id}`;
	const forLab = $derived(data.waiting.filter((b) => isForLab(b.kind, lab?.analyses ?? [])));
	const others = $derived(data.waiting.length - forLab.length);
	let chosen = $derived(forLab.map(name));

	const packing = $derived(data.shipments.filter((s) => s.handedOver_ms === null));
	const onTheWay = $derived(data.shipments.filter((s) => s.handedOver_ms !== null && s.arrived_ms === null));
	const arrived = $derived(data.shipments.filter((s) => s.arrived_ms !== null));
</script>

<svelte:head><title>Shipments · Keen Riffle</title></svelte:head>

<main class="page">
	<h1 class="ruled">Shipments</h1>
	<p>
		Boxes of bottles that a courier brings to a lab: what goes into them, what still lacks, whether ice and holding
		times last until they are there, and which bottles the lab has reported since.
	</p>
	{#if onTheWay.length}
		<h2 class="ruled">On the way</h2>
		<ul class="boxes">
			{#each onTheWay as box (box.id)}
				<li>
					<p>
						<b>{box.code}</b> to {box.lab}, {counted(box.bottles, 'bottle')}
						<small>
							left on {sayDay(box.handedOver_ms!, timeZone)}{box.expected_ms === null
								? ''
								: `, expected on ${sayDay(box.expected_ms, timeZone)}`}
						</small>
						{#if box.expected_ms !== null && box.expected_ms < data.now_ms}
							<small class="late">◆ It should be there by now: ask the lab, then the courier.</small>
						{/if}
					</p>
					<a class="btn preset-outlined-primary-500" href="/shipments/{box.id}"
						>It has arrived<span class="visually-hidden">: {box.code}</span></a
					>
				</li>
			{/each}
		</ul>
	{/if}
	{#if packing.length}
		<h2 class="ruled">Being packed</h2>
		<ul class="boxes">
			{#each packing as box (box.id)}
				<li>
					<p><b>{box.code}</b> to {box.lab}, {counted(box.bottles, 'bottle')}</p>
					<a class="btn preset-filled-primary-500" href="/shipments/{box.id}"
						>Go on packing<span class="visually-hidden">: {box.code}</span></a
					>
				</li>
			{/each}
		</ul>
	{/if}
	<h2 class="ruled">Bottles that wait</h2>
	{#if data.labs.length === 0}
		<p>
			No lab is reached by courier yet. <a href="/library/labs">Say on its shelf</a> that bottles are couriered there, and
			when the courier collects.
		</p>
	{:else if data.waiting.length === 0}
		<p>None: every bottle of the last weeks is at a bench, at a lab or in a box.</p>
	{:else}
		<form
			method="POST"
			use:enhance={() =>
				async ({ update }) =>
					update({ reset: false })}
		>
			<label
				>They go to
				<select class="select" name="labId" bind:value={labId}>
					{#each data.labs as one (one.id)}<option value={one.id}>{one.name}</option>{/each}
				</select></label
			>
			{#if lab?.ahead}
				<p class={['say', lab.ahead.stands && 'ask']}>{sayJourney(lab.ahead, timeZone)}</p>
			{:else if lab}
				<p class="say ask">
					Nobody said when the courier collects for {lab.name}. <a href="/library/labs/{lab.id}">Say it</a>, and a
					weekend on the road is told before it happens.
				</p>
			{/if}
			<BottleRows bottles={forLab} arrives_ms={lab?.ahead?.arrives_ms ?? null} {timeZone}>
				{#snippet deed(bottle)}
					<input
						type="checkbox"
						class="checkbox"
						name="bottle"
						value={name(bottle)}
						aria-label="Into the box: {bottle.label ?? `a bottle of ${bottle.site}`}"
						bind:group={chosen}
					/>
				{/snippet}
			</BottleRows>
			{#if others}
				<p class="small">
					{counted(others, 'bottle')} more {others === 1 ? 'waits' : 'wait'} for something that {lab?.name} does not do:
					<a href="/bench">the bench takes them in</a>.
				</p>
			{/if}
			{#if form?.why}<p class="why" role="alert">{form.why}</p>{/if}
			<p>
				<button class="btn preset-filled-primary-500" disabled={chosen.length === 0}
					>Pack {counted(chosen.length, 'bottle')}</button
				>
			</p>
		</form>
	{/if}
	{#if arrived.length}
		<h2 class="ruled">Arrived</h2>
		<table class="table">
			<thead
				><tr
					><th>Box</th><th>Lab</th><th>Arrived</th><th class="number">°C</th><th class="number">Bottles reported</th
					></tr
				></thead
			>
			<tbody>
				{#each arrived as box (box.id)}
					<tr>
						<td><a href="/shipments/{box.id}">{box.code}</a></td>
						<td>{box.lab}</td>
						<td>{sayDay(box.arrived_ms!, timeZone)}</td>
						<td class="number">{box.arrived_C ?? 'not read'}</td>
						<td class="number">{box.reported} of {box.bottles}</td>
					</tr>
				{/each}
			</tbody>
		</table>
	{/if}
	<p><a href="/lab-reports">Lab reports</a></p>
</main>

<style>
	.page {
		max-width: 61.25rem;
	}
	h2 {
		margin-top: 1.25rem;
	}
	.boxes li {
		display: flex;
		gap: 1rem;
		align-items: center;
		justify-content: space-between;
		padding: 0.5rem 0;
		border-bottom: 1px solid var(--rule);
	}
	.boxes small {
		display: block;
	}
	.late {
		color: var(--ochre);
		font-weight: 600;
	}
	.why {
		color: var(--danger);
		font-weight: 600;
	}
	form {
		display: grid;
		gap: 0.5rem;
		margin: 0.75rem 0;
	}
	label {
		font-weight: 600;
		max-width: 24rem;
	}
</style>
