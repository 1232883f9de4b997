<script lang="ts">
	import { accessWords } from '$lib/core/subjects/arrival/words';
	import { enhance } from '$app/forms';
	import { goto } from '$app/navigation';
	import { thresholdsAt } from '$lib/core/interpret';
	import { doubtsAbout, judgedText } from '$lib/core/visit';
	import { flagSentence } from '$lib/core/subjects/flags';
	import { inSentence, sayDay, sayTime } from '$lib/core/wording';
	import { shownUnit } from '$lib/core/method';
	import { convert, significant, units } from '$lib/core/quantity';
	import { weightOf } from '$lib/core/subjects/flags';
	import { inColumn } from '$lib/ui/subjects/gauging/as-read';
	import CrossSection from '$lib/ui/subjects/gauging/CrossSection.svelte';
	import Fold from '$lib/ui/kit/Fold.svelte';
	import AsSeen from '$lib/ui/review/AsSeen.svelte';
	import Logbook from '$lib/ui/review/Logbook.svelte';
	import ResultRow from '$lib/ui/review/ResultRow.svelte';
	import ResultsTable from '$lib/ui/review/ResultsTable.svelte';
	import type { PageProps } from './$types';

	let { data, form }: PageProps = $props();

	const { timeZone } = $derived(data.program);
	const outcome = $derived(data.outcome);
	const gauging = $derived(outcome.gaugings[0]);
	const asRead = $derived(data.card.asRead);
	const saidIn = $derived({ ...asRead, shown: data.card.shown, own: data.card.own });
	const general = $derived(
		outcome.flags.filter((f) => f.parameter === null || !outcome.results.some((r) => r.parameter === f.parameter))
	);
	/** What was said in the table, where it was refused; else what was wrong with a line of the logbook. */
	const typed = $derived(form && 'typed' in form ? (form.typed ?? null) : null);
	const refused = $derived(
		form && 'at' in form && form.why !== undefined ? { why: form.why, at: form.at ?? '' } : null
	);
	const isJudging = $derived(data.mayJudge && data.visit.isFinished);
	const nameOf = (id: string) => data.people[id]?.name ?? 'someone';
	const initialsOf = (id: string) => data.people[id]?.initials ?? '?';
	const titleOf = (stepId: string) => data.card.steps.find((c) => c.id === stepId)?.title ?? stepId;
	const lead = $derived.by(() => {
		const { crew, access, reason } = data.sheet.arrival ?? {};
		const initials = Object.values(crew ?? {}).flatMap((c) => c?.initials ?? []);
		const parts = [initials.join(', '), access ? accessWords[access] : ''].filter(Boolean).join(', ');
		return parts === '' ? '' : `${parts}${reason ? `: ${reason}` : '.'}`;
	});
	function onkeydown(event: KeyboardEvent) {
		const visit = { n: data.queue?.after, p: data.queue?.before }[event.key];
		if (!visit || event.ctrlKey || event.metaKey || event.altKey) return;
		if (!(event.target as HTMLElement).closest('input:not([type=radio]), textarea, select'))
			void goto(`/visits/${visit.id}`);
	}
	const untied = $derived(outcome.steps.filter((s) => s.state === 'open').map((s) => titleOf(s.id)));
</script>

<svelte:window {onkeydown} />
<svelte:head><title>{data.visit.site.name}, {sayDay(data.visit.started_ms, timeZone)} · Keen Riffle</title></svelte:head
>

<main class="page">
	<header class="top">
		<h1><a href="/sites/{data.visit.site.code}">{data.visit.site.name}</a>, {data.visit.site.about}</h1>
		<span>{sayDay(data.visit.started_ms, timeZone, true)}, {sayTime(data.visit.started_ms, timeZone)}</span>
		<span class="small">{data.card.title}, version {data.card.version}</span>
		{#if data.queue}
			<nav class="small queue" aria-label="Visits that await review">
				{#each [{ visit: data.queue.before, word: 'Before', key: 'p' }, { visit: data.queue.after, word: 'Next', key: 'n' }] as { visit, word, key } (key)}
					<a href="/visits/{visit.id}" aria-keyshortcuts={key}
						>{word} to review: {visit.site}, {sayDay(visit.started_ms, timeZone)}<kbd aria-hidden="true">{key}</kbd></a
					>
				{/each}
			</nav>
		{/if}
	</header>
	{#if data.isBlind}
		<p class="say">
			<b>This sheet came from paper and is typed in by two people, neither seeing the other’s.</b> What was typed shows here
			once both copies are whole.
		</p>
		<p class="acts">
			<a class="btn preset-filled-primary-500" href="/sample/{data.visit.id}" data-sveltekit-reload
				>Type the other copy</a
			>
			<a class="btn preset-outlined-surface-500" href="?seen" data-sveltekit-reload
				>I shall not type it: show what is there</a
			>
		</p>
	{:else}
		<p class="lead">
			{lead}
			{#if !data.visit.isFinished}<b>Still open</b>{#if untied.length}; to do: {untied
						.map(inSentence)
						.join(', ')}{/if}.{/if}
		</p>
		{#each general as flag, i (i)}<p class="say {weightOf(flag)}">{flagSentence(flag, saidIn)}</p>{/each}

		<div class="spread">
			<section aria-labelledby="results">
				<h2 id="results" class="ruled">Results</h2>
				{#if data.isOwn && data.visit.isFinished}<p class="say ask">
						You were on this visit. In this program others judge it.
					</p>{/if}
				{#if outcome.determinations.length}
					<ResultsTable
						mayJudge={isJudging}
						undoubted={data.undoubted}
						why={form?.why !== undefined && !refused?.at ? form.why : ''}
					>
						{#snippet rows()}
							{#each outcome.determinations as result, row (`${result.parameter} ${result.from}`)}
								<ResultRow
									{row}
									{result}
									flags={doubtsAbout(result, outcome)}
									thresholds={thresholdsAt(data.thresholds, result.parameter, data.visit.started_ms, timeZone)}
									unit={shownUnit(data.card, result.parameter)}
									{saidIn}
									judged={judgedText(result)}
									mayJudge={isJudging}
									{nameOf}
									{timeZone}
									typed={typed?.find((t) => t.at === `${result.parameter} ${result.from}`) ?? null}
								/>
							{/each}
						{/snippet}
					</ResultsTable>
				{:else}
					<p>Nothing was measured{data.visit.isFinished ? '' : ' yet'}.</p>
				{/if}
				{#if gauging}
					<h2 class="ruled">The section</h2>
					<CrossSection view={gauging} units={asRead} />
					<div class="scroll">
						<table class="table">
							<thead
								><tr
									><th class="number">tape, {asRead.tape}</th><th class="number">depth, {asRead.tape}</th><th
										class="number">velocity, {units[asRead.velocity].symbol}</th
									><th class="number">share</th></tr
								></thead
							>
							<tbody>
								{#each gauging.verticals as v (v.id)}
									<tr
										><td class="number">{v.distance_m === null ? '' : inColumn(v.distance_m, asRead.tape)}</td><td
											class="number">{v.depth_m === null ? '' : inColumn(v.depth_m, asRead.tape)}</td
										><td class="number">{v.velocity_m_s === null ? '' : inColumn(v.velocity_m_s, asRead.velocity)}</td
										><td class="number">{v.share_percent === null ? '' : `${v.share_percent.toFixed(0)} %`}</td></tr
									>
								{/each}
							</tbody>
						</table>
					</div>
					<p class="small">
						{gauging.arithmetics
							.map(
								(s) =>
									`${s.arithmetic} ${significant(convert(s.discharge_m3_s, 'm3_s', asRead.discharge), 3)} ${units[asRead.discharge].symbol}`
							)
							.join(' · ')}
					</p>
				{/if}
				<AsSeen sheet={data.sheet} roundId={data.sheet.opening?.roundId ?? null} {titleOf} {timeZone} />
			</section>
			<section aria-labelledby="logbook">
				<h2 id="logbook" class="ruled">Logbook</h2>
				<p class="small">{data.logbook.length} lines. Nothing is erased: what was struck stays readable.</p>
				<Logbook lines={data.logbook} own={data.card.own} {initialsOf} {timeZone} mayStrike={data.mayJudge} {refused} />
				{#if data.aside.length}
					<h3>Set aside</h3>
					{#each data.aside as line (line.entryId)}
						<form method="POST" action="?/setAside" use:enhance>
							<input type="hidden" name="entryId" value={line.entryId} />
							<p class="small">
								{line.path}: {line.reason} ({initialsOf(line.by)}, {sayDay(Date.parse(line.at), timeZone, true)})
								{#if data.maySetAside}<button class="btn preset-outlined-surface-500" name="back" value="yes"
										>Take it back</button
									>{/if}
							</p>
						</form>
					{/each}
				{/if}
				{#if data.maySetAside && data.logbook.length > 1}
					<Fold title="Set a line aside that spoils this visit">
						<p class="small">
							It stays in the logbook, is neither worked with nor sent to phones, and can be taken back.
						</p>
						<form method="POST" action="?/setAside" class="aside" use:enhance>
							<label
								>Line <select name="entryId" class="select"
									>{#each data.logbook.filter((l) => l.path !== 'opening') as line (line.id)}<option value={line.id}
											>{line.path}: {line.text.slice(0, 60)}</option
										>{/each}</select
								></label
							>
							<label>Why <input name="reason" class="input" maxlength="500" required /></label>
							<button class="btn preset-outlined-surface-500">Set it aside</button>
						</form>
					</Fold>
				{/if}
			</section>
		</div>
	{/if}
</main>

<style>
	.aside {
		display: grid;
		gap: 0.5rem;
		margin-top: 0.5rem;
	}
	.acts {
		display: flex;
		flex-wrap: wrap;
		gap: 0.625rem;
		margin-top: 0.875rem;
	}
	.page {
		padding: 0.875rem 1.625rem 1.875rem;
	}
	.top {
		display: flex;
		flex-wrap: wrap;
		gap: 0.25rem 1.125rem;
		align-items: baseline;
		border-bottom: 2px solid var(--ink);
		padding-bottom: 0.375rem;
	}
	.top > span.small {
		margin-left: auto;
	}
	.queue {
		display: flex;
		flex-wrap: wrap;
		gap: 0.25rem 1.125rem;
		width: 100%;
	}
	.queue a {
		display: inline-flex;
		align-items: center;
		min-height: 1.75rem;
	}
	kbd {
		margin-left: 0.375rem;
		border: 1px solid var(--ink-3);
		border-radius: 0.25rem;
		padding: 0 0.3125rem;
		font: 600 0.75rem var(--text);
	}
	.top h1 a {
		color: inherit;
		text-decoration-color: var(--rule);
	}
	.lead {
		margin: 0.5rem 0;
	}
	.say {
		margin: 0.375rem 0;
		max-width: 47.5rem;
	}
	.spread {
		display: grid;
		grid-template-columns: minmax(0, 2.2fr) minmax(0, 1fr);
		gap: 0 2.125rem;
	}
	h2 {
		margin-top: 0.875rem;
	}
	.scroll {
		overflow-x: auto;
		max-width: 32.5rem;
	}
	@media (max-width: 1150px) {
		.spread {
			grid-template-columns: 1fr;
		}
	}
	@media (max-width: 640px) {
		kbd {
			display: none;
		}
		.page {
			padding-inline: 0.875rem;
		}
	}
</style>
