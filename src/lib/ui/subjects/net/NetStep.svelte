<script lang="ts">
	import { writeFixed, writeNumber } from '$lib/core/quantity';
	import type { StepOf } from '$lib/core/subjects/steps';
	import { areaOf_m2, workedAt } from '$lib/core/subjects/net/step';
	import { instantOf } from '$lib/core/logbook';
	import { counted } from '$lib/core/wording';
	import { stamp } from '../../entry/writer';
	import { keypadDock } from '../../entry/keypad-dock.svelte';
	import StepDoubts from '../../frame/StepDoubts.svelte';
	import type { StepScreen } from '../step-screen';

	let { step, screen }: { step: StepOf<'net'>; screen: StepScreen } = $props();

	const { writer } = $derived(screen);
	const at = (place: string) => `nets/${step.id}/${place}`;
	const net = $derived(screen.sheet.nets?.[step.id]);
	const worked = $derived(workedAt(step, screen.sheet));
	const asked = $derived(step.school === 'kick' ? step.places : step.metres);
	const isKick = $derived(step.school === 'kick');
	/** Since when this place is kicked: since the one before was done. */
	const since_ms = $derived.by(() => {
		const last = screen.lines.get(at('places'))?.history.findLast((e) => e.op === 'add');
		const begun = net?.begunAt === undefined ? null : Date.parse(net.begunAt);
		return last ? Math.max(instantOf(last.at), begun ?? 0) : begun;
	});
	const left_s = $derived(
		since_ms === null ? step.each_s : Math.max(0, Math.ceil(step.each_s - (screen.now_ms - since_ms) / 1000))
	);
	const metresOf = (id: string) => Math.max(0, net?.metres?.[id] ?? 0);
	const take = (path: string, by: number) => void writer.add(at(path), by);
	const isBegun = $derived(net?.begunAt !== undefined);

	const dock = keypadDock();
	$effect(() => {
		dock.act = act();
		return () => (dock.act = null);
	});
	function act() {
		if (net?.endedAt !== undefined) return null;
		if (!isBegun) return { word: 'Begin', onact: () => void writer.set(at('begunAt'), stamp(writer)), isMain: true };
		if (isKick && worked < asked)
			return { word: `Place ${worked + 1} is done`, onact: () => take('places', 1), isMain: left_s === 0 };
		return {
			word: 'The sample is in the tub',
			onact: () => void writer.set(at('endedAt'), stamp(writer)),
			isMain: worked >= asked
		};
	}
</script>

<p class="sum" role="status">
	<b>{worked}</b> of {asked}
	{isKick ? 'places' : 'metres'}{#if isKick && worked}, {writeFixed(areaOf_m2(step, screen.sheet), 2)}
		m² of bed{/if}
</p>
{#if isKick}
	<ol aria-label="Places">
		{#each { length: step.places }, i (i)}<li class:done={i < worked} class:now={i === worked && isBegun}>
				{i + 1}
			</li>{/each}
	</ol>
	{#if isBegun && net?.endedAt === undefined && worked < asked}
		<p>
			<b class="clock" role="timer">{left_s === 0 ? 'long enough' : `${left_s} s`}</b>
			{writeNumber(step.inFront_m)} m in front of the net, one net wide. Rub stones and wood by hand, then the next place
			upstream.
		</p>
		<p class="acts">
			{#if worked}<button type="button" class="btn preset-outlined-surface-500" onclick={() => take('places', -1)}
					>Take place {worked} back</button
				>{/if}
			<button
				type="button"
				class="btn preset-outlined-surface-500"
				onclick={() => void writer.set(at('endedAt'), stamp(writer))}>End with {counted(worked, 'place')}</button
			>
		</p>
	{/if}
{:else}
	<p>{step.strokes} strokes a metre. {Math.max(0, asked - worked)} m left: share them over what is here.</p>
	<ul>
		{#each step.among as { id, label } (id)}
			<li>
				<span>{label}</span>
				<button
					type="button"
					class="btn preset-outlined-surface-500"
					disabled={metresOf(id) === 0}
					aria-label="One metre less, {label}"
					onclick={() => take(`metres/${id}`, -1)}>−</button
				>
				<b>{metresOf(id)} m</b>
				<button
					type="button"
					class="btn preset-outlined-primary-500"
					aria-label="One metre more, {label}"
					onclick={() => take(`metres/${id}`, 1)}>+</button
				>
				<span class="bar" style:width="{(100 * metresOf(id)) / asked}%" aria-hidden="true"></span>
			</li>
		{/each}
	</ul>
{/if}
{#if net?.endedAt !== undefined}
	<p class="say ask">
		In the tub, with its label inside, in pencil. Net turned inside out and rinsed: animals lodge in the seam.
	</p>
{/if}
<StepDoubts {screen} />

<style>
	.sum b {
		font: 600 1.75rem var(--head);
	}
	ol {
		display: flex;
		flex-wrap: wrap;
		gap: 0.375rem;
		padding: 0;
		margin: 0.5rem 0;
		list-style: none;
	}
	ol li {
		display: grid;
		place-items: center;
		width: 2.5rem;
		height: 2.5rem;
		border: 1.5px solid var(--ink-3);
		border-radius: 50%;
	}
	ol .done {
		background: var(--water);
		border-color: var(--water);
		color: var(--page);
	}
	ol .now {
		border-color: var(--ochre);
		border-width: 2.5px;
	}
	.clock {
		font: 600 1.375rem var(--head);
		margin-right: 0.375rem;
	}
	.acts {
		display: flex;
		flex-wrap: wrap;
		gap: 0.5rem;
	}
	.acts button {
		min-height: 3rem;
	}
	ul {
		padding: 0;
		margin: 0.5rem 0;
		list-style: none;
	}
	ul li {
		position: relative;
		display: grid;
		grid-template-columns: 1fr 3rem 3.5rem 3rem;
		gap: 0.5rem;
		align-items: center;
		padding: 0.25rem 0;
		border-bottom: 1px solid var(--rule);
	}
	ul b {
		text-align: center;
	}
	ul button {
		min-height: 3rem;
		font-size: 1.25rem;
	}
	.bar {
		position: absolute;
		left: 0;
		bottom: 0;
		height: 4px;
		background: var(--water);
	}
</style>
