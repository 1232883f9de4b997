<script lang="ts">
	import { tick, untrack } from 'svelte';
	import { enhance } from '$app/forms';
	import type { ReportPlan, RowCorrection } from '$lib/core/lab-report';
	import { parameterOf } from '$lib/core/quantity';
	import { counted, listed, sayDay } from '$lib/core/wording';
	import ReportLines from '$lib/ui/lab-report/ReportLines.svelte';
	import ReportQuestions from '$lib/ui/lab-report/ReportQuestions.svelte';
	import type { PageProps } from './$types';

	let { data, form }: PageProps = $props();

	const { report } = $derived(data);
	let mapping = $state(untrack(() => structuredClone(data.mapping)));
	let corrections = $state<Record<string, RowCorrection>>({});
	let isReading = $state(false);
	let looker = $state<HTMLFormElement>();

	const looked = $derived((form && 'looked' in form ? form.looked : null) ?? data.looked);
	const plan = $derived(looked && 'lines' in looked ? looked : null);
	const why = $derived((form && 'why' in form ? form.why : null) ?? (looked && 'why' in looked ? looked.why : null));
	const figures = $derived(plan?.lines.filter((l) => l.write !== null).length ?? 0);
	const refused = $derived(plan?.lines.filter((l) => l.verdict === 'refused').length ?? 0);
	const doubted = $derived(plan?.lines.filter((l) => l.write !== null && l.doubts.length).length ?? 0);

	/** What was asked once stays on the page with its answer, so that it can be answered otherwise. */
	type Asked = Pick<ReportPlan, 'unknown' | 'strange' | 'missingFields' | 'isDecimalAsked'>;
	let asked = $state<Asked>({ unknown: [], strange: [], missingFields: [], isDecimalAsked: false });
	$effect(() => {
		if (!plan) return;
		const { unknown, strange, missingFields, isDecimalAsked } = plan;
		const before = untrack(() => $state.snapshot(asked));
		const isNew = (word: Asked['strange'][number]) =>
			!before.strange.some((w) => JSON.stringify(w) === JSON.stringify(word));
		asked = {
			unknown: [...before.unknown, ...unknown.filter((u) => !before.unknown.some((b) => b.heading === u.heading))],
			strange: [...before.strange, ...strange.filter(isNew)],
			missingFields,
			isDecimalAsked: before.isDecimalAsked || isDecimalAsked
		};
	});

	/**
	 * Each answer is looked at at once; what is sent is what the page holds after it. One that is given while the last
	 * is still being looked at waits for it: answers must not overtake each other.
	 */
	let isAskedAgain = false;
	async function lookAgain() {
		await tick();
		if (isReading) isAskedAgain = true;
		else looker?.requestSubmit(looker.querySelector<HTMLButtonElement>('[data-look]'));
	}

	function correct(line: number, correction: RowCorrection) {
		corrections[line] = correction;
		void lookAgain();
	}
</script>

<svelte:head><title>{report.name}, lab report · Keen Riffle</title></svelte:head>

<main class="page">
	<p class="small"><a href="/lab-reports">Lab reports</a></p>
	<h1 class="ruled">{report.name}</h1>
	<p>
		From {report.lab}{report.isSimulated ? ', a simulated lab: its figures are invented' : ''}, arrived on {sayDay(
			report.arrived_ms,
			data.program.timeZone
		)}.
		<a href="/lab-reports/{report.id}/as-sent.csv">The file as it was sent</a>
	</p>
	{#if report.taken}
		<p class="say">
			{counted(report.figures ?? 0, 'figure')} written by {report.taken.by} on {sayDay(
				report.taken.at_ms,
				data.program.timeZone
			)}. Each stands with its visit, and waits there for review. {#if data.mayReview}<a href="/review">To review</a
				>{/if}
		</p>
		<h2 class="ruled">As it was sent</h2>
		<pre>{data.content}</pre>
	{:else}
		<form
			bind:this={looker}
			method="POST"
			action="?/look"
			use:enhance={() => {
				isReading = true;
				return async ({ update }) => {
					await update({ reset: false });
					isReading = false;
					if (!isAskedAgain) return;
					isAskedAgain = false;
					void lookAgain();
				};
			}}
		>
			<ReportQuestions {asked} bind:mapping own={data.own} onsaid={() => void lookAgain()} />
			<input type="hidden" name="mapping" value={JSON.stringify(mapping)} />
			<input type="hidden" name="corrections" value={JSON.stringify(corrections)} />
			<div class="deeds">
				{#if plan && figures}
					<button class="btn preset-filled-primary-500" name="confirmed" value={plan.fingerprint} disabled={isReading}
						>Write {counted(figures, 'figure')}{refused ? `, leave out ${refused}` : ''}</button
					>
				{/if}
				<button data-look class="btn preset-outlined-primary-500" disabled={isReading}
					>{isReading ? 'Reading' : 'Look again'}</button
				>
				<p class="small" role="status">
					{#if why}<b class="why">{why}</b>{:else if doubted}{counted(doubted, 'figure')} of them unlikely: look before you
						write.{/if}
				</p>
			</div>
		</form>
		{#if plan}
			{#if plan.missing.length}
				<p class="say ask">
					Filled on the same days, and not in this report:
					{listed(
						plan.missing.map(
							(m) => `${m.label} (${listed(m.parameters.map((p) => parameterOf(p, data.own).name.toLowerCase()))})`
						)
					)}. Ask the lab, or find it among the labels that were misread.
				</p>
			{/if}
			{#if plan.lines.length}
				<ReportLines lines={plan.lines} near={plan.near} own={data.own} {corrections} oncorrect={correct} />
			{/if}
		{/if}
		<form method="POST" action="?/drop" use:enhance class="drop">
			<button class="btn preset-outlined-surface-500">It is the wrong file: take it out</button>
		</form>
	{/if}
</main>

<style>
	.page {
		max-width: 70rem;
	}
	.deeds {
		display: flex;
		flex-wrap: wrap;
		gap: 0.625rem;
		align-items: center;
	}
	.why {
		color: var(--danger);
	}
	pre {
		overflow: auto;
		max-height: 30rem;
		font-size: 0.8125rem;
		background: var(--page);
		padding: 0.75rem;
	}
	.drop {
		margin-top: 1.5rem;
	}
</style>
