<script module lang="ts">
	import type { Kind } from '$lib/core/macroinvertebrates';
	import type { StepScreen } from '../step-screen';

	export interface Props {
		screen: StepScreen;
		kinds: readonly Kind[];
		/** The animals were counted: else a scheme that weighs them says nothing. */
		knowsShares: boolean;
	}
</script>

<script lang="ts">
	import type { SchemeScore } from '$lib/core/score-schemes';
	import SchemeScores from '../../animals/SchemeScores.svelte';

	let { screen, kinds, knowsShares }: Props = $props();

	/** Hands count faster than scores are drawn: they are drawn when a hand rests. */
	const REST_ms = 400;
	let scores = $state.raw<SchemeScore[]>([]);
	let isBehind = $state(true);
	let hasFailed = $state(false);

	const names = $derived(screen.satchel.checkedNames);
	const checked = $derived({ all: names.length, byCounters: names.filter((c) => !c.isByOther).length });
	$effect(() => {
		const sampling = { kinds: [...kinds], knowsShares };
		const work = new AbortController();
		isBehind = true;
		const rest = setTimeout(() => {
			void screen.scoreBySchemes(sampling, work.signal).then(
				(found) => {
					if (work.signal.aborted) return;
					[scores, isBehind, hasFailed] = [found, false, false];
				},
				() => ([isBehind, hasFailed] = [false, true])
			);
		}, REST_ms);
		return () => {
			clearTimeout(rest);
			work.abort();
		};
	});
</script>

<div aria-busy={isBehind}>
	{#if hasFailed}<p role="alert">
			The scores could not be worked out here. The office has them once this is sent.
		</p>{/if}
	{#if scores.length}
		<SchemeScores {scores} {checked} counters="you" hasLinks={false} />
	{/if}
</div>
