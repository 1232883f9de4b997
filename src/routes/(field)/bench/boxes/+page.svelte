<script lang="ts">
	import { v7 } from 'uuid';
	import { hasArrived, isForLab, type Box, type PackedBottle } from '$lib/core/custody';
	import { nextJourney, sayJourney } from '$lib/core/interpret';
	import { counted } from '$lib/core/wording';
	import { BenchShelf } from '$lib/field/bench-shelf.svelte';
	import { FieldBoxes } from '$lib/field/boxes.svelte';
	import { deviceNow_ms } from '$lib/field/device-clock';
	import BottleRows from '$lib/ui/shipments/BottleRows.svelte';
	import BoxSent from '$lib/ui/shipments/BoxSent.svelte';
	import PackBox from '$lib/ui/shipments/PackBox.svelte';
	import { fieldApp } from '../../field-context';
	import Head from '../Head.svelte';

	const app = fieldApp();
	const shelf = new BenchShelf(() => app.packed);
	$effect(() => shelf.follow());
	const memberId = $derived(app.member?.id ?? '');
	const boxes = $derived(
		new FieldBoxes(
			memberId,
			() => shelf.visits,
			() => app.sync.nudge()
		)
	);
	$effect(() => (memberId === '' ? undefined : boxes.follow()));
	const timeZone = $derived(app.packed?.satchel.program.timeZone ?? 'UTC');
	const exactly_ms = () => deviceNow_ms(app.packed);

	const nameOf = ({ visitId, id }: PackedBottle) => `${visitId} ${id}`;
	const labOf = (id: string) => boxes.labs.find((l) => l.id === id);
	const journeyTo = (id: string) => nextJourney(labOf(id)?.journeys ?? [], app.now_ms, timeZone);
	const waitingFor = (id: string) => boxes.waiting.filter((b) => isForLab(b.kind, labOf(id)?.analyses ?? []));

	const packing = $derived(boxes.boxes.filter((b) => b.handedOver_ms === null));
	const sentOff = $derived(boxes.boxes.filter((b) => b.handedOver_ms !== null));
	const onTheWay = $derived(sentOff.filter((b) => !hasArrived(b)));
	const there = $derived(sentOff.filter(hasArrived));

	let chosenLab = $state('');
	const labId = $derived(labOf(chosenLab) ? chosenLab : (boxes.labs[0]?.id ?? ''));
	const forLab = $derived(waitingFor(labId));
	/** Bottles that stay here this time: all others go in. */
	let staying = $state<string[]>([]);
	const going = $derived(forLab.filter((b) => !staying.includes(nameOf(b))));
	const journey = $derived(journeyTo(labId));
	let why = $state<string | null>(null);
	async function start() {
		const bottles = going.map(({ visitId, id }) => ({ visitId, id }));
		why = await boxes.say({ does: 'start', box: v7(), labId, bottles }, exactly_ms());
		if (why === null) staying = [];
	}
</script>

{#snippet sent(box: Box)}
	<BoxSent
		{box}
		now_ms={app.now_ms}
		{timeZone}
		typed={boxes.typed}
		ontype={(place, text) => boxes.type(place, text)}
		ondo={(done, at_ms = exactly_ms()) => boxes.say({ ...done, box: box.id }, at_ms)}
	/>
{/snippet}

<svelte:head><title>Boxes for labs · Keen Riffle</title></svelte:head>

<Head {app}><h1>Boxes for labs</h1></Head>
<main>
	{#if !app.isOpen}
		<p>Opening …</p>
	{:else if !app.packed}
		{#await import('../../NothingPacked.svelte') then { default: NothingPacked }}<NothingPacked
				{app}
				to="/bench"
			/>{/await}
	{:else if !app.packed.satchel.member.mayShip}
		<p>Boxes are packed by whoever works at the bench, and by the coordinator.</p>
	{:else}
		{#each boxes.refusals as reason (reason)}
			<p class="say ask" role="alert">
				{reason}
				<button class="btn preset-outlined-surface-500" onclick={() => boxes.heard(reason)}>OK</button>
			</p>
		{/each}
		{#if boxes.untold.length}
			<p class="say" role="status">
				What was done here is kept on this device and told once there is a network. A new box gets its code then.
			</p>
		{/if}
		{#each packing as box (box.id)}
			<PackBox
				{box}
				waiting={waitingFor(box.labId)}
				journey={journeyTo(box.labId)}
				now_ms={app.now_ms}
				{timeZone}
				typed={boxes.typed}
				ontype={(place, text) => boxes.type(place, text)}
				ondo={(done, at_ms = exactly_ms()) => boxes.say({ ...done, box: box.id }, at_ms)}
			/>
		{/each}
		<section aria-label="Bottles that wait">
			<h2 class="ruled">Bottles that wait</h2>
			{#if !boxes.isKnown}
				<p>
					This device has not heard of boxes and labs yet. Open this page once where there is a network; after that it
					works without.
				</p>
			{:else if boxes.labs.length === 0}
				<p>No lab is reached by courier. The library’s shelf of labs says which are, and when the courier collects.</p>
			{:else}
				{#if boxes.labs.length > 1}
					<label class="lab"
						>They go to
						<select class="select" value={labId} onchange={(e) => (chosenLab = e.currentTarget.value)}>
							{#each boxes.labs as one (one.id)}<option value={one.id}>{one.name}</option>{/each}
						</select></label
					>
				{/if}
				{#if forLab.length === 0}
					<p>None for {labOf(labId)?.name}: every bottle of the last weeks is at a bench, at a lab or in a box.</p>
				{:else}
					{#if journey}<p class={['say', journey.stands && 'ask']}>{sayJourney(journey, timeZone)}</p>{/if}
					<BottleRows bottles={forLab} arrives_ms={journey?.arrives_ms ?? null} {timeZone}>
						{#snippet deed(bottle)}
							{@const name = nameOf(bottle)}
							<label class="pick"
								><input
									type="checkbox"
									class="checkbox"
									aria-label="Into the box: {bottle.label ?? `a bottle of ${bottle.site}`}"
									checked={!staying.includes(name)}
									onchange={(e) =>
										(staying = e.currentTarget.checked ? staying.filter((s) => s !== name) : [...staying, name])}
								/></label
							>
						{/snippet}
					</BottleRows>
					{#if why}<p class="why" role="alert">{why}</p>{/if}
					<button class="btn preset-filled-primary-500" disabled={going.length === 0} onclick={start}
						>Pack {counted(going.length, 'bottle')} for {labOf(labId)?.name}</button
					>
				{/if}
			{/if}
		</section>
		{#each onTheWay as box (box.id)}{@render sent(box)}{/each}
		{#each there as box (box.id)}{@render sent(box)}{/each}
		<p class="small">
			Papers of a box, and boxes of earlier weeks, are in the office: <a href="/shipments" data-sveltekit-reload
				>Shipments</a
			>
		</p>
	{/if}
</main>

<style>
	main {
		display: grid;
		gap: 1.25rem;
		max-width: 40rem;
		margin: 0 auto;
		padding: 1rem;
	}
	.btn {
		min-height: 3rem;
	}
	.pick {
		display: grid;
		place-items: center;
		min-width: 2.75rem;
		min-height: 2.75rem;
	}
	.lab {
		font-weight: 600;
	}
	.why {
		color: var(--danger);
		font-weight: 600;
	}
</style>
