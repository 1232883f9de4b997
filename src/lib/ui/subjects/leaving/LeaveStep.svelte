<script lang="ts">
	import { limitsOf } from '$lib/core/method';
	import { dryingDays, isSouthern } from '$lib/core/schedule';
	import type { StepOf } from '$lib/core/subjects/steps';
	import { stamp } from '../../entry/writer';
	import Differences from '../../logbook/Differences.svelte';
	import CustodyPanel from '../bottle/CustodyPanel.svelte';
	import type { StepScreen } from '../step-screen';
	import LeaveTool from './LeaveTool.svelte';

	let { screen }: { step: StepOf<'leave'>; screen: StepScreen } = $props();

	const hasBottles = $derived(Object.keys(screen.sheet.bottles ?? {}).length > 0);

	/** From paper the time of leaving is typed like all else; what is noted now is that the copy is whole. */
	function noted(): Record<string, string> {
		const now = stamp(screen.writer);
		if (screen.isOnPaper) return { [`copies/${screen.me}/doneAt`]: now };
		return screen.sheet.leaving?.at === undefined ? { 'leaving/at': now } : {};
	}
	const leave = () => screen.writer.setAll({ 'leaving/checked': true, ...noted() });
</script>

<LeaveTool
	missing={screen.outcome.missing}
	flags={screen.outcome.flags}
	card={screen.card}
	sheet={screen.sheet}
	drying_days={dryingDays(screen.now_ms, limitsOf(screen.card), isSouthern(screen.site ?? {}))}
	rest={screen.rest}
	{hasBottles}
	writer={screen.writer}
	hrefOf={(id) => screen.hrefOf(id)}
	isOnPaper={screen.isOnPaper}
	isCopyDone={screen.sheet.copies?.[screen.me]?.doneAt !== undefined}
	onleave={leave}
/>
<Differences
	conflicts={screen.conflicts}
	own={screen.card.own}
	writer={screen.writer}
	me={screen.satchel.member.id}
	onstrike={(path, id) => screen.writer.strike(path, 'a slip of mine', id)}
/>
{#if hasBottles}
	<CustodyPanel
		custody={screen.sheet.custody}
		people={screen.satchel.people}
		me={screen.satchel.member.name}
		writer={screen.writer}
		newId={() => screen.newId()}
	/>
{/if}
