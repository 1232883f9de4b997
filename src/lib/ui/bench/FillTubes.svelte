<script module lang="ts">
	import type { Writer } from '../entry/writer';

	export interface Props {
		bottle: string;
		label: string;
		/** Sets of this visit so far: names go on from there. */
		taken: readonly string[];
		writer: Writer;
	}
</script>

<script lang="ts">
	import { readPlain, readWhole } from '$lib/core/quantity';
	import { MOST_TUBES } from '$lib/core/subjects/growth-tubes/branch';
	import { stamp } from '../entry/writer';

	let { bottle, label, taken, writer }: Props = $props();

	const id = $props.id();
	/** Five of each, in tenfold steps: to be changed to what stands in the rack. */
	let rows = $state([
		{ volume: '10', tubes: '5' },
		{ volume: '1', tubes: '5' },
		{ volume: '0.1', tubes: '5' }
	]);
	const name = $derived(`${label}-T${taken.filter((n) => n.startsWith(`${label}-T`)).length + 1}`);
	const read = $derived(rows.map(({ volume, tubes }) => ({ volume_mL: readPlain(volume), tubes: readWhole(tubes) })));
	const why = $derived.by(() => {
		if (read.some((r) => r.volume_mL === null || r.volume_mL <= 0 || r.volume_mL > 1000))
			return 'A volume in mL above 0, like 10 or 0.1.';
		if (read.some((r) => r.tubes === null || r.tubes < 1 || r.tubes > MOST_TUBES))
			return `From 1 to ${MOST_TUBES} tubes of each volume.`;
		return null;
	});

	function fill(event: SubmitEvent) {
		event.preventDefault();
		if (why !== null) return;
		const now = stamp(writer);
		const set = `growthTubes/${name}`;
		void writer.setAll({
			[`${set}/bottle`]: bottle,
			...Object.fromEntries(
				read.flatMap(({ volume_mL, tubes }, i) => [
					[`${set}/rows/r${i + 1}/volume_mL`, volume_mL],
					[`${set}/rows/r${i + 1}/tubes`, tubes]
				])
			),
			[`${set}/filledAt`]: now,
			[`bottles/${bottle}/platedAt`]: now
		});
	}
</script>

<form onsubmit={fill} aria-label="Fill tubes from {label}">
	<p><b>{name}</b>: how much water in each, and how many of them. Wells of a tray are tubes too.</p>
	{#each rows as row, i (i)}
		<div class="row">
			<label for="{id}-v{i}">mL in each</label>
			<input id="{id}-v{i}" class="input" inputmode="decimal" autocomplete="off" bind:value={row.volume} />
			<label for="{id}-n{i}">tubes</label>
			<input id="{id}-n{i}" class="input" inputmode="numeric" autocomplete="off" bind:value={row.tubes} />
		</div>
	{/each}
	<p class="row">
		<button type="button" class="btn preset-outlined-surface-500" onclick={() => rows.push({ volume: '', tubes: '5' })}
			>One volume more</button
		>
		<button
			type="button"
			class="btn preset-outlined-surface-500"
			disabled={rows.length === 1}
			onclick={() => rows.pop()}>One volume less</button
		>
	</p>
	{#if why}<p class="why" role="alert">{why}</p>{/if}
	<button class="btn preset-filled-primary-500" disabled={why !== null}>Filled now</button>
</form>

<style>
	form {
		display: grid;
		gap: 0.5rem;
		padding: 0.625rem 0.75rem;
		border: 1.5px solid var(--ink-3);
		background: var(--page);
	}
	.row {
		display: flex;
		flex-wrap: wrap;
		align-items: center;
		gap: 0.5rem;
	}
	.input {
		width: 5rem;
	}
	:is(.btn, .input) {
		min-height: 3rem;
	}
	.why {
		color: var(--danger);
		font-weight: 600;
	}
</style>
