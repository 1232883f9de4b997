<script module lang="ts">
	import type { SiteTrend, TrendPoint } from '$lib/core/interpret';

	export interface Props {
		/** The results to look at, or where they come from when the page does not hold them all. */
		points: () => Promise<readonly TrendPoint[]>;
		/** Starts the work and tells how far it is. */
		workOut: (
			points: readonly TrendPoint[],
			progress: (share: number) => void
		) => { trend: Promise<SiteTrend | null>; cancel: () => void };
		unitSymbol: string;
	}
</script>

<script lang="ts">
	import { sayTrend } from '$lib/core/interpret';

	let { points, workOut, unitSymbol }: Props = $props();

	let share = $state(0);
	let said = $state<{ says: string; because: string } | null>(null);
	let stopped = $state(false);
	let wentWrong = $state(false);
	let cancel = $state<() => void>(() => undefined);
	/** Counted up by hand to have the work done again. */
	let asked = $state(0);

	// runs a worker; what it was asked before is ended when something else is asked
	$effect(() => {
		void asked;
		let isCurrent = true;
		let end: () => void = () => undefined;
		share = 0;
		said = null;
		stopped = false;
		wentWrong = false;
		cancel = () => {
			isCurrent = false;
			end();
			stopped = true;
		};
		points()
			.then((all) => {
				if (!isCurrent) return null;
				const work = workOut(all, (done) => isCurrent && (share = done));
				end = work.cancel;
				return work.trend.then((trend) => isCurrent && (said = sayTrend(trend, unitSymbol)));
			})
			.catch(() => isCurrent && (wentWrong = true));
		return () => {
			isCurrent = false;
			end();
		};
	});
</script>

<section class="trend" aria-label="Trend">
	{#if said}
		<p><b>{said.says}</b> <small>{said.because}</small></p>
	{:else if stopped || wentWrong}
		<p>
			{stopped ? 'Stopped.' : 'The trend could not be worked out; the network may be gone.'}
			<button class="btn preset-outlined-surface-500" onclick={() => asked++}>Work it out</button>
		</p>
	{:else}
		<p role="status">
			Working out the trend … {share > 0 ? `${Math.round(100 * share)} %` : ''}
			<button class="btn preset-outlined-surface-500" onclick={() => cancel()}>Stop</button>
		</p>
	{/if}
	<noscript><p>The trend needs scripts.</p></noscript>
</section>

<style>
	.trend {
		margin: 0.625rem 0 0;
		max-width: 47.5rem;
	}
</style>
