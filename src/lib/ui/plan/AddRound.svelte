<script module lang="ts">
	import type { Board, Purpose } from '$lib/core/schedule';

	export interface Props {
		board: Board;
		/** The first day on which one can still be planned. */
		today: number;
		/** Each day as the calendar writes it, and back. */
		dateOf: (day: number) => string;
		dayOf: (date: string) => number;
		nameOf: (personId: string) => string;
		onadd: (round: AddedRound) => Promise<boolean>;
	}
	export interface AddedRound {
		circuitId: string;
		day: number;
		crew: string[];
		purpose: Purpose;
		despite?: string;
	}
</script>

<script lang="ts">
	import { untrack } from 'svelte';
	import { sayBreach } from '$lib/core/interpret';
	import { crewOn } from '$lib/core/schedule';
	import DayField from '../kit/DayField.svelte';
	import Fold from '../kit/Fold.svelte';

	let { board, today, dateOf, dayOf, nameOf, onadd }: Props = $props();

	let circuitId = $state(untrack(() => board.facts.circuits[0]?.id ?? ''));
	let date = $state(untrack(() => dateOf(today + 1)));
	let purpose = $state<'grab' | 'storm'>('grab');
	let despite = $state('');
	let isSending = $state(false);

	const day = $derived(dayOf(date));
	const crew = $derived(Number.isFinite(day) ? crewOn(board, circuitId, day) : []);
	const breaches = $derived(
		Number.isFinite(day) && circuitId !== ''
			? board.forbids({ id: 'added', circuitId, day, crew, state: 'planned', purpose })
			: []
	);
	const mayAdd = $derived(Number.isFinite(day) && circuitId !== '' && (breaches.length === 0 || despite.trim() !== ''));

	async function add() {
		if (!mayAdd || isSending) return;
		isSending = true;
		const reason = breaches.length ? { despite: despite.trim() } : {};
		if (await onadd({ circuitId, day, crew, purpose, ...reason })) despite = '';
		isSending = false;
	}
</script>

<Fold title="Add one round by hand" heading="h3">
	<form
		onsubmit={(e) => {
			e.preventDefault();
			void add();
		}}
	>
		<label
			>Circuit <select class="select" bind:value={circuitId}
				>{#each board.facts.circuits as circuit (circuit.id)}<option value={circuit.id}>{circuit.name}</option
					>{/each}</select
			></label
		>
		<DayField label="Day" first={dateOf(today)} bind:value={date} isRequired />
		<label
			>What for <select class="select" bind:value={purpose}
				><option value="grab">samples</option><option value="storm">after a storm</option></select
			></label
		>
		<div class="said" aria-live="polite">
			{#if Number.isFinite(day)}
				<p>
					{crew.length ? `${crew.map(nameOf).join(' and ')} could go.` : 'Nobody is free; choose a crew on its day.'}
				</p>
				{#each breaches as breach, i (i)}<p class="say spoils">{sayBreach(breach, nameOf)}</p>{/each}
				{#if breaches.length}
					<label>Why it goes all the same <input class="input" bind:value={despite} maxlength="300" /></label>
				{/if}
			{/if}
		</div>
		<button class="btn preset-filled-primary-500" disabled={!mayAdd || isSending}>Add it</button>
	</form>
</Fold>

<style>
	form {
		display: flex;
		flex-wrap: wrap;
		gap: 0.5rem 0.875rem;
		align-items: end;
		margin: 0.375rem 0 0.75rem;
	}
	.said {
		width: 100%;
		display: grid;
		gap: 0.375rem;
	}
	.said label {
		display: grid;
	}
</style>
