<script module lang="ts">
	import type { SamplerNeed, SamplerTrip } from '$lib/core/schedule';

	export interface Props {
		needs: SamplerNeed[];
		/** A trip that could go for a need that no round meets. */
		tripFor: (need: SamplerNeed) => SamplerTrip | null;
		today: number;
		mayPlan: boolean;
		siteName: (id: string) => string;
		roundName: (id: string) => string;
		nameOf: (personId: string) => string;
		ontrip: (trip: SamplerTrip, siteId: string) => void;
	}
</script>

<script lang="ts">
	import { saySamplerNeed, sayPlanDay } from '$lib/core/interpret';

	let { needs, tripFor, today, mayPlan, siteName, roundName, nameOf, ontrip }: Props = $props();

	const open = $derived(needs.filter((n) => n.metBy === null));
	const met = $derived(needs.filter((n) => n.metBy !== null));
</script>

<section aria-labelledby="samplers">
	<h2 id="samplers" class="ruled">In the stream</h2>
	{#each open as need (`${need.task.samplerId} ${need.task.what} ${need.task.earliest} ${need.task.why}`)}
		{@const trip = tripFor(need)}
		<div class="need">
			<p>
				{saySamplerNeed(need, siteName(need.task.siteId), today, need.nearest ? roundName(need.nearest.roundId) : '')}
			</p>
			{#if trip && mayPlan}
				<button class="btn preset-outlined-primary-500" type="button" onclick={() => ontrip(trip, need.task.siteId)}
					>Send {trip.crew.map(nameOf).join(' and ')} on {sayPlanDay(trip.day)}</button
				>
			{:else if !trip}<p class="small">Nobody who could go is free in that time.</p>{/if}
		</div>
	{/each}
	{#if met.length}
		<p class="small">
			{#each met as need, i (i)}{i ? ' ' : ''}{saySamplerNeed(
					need,
					siteName(need.task.siteId),
					today,
					roundName(need.metBy ?? '')
				)}{/each}
		</p>
	{/if}
	{#if needs.length === 0}<p>
			No plate stack or leaf bag stands in the stream. <a href="/library/samplers"
				>Those put out are kept in the library</a
			>.
		</p>{/if}
</section>

<style>
	.need {
		padding: 0.375rem 0 0.5rem;
		border-bottom: 1px solid var(--rule);
		display: grid;
		gap: 0.375rem;
		justify-items: start;
	}
	section > .small {
		margin-top: 0.5rem;
	}
</style>
