<script lang="ts">
	import { writeNumber } from '$lib/core/quantity';
	import { untrack } from 'svelte';
	import { enhance } from '$app/forms';
	import { packing, type Packing } from '$lib/core/custody';
	import { sayJourney } from '$lib/core/interpret';
	import { packingWords } from '$lib/core/subjects/bottle/words';
	import { clock24, counted, isoDay, sayDay, sayTime } from '$lib/core/wording';
	import Fold from '$lib/ui/kit/Fold.svelte';
	import BottleRows from '$lib/ui/shipments/BottleRows.svelte';
	import type { PageProps } from './$types';

	let { data, form }: PageProps = $props();

	const { box } = $derived(data);
	const { timeZone } = $derived(data.program);
	const why = $derived(form && 'why' in form ? form.why : null);
	const id = $derived(data.box.id);
	/** As ticked here: what comes back from the server must not take back a tick made meanwhile. */
	const done: Record<Packing, boolean> = $derived.by(() => {
		void id;
		const packed = untrack(() => data.box.packed);
		const ticks = $state({ bags: false, liner: false, ice: false, form: false, tape: false });
		for (const step of packed) ticks[step] = true;
		return ticks;
	});
	const left = $derived(packing.filter((p) => !done[p]).length);
	const reported = $derived(data.bottles.filter((b) => b.isReported));
	const missing = $derived(data.bottles.filter((b) => !b.isReported));
	const stage = $derived.by(() => {
		if (box.handedOver_ms === null) return 'packing';
		return box.arrived_ms === null ? 'road' : 'there';
	});
	/** As the browser's own control for a day and a time takes it. */
	const local = (at_ms: number) => `${isoDay(at_ms, timeZone)}T${clock24(at_ms, timeZone)}`;
	const moment = (at_ms: number) => `${sayDay(at_ms, timeZone)}, ${sayTime(at_ms, timeZone)}`;
	const stays: Parameters<typeof enhance>[1] =
		() =>
		async ({ update }) =>
			update({ reset: false });
</script>

<svelte:head><title>{box.code} to {box.lab}, shipment · Keen Riffle</title></svelte:head>

<main class="page">
	<p class="small"><a href="/shipments">Shipments</a></p>
	<h1 class="ruled">{box.code} to {box.lab}</h1>
	{#if why}<p class="why" role="alert">{why}</p>{/if}
	{#if stage === 'packing'}
		{#if data.ahead}<p class={['say', data.ahead.stands && 'ask']}>{sayJourney(data.ahead, timeZone)}</p>{/if}
		<h2 class="ruled">What is in it</h2>
		<BottleRows bottles={data.bottles} arrives_ms={data.ahead?.arrives_ms ?? null} {timeZone}>
			{#snippet deed(bottle)}
				<form method="POST" action="?/takeOut" use:enhance={stays}>
					<button
						class="btn preset-outlined-surface-500"
						name="bottle"
						value="{bottle.visitId}/{bottle.id}"
						aria-label="Take out {bottle.label ?? `the bottle of ${bottle.site}`}">Take out</button
					>
				</form>
			{/snippet}
		</BottleRows>
		{#if data.bottles.length === 0}<p>It is empty.</p>{/if}
		{#if data.waiting.length}
			<Fold title="{counted(data.waiting.length, 'bottle')} more {data.waiting.length === 1 ? 'waits' : 'wait'}">
				<BottleRows bottles={data.waiting} arrives_ms={data.ahead?.arrives_ms ?? null} {timeZone}>
					{#snippet deed(bottle)}
						<form method="POST" action="?/put" use:enhance={stays}>
							<button
								class="btn preset-outlined-primary-500"
								name="bottle"
								value="{bottle.visitId}/{bottle.id}"
								aria-label="Put in {bottle.label ?? `the bottle of ${bottle.site}`}">Put in</button
							>
						</form>
					{/snippet}
				</BottleRows>
			</Fold>
		{/if}
		<h2 class="ruled">Pack it</h2>
		<ul class="ticks">
			{#each packing as step (step)}
				<li>
					<form method="POST" action="?/pack" use:enhance={stays} onchange={(e) => e.currentTarget.requestSubmit()}>
						<input type="hidden" name="step" value={step} />
						<label
							><input type="checkbox" class="checkbox" name="isDone" bind:checked={done[step]} />{packingWords[
								step
							]}</label
						>
						<noscript><button class="btn preset-outlined-primary-500">Save</button></noscript>
					</form>
				</li>
			{/each}
		</ul>
		<p>
			<a class="btn preset-outlined-primary-500" href="/shipments/{box.id}/papers.pdf" target="_blank"
				>Print custody form and address</a
			>
		</p>
		<h2 class="ruled">Hand it over</h2>
		<form method="POST" action="?/handOver" use:enhance={stays} class="given">
			<label>Taken by <input class="input" name="courier" maxlength="60" required value={box.courier} /></label>
			<label>Seal number, if any <input class="input" name="seal" maxlength="60" value={box.seal} /></label>
			<label>When <input class="input" type="datetime-local" name="at" required value={local(data.now_ms)} /></label>
			<p class="wide">
				<button class="btn preset-filled-primary-500" disabled={data.bottles.length === 0}
					>Hand over {counted(data.bottles.length, 'bottle')}{left ? ', not all packed' : ''}</button
				>
				<span class="small">It is written into the custody of each visit.</span>
			</p>
		</form>
		<form method="POST" action="?/unpack" use:enhance>
			<button class="btn preset-outlined-surface-500">Unpack it: its bottles wait again</button>
		</form>
	{:else}
		<p>
			{counted(data.bottles.length, 'bottle')}, taken by {box.courier} on {moment(box.handedOver_ms!)}{box.seal
				? `, seal ${box.seal}`
				: ''}.
			<a href="/shipments/{box.id}/papers.pdf" target="_blank">Custody form and address</a>
		</p>
		{#if stage === 'road'}
			<p class={['say', box.expected_ms !== null && box.expected_ms < data.now_ms && 'ask']}>
				{#if box.expected_ms === null}Nobody knows when it is there: the lab’s courier has no days on its shelf.
				{:else if box.expected_ms < data.now_ms}It should have been there on {sayDay(box.expected_ms, timeZone)}. Ask
					the lab first, then the courier: ice lasts a day or two.
				{:else}Expected at {box.lab} on {sayDay(box.expected_ms, timeZone)}.{/if}
			</p>
			<h2 class="ruled">It has arrived</h2>
			<form method="POST" action="?/arrive" use:enhance={stays} class="given">
				<label>When <input class="input" type="datetime-local" name="at" required value={local(data.now_ms)} /></label>
				<label
					>Temperature in the box <span class="unit">°C</span>
					<input class="input" name="temperature_C" inputmode="decimal" maxlength="6" /></label
				>
				<p class="wide">
					<button class="btn preset-filled-primary-500">It has arrived</button>
					<span class="small">As the lab says it. How long each bottle was held is judged by this time.</span>
				</p>
			</form>
		{:else}
			<p class={['say', missing.length && 'ask']}>
				Arrived on {moment(box.arrived_ms!)}{box.arrived_C === null ? '' : `, at ${writeNumber(box.arrived_C)} °C`}.
				{#if missing.length === 0}The lab has reported all of them.
				{:else}{reported.length
						? `Reported: ${reported.length} of ${data.bottles.length}.`
						: 'The lab has reported none of them yet.'}
					<a href="/lab-reports">Bring its report in</a>{/if}
			</p>
		{/if}
		<h2 class="ruled">What is in it</h2>
		<ul class="sent">
			{#each data.bottles as bottle (`${bottle.visitId}/${bottle.id}`)}
				<li>
					<a href="/visits/{bottle.visitId}">{bottle.label}</a>
					{bottle.site}{stage === 'there' ? `, ${bottle.isReported ? 'reported' : 'not reported yet'}` : ''}
				</li>
			{/each}
		</ul>
		<form method="POST" action="?/takeBack" use:enhance={stays}>
			<button class="btn preset-outlined-surface-500"
				>{stage === 'road' ? 'It has not left: strike that' : 'It has not arrived: strike that'}</button
			>
		</form>
	{/if}
</main>

<style>
	.page {
		max-width: 61.25rem;
	}
	h2 {
		margin-top: 1.25rem;
	}
	.why {
		color: var(--danger);
		font-weight: 600;
	}
	.ticks {
		display: grid;
	}
	.ticks label {
		display: flex;
		gap: 0.75rem;
		align-items: center;
		min-height: 2.75rem;
	}
	.given {
		display: grid;
		grid-template-columns: repeat(auto-fit, minmax(14rem, 1fr));
		gap: 0.75rem;
		margin: 0.5rem 0 1.25rem;
	}
	.given label {
		font-weight: 600;
	}
	.wide {
		grid-column: 1 / -1;
	}
	.sent li {
		padding: 0.25rem 0;
	}
</style>
