<script module lang="ts">
	import type { Sheet } from '$lib/core/logbook';
	import type { MethodCard } from '$lib/core/method';
	import type { Unit } from '$lib/core/quantity';
	import type { Writer } from '../../entry/writer';

	export interface Props {
		base: string;
		floats: NonNullable<NonNullable<Sheet['gaugings']>[string]['floats']> | undefined;
		limits: Pick<MethodCard, 'limits'>;
		writer: Writer;
		newId: () => string;
		lengths: readonly Unit[];
	}
</script>

<script lang="ts">
	import { floatCoefficient } from '$lib/core/discharge';
	import { limitsOf } from '$lib/core/method';
	import { inPlaceUnit, writeFixed } from '$lib/core/quantity';
	import { mean } from '$lib/core/statistics';
	import { capitalised } from '$lib/core/wording';
	import Chips from '../../entry/Chips.svelte';
	import MeasureField from '../../entry/MeasureField.svelte';
	import { depthsAcross, sectionAtMark } from '$lib/core/subjects/gauging/float-area';
	import TimedRuns from './TimedRuns.svelte';

	const marks = ['upper', 'lower'] as const;

	let { base, floats, limits, writer, newId, lengths }: Props = $props();

	const runs = $derived(
		Object.entries(floats?.runs ?? {}).flatMap(([id, r]) => (r.time_s === undefined ? [] : [{ id, time_s: r.time_s }]))
	);
	const ofMarks = $derived(
		mean(marks.flatMap((mark) => sectionAtMark(floats?.areas?.[mark] ?? {})?.meanDepth_m ?? []))
	);
	const depth_m = $derived(floats?.depth_m === undefined ? ofMarks : inPlaceUnit(floats.depth_m, 'm'));
	const byDepth = $derived(depth_m === null || depth_m <= 0 ? null : Number(floatCoefficient({ depth_m }).toFixed(2)));
	const coefficient = $derived(floats?.coefficient ?? limitsOf(limits).floatCoefficient ?? byDepth);
	const averaging = $derived(floats?.averaging ?? 'times');
	const offered = $derived(
		[...new Set([limitsOf(limits).floatCoefficient ?? byDepth ?? 0.7, 0.66, 0.7, 0.8, 0.85, 1])].sort()
	);
</script>

<p class="small">
	A straight reach, a float that sits low in the water (an orange), let go well above the first mark. Five runs, spread
	over the width.
</p>
<MeasureField {writer} path="{base}/floats/length_m" label="From mark to mark" placed="m" read={lengths} />
<TimedRuns base="{base}/floats/runs" word="run" {runs} {writer} {newId} />
<h2>The section at both marks</h2>
<p class="small">
	The width of the water, and its depth at three places across. Or the area itself, where it is known.
</p>
{#each marks as mark (mark)}
	{@const section = sectionAtMark(floats?.areas?.[mark] ?? {})}
	<fieldset>
		<legend
			>{capitalised(mark)} mark{#if section}<b>{writeFixed(section.area_m2, 2)} m²</b>{/if}</legend
		>
		<div class="pair">
			<MeasureField
				{writer}
				path="{base}/floats/areas/{mark}/width_m"
				label="width of the water"
				placed="m"
				read={lengths}
			/>
			{#each depthsAcross as { id, word } (id)}
				<MeasureField
					{writer}
					path="{base}/floats/areas/{mark}/depths/{id}/depth_m"
					label="depth {word}"
					placed="m"
					read={lengths}
				/>
			{/each}
		</div>
		<details open={floats?.areas?.[mark]?.area_m2 !== undefined}>
			<summary>I know the area</summary>
			<MeasureField {writer} path="{base}/floats/areas/{mark}/area_m2" label="area" placed="m2" />
		</details>
	</fieldset>
{/each}
<MeasureField {writer} path="{base}/floats/depth_m" label="Mean depth of the reach" placed="m" read={lengths} />
<Chips
	legend="The surface runs faster than the whole: times"
	help={byDepth === null
		? 'By the depth of the reach: about 0.66 where it is a foot deep, more where it is deeper.'
		: `At this depth about ${byDepth}, give or take 0.1; a rough bed takes more off.`}
	chips={offered.map((c) => ({
		id: String(c),
		word: c === 1 ? 'nothing taken off' : String(c),
		isOn: c === coefficient
	}))}
	ontap={(c) => writer.set(`${base}/floats/coefficient`, Number(c))}
/>
<Chips
	legend="Averaged"
	chips={[
		{ id: 'times', word: 'as times', isOn: averaging === 'times' },
		{ id: 'velocities', word: 'as speeds', isOn: averaging === 'velocities' }
	]}
	ontap={(a) => writer.set(`${base}/floats/averaging`, a)}
/>

<style>
	h2 {
		margin-top: 0.875rem;
	}
	.pair {
		display: grid;
		grid-template-columns: 1fr 1fr;
		gap: 0.5rem;
		margin-bottom: 0.625rem;
	}
	fieldset {
		margin-top: 0.625rem;
	}
	legend b {
		margin-left: 0.625rem;
	}
	summary {
		cursor: pointer;
		min-height: 2.75rem;
		display: flex;
		align-items: center;
		color: var(--water);
	}
</style>
