<script lang="ts">
	import { writeFixed } from '$lib/core/quantity';
	import { pickAdvice } from '$lib/core/macroinvertebrates';
	import { limitsOf } from '$lib/core/method';
	import type { StepOf } from '$lib/core/subjects/steps';
	import { minutesOfPick, openPause, pickedIn } from '$lib/core/subjects/tray/compartments';
	import { stamp } from '../../entry/writer';
	import { knownAnimals } from '../../animals/known-animals';
	import type { StepScreen } from '../step-screen';
	import PickCurve from './PickCurve.svelte';

	/** `isBrief`: while a kind is looked up, the room is for that. */
	let { step, screen, isBrief }: { step: StepOf<'tray'>; screen: StepScreen; isBrief: boolean } = $props();
	const known = knownAnimals();

	const { writer } = $derived(screen);
	const at = (place: string) => `trays/${step.id}/${place}`;
	const tray = $derived(screen.sheet.trays?.[step.id]);
	const limits = $derived(limitsOf(screen.card));
	const now_min = $derived(minutesOfPick(screen.sheet, step.id, screen.now_ms));
	const pause = $derived(openPause(screen.sheet, step.id));
	const picked = $derived(pickedIn(screen.sheet, screen.lines, step.id, known.list));
	const advice = $derived(pickAdvice({ picked, now_min, ...limits }));
	const left_min = $derived(Math.max(0, Math.ceil(advice.until_min - now_min)));
	const says = $derived.by(() => {
		if (advice.isOver) return 'You may stop: nothing new came for long enough, or the time is full.';
		const isLonger = advice.until_min > limits.pickLeast_min;
		return isLonger
			? `A new kind came at minute ${Math.floor(advice.lastNew_min ?? 0)}: on until minute ${advice.until_min}.`
			: `At least ${limits.pickLeast_min} minutes. Look for what is different, not for more of the same.`;
	});
	const stands = $derived.by(() => {
		if (pause) return 'break';
		return advice.isOver ? 'time is up' : `${left_min} min to go`;
	});
	const brings = $derived(
		advice.expectedNewTaxa === null || now_min < 5
			? null
			: `${limits.pickMore_min} minutes more would bring about ${writeFixed(advice.expectedNewTaxa, 1)} new kinds.`
	);
	const begin = () => void writer.set(at('begunAt'), stamp(writer));
	const rest = () =>
		pause === null
			? void writer.set(at(`pauses/${screen.newId()}/from`), stamp(writer))
			: void writer.set(at(`pauses/${pause}/to`), stamp(writer));
	const end = () => void writer.set(at('endedAt'), stamp(writer));
</script>

{#if tray?.begunAt === undefined}
	<button type="button" class="begin btn preset-filled-primary-500" onclick={begin}>Begin the pick</button>
{:else}
	<div class="clock">
		<p>
			<b role="timer">{Math.floor(now_min)} min</b>
			{#if tray.endedAt === undefined}<span>{stands}</span>{:else}<span>picked</span>{/if}
		</p>
		{#if tray.endedAt === undefined && !isBrief}
			<p>{says} {brings ?? ''}</p>
			<p class="acts">
				<button type="button" class="btn preset-outlined-surface-500" onclick={rest}
					>{pause ? 'On again' : 'Break'}</button
				>
				<button
					type="button"
					class={['btn', advice.isOver ? 'preset-filled-primary-500' : 'preset-outlined-surface-500']}
					onclick={end}>{advice.isOver ? 'Stop the pick' : 'Stop before time'}</button
				>
			</p>
		{/if}
		{#if !isBrief}<PickCurve {picked} {now_min} until_min={advice.until_min} />{/if}
	</div>
{/if}

<style>
	.begin {
		width: 100%;
		min-height: 3.5rem;
		margin-bottom: 0.5rem;
	}
	.clock p {
		margin: 0.25rem 0;
	}
	.clock b {
		font: 600 1.75rem var(--head);
		margin-right: 0.5rem;
	}
	.acts {
		display: flex;
		gap: 0.5rem;
	}
	.acts button {
		min-height: 3rem;
		flex: 1;
	}
</style>
