<script module lang="ts">
	import type { Kind } from '$lib/core/macroinvertebrates';
	import type { StepOf } from '$lib/core/subjects/steps';
	import type { StepScreen } from '../step-screen';

	export interface Props {
		step: StepOf<'tray'>;
		screen: StepScreen;
		kinds: readonly Kind[];
	}
</script>

<script lang="ts">
	import { classChances, communityOf, sensitivityGroups } from '$lib/core/macroinvertebrates';
	import { sharesKnown } from '$lib/core/subjects/tray/compartments';
	import { counted } from '$lib/core/wording';
	import MeansNow from '../../frame/MeansNow.svelte';
	import { foundAt } from '../step-screen';

	let { step, screen, kinds }: Props = $props();

	const PARAMETERS = [
		'taxa-richness',
		'ept-richness',
		'rarefied-richness',
		'biotic-index',
		'score-per-taxon',
		'animals-in-sample'
	] as const;
	const results = $derived(PARAMETERS.flatMap((p) => foundAt(screen, `tallies/${step.id}`, p)));
	const said = $derived(communityOf(kinds, step.commonCount));
	const groups = $derived(
		sensitivityGroups.map((group) => ({ group, kinds: kinds.filter((k) => k.taxon?.group === group).length }))
	);
	/** Under this a chance is not worth a word. */
	const WORTH_SAYING = 0.005;
	let isScored = $state(false);
	const hasShares = $derived(sharesKnown(step, screen.card.steps, screen.sheet));
	const chances = $derived(
		hasShares && said.index?.uncertainty != null
			? classChances({ value: said.index.value, uncertainty: said.index.uncertainty }).filter(
					(c) => c.chance >= WORTH_SAYING
				)
			: []
	);
</script>

{#if kinds.length}
	<MeansNow {screen} parameters={[...PARAMETERS]} {results} />
	<p>
		{groups.map(({ group, kinds: n }) => `${n} ${group}`).join(', ')}{said.unnamed
			? `, ${said.unnamed} animals without a name`
			: ''}.
	</p>
	{#if chances.length}
		<p>
			By the example classes: {chances.map((c) => `${c.name} ${(100 * c.chance).toFixed(0)} %`).join(', ')}.
			<small>Chances from counting so few; what a wrong name adds is not in them.</small>
		</p>
	{/if}
	{#if screen.satchel.schemes.length}
		<details bind:open={isScored}>
			<summary>By {counted(screen.satchel.schemes.length, 'score scheme')}</summary>
			{#if isScored}
				{#await import('./TraySchemes.svelte') then { default: TraySchemes }}
					<TraySchemes {screen} {kinds} knowsShares={hasShares} />
				{/await}
			{/if}
		</details>
	{/if}
{/if}

<style>
	summary {
		min-height: 2.75rem;
		padding: 0.625rem 0;
		cursor: pointer;
	}
</style>
