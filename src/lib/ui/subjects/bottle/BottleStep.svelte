<script module lang="ts">
	import type { Technique } from '$lib/core/subjects/bottle/branch';

	/** How a bottle is filled from where somebody stands. */
	const usualTechnique: Partial<Record<string, Technique>> = {
		pole: 'pole',
		bridge: 'bridge-bucket',
		syringe: 'syringe',
		bank: 'bank'
	};
</script>

<script lang="ts">
	import { sectionUnits } from '$lib/core/subjects/gauging/units';
	import type { StepOf } from '$lib/core/subjects/steps';
	import { isoDay } from '$lib/core/wording';
	import type { StepScreen } from '../step-screen';
	import BottleTool from './BottleTool.svelte';

	let { step, screen }: { step: StepOf<'bottle'>; screen: StepScreen } = $props();

	const planned = $derived(
		(screen.satchel.rounds.find((r) => r.id === screen.opening?.roundId)?.quality ?? [])
			.filter((q) => q.siteId === screen.site?.id)
			.map((q) => q.kind)
	);
</script>

<BottleTool
	{step}
	bottles={screen.sheet.bottles}
	{planned}
	siteCode={screen.site?.code ?? ''}
	date={isoDay(Date.parse(screen.opening?.startedAt ?? ''), screen.satchel.program.timeZone)}
	holding_h={screen.card.holding.bacteria_h}
	withoutIce_h={screen.card.holding.withoutIce_h}
	clocks={screen.outcome.clocks}
	usualTechnique={usualTechnique[screen.sheet.arrival?.access ?? ''] ?? null}
	gaugings={screen.sheet.gaugings}
	units={sectionUnits(screen.card)}
	isOnPaper={screen.isOnPaper}
	writer={screen.writer}
/>
