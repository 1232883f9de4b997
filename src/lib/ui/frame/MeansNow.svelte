<script module lang="ts">
	import type { Determination } from '$lib/core/subjects/determination';
	import type { ParameterCode } from '$lib/core/quantity';
	import type { StepScreen } from '../subjects/step-screen';

	export interface Props {
		screen: Pick<StepScreen, 'outcome' | 'satchel' | 'card' | 'now_ms'>;
		parameters: ParameterCode[];
		/** What was found at this step, and what follows from it; what is reported where left out. */
		results?: readonly Determination[];
	}
</script>

<script lang="ts">
	import { saidOn, sayWorking, thresholdsAt } from '$lib/core/interpret';
	import { saySure, wayWords, capitalised } from '$lib/core/wording';
	import { shownUnit } from '$lib/core/method';
	import { parameterOf, units } from '$lib/core/quantity';

	let { screen, parameters, results = screen.outcome.results }: Props = $props();

	const { card } = $derived(screen);
	/** Where what is reported is another figure, it is said. */
	const reported = $derived(screen.outcome.results);

	const shown = $derived(parameters.flatMap((p) => results.filter((r) => r.parameter === p)));
	const say = (r: Determination) => {
		const unit = shownUnit(card, r.parameter);
		const { figure, uncertainty, limits } = saySure(
			r.figure,
			r.uncertainty,
			parameterOf(r.parameter, card.own).decimals,
			unit,
			r.limits,
			r.way
		);
		const { symbol } = units[unit];
		if (limits !== null) return `${figure} (${limits})`;
		return uncertainty === null ? figure : `${figure.replace(` ${symbol}`, '')} ± ${uncertainty} ${symbol}`;
	};
	const { thresholds, program } = $derived(screen.satchel);
	const said = (r: Determination) => saidOn(r, thresholdsAt(thresholds, r.parameter, screen.now_ms, program.timeZone));
</script>

{#if shown.length}
	<div class="say" role="status">
		{#each shown as result (`${result.parameter} ${result.from}`)}
			{@const instead = result.isReported ? undefined : reported.find((r) => r.parameter === result.parameter)}
			<p>
				<b
					>{result.parameter === 'oxygen-saturation'
						? `${say(result)} of what this water can hold`
						: `${parameterOf(result.parameter, card.own).name}: ${say(result)}`}</b
				>{#each said(result) as { threshold, words } (threshold.use)}, {words}{/each}<br />
				{#each said(result).filter((s) => s.nextStep !== '') as { threshold, nextStep } (threshold.use)}<span
						>{nextStep}</span
					><br />{/each}
				{#if result.isSimulated}<b>Simulated: it says nothing of a stream.</b><br />{/if}
				{#if instead}<span>Kept beside what is reported, {say(instead)} by {wayWords[instead.way]}.</span><br />{/if}
				<span class="small">{capitalised(result.basis)}.</span>
				{#if result.working && result.source === 'derived'}<br /><span class="small">{sayWorking(result.working)}</span
					>{/if}
			</p>
		{/each}
	</div>
{/if}

<style>
	.say {
		margin: 0.75rem 0;
		background: var(--water-4);
		font-size: 1rem;
	}
	p + p {
		margin-top: 0.375rem;
	}
</style>
