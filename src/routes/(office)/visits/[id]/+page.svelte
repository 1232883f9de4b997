<script lang="ts">
	import { accessWords } from '$lib/core/subjects/arrival/words';
	import { enhance } from '$app/forms';
	import { thresholdsAt } from '$lib/core/interpret';
	import { doubtsAbout, judgedText } from '$lib/core/visit';
	import { flagSentence } from '$lib/core/subjects/flags';
	import { inSentence, sayDay, sayTime } from '$lib/core/wording';
	import { shownUnit } from '$lib/core/method';
	import { convert, significant, units } from '$lib/core/quantity';
	import { weightOf } from '$lib/core/subjects/flags';
	import { inColumn } from '$lib/ui/subjects/gauging/as-read';
	import CrossSection from '$lib/ui/subjects/gauging/CrossSection.svelte';
	import AsSeen from '$lib/ui/review/AsSeen.svelte';
	import Logbook from '$lib/ui/review/Logbook.svelte';
	import ResultLine from '$lib/ui/review/ResultLine.svelte';
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
	const refused = $derived(
		form?.why === undefined ? null : { why: form.why, at: form.at ?? '', reason: form.reason ?? '' }
	);
	const nameOf = (id: string) => data.people[id]?.name ?? 'someone';
	const initialsOf = (id: string) => data.people[id]?.initials ?? '?';
	const titleOf = (stepId: string) => data.card.steps.find((c) => c.id === stepId)?.title ?? stepId;
	const lead = $derived.by(() => {
		const { crew, access, reason } = data.sheet.arrival ?? {};
		const initials = Object.values(crew ?? {}).flatMap((c) => c?.initials ?? []);
		const parts = [initials.join(', '), access ? accessWords[access] : ''].filter(Boolean).join(', ');
		return parts === '' ? '' : `${parts}${reason ? `: ${reason}` : '.'}`;
	});
	const untied = $derived(outcome.steps.filter((s) => s.state === 'open').map((s) => titleOf(s.id)));
</script>

<svelte:head><title>{data.visit.site.name}, {sayDay(data.visit.started_ms, timeZone)} · Keen Riffle</title></svelte:head
>

<main class="page">
	<header class="top">
		<h1><a href="/sites/{data.visit.site.code}">{data.visit.site.name}</a>, {data.visit.site.about}</h1>
		<span>{sayDay(data.visit.started_ms, timeZone, true)}, {sayTime(data.visit.started_ms, timeZone)}</span>
		<span class="small">{data.card.title}, version {data.card.version}</span>
	</header>
	{#if data.isBlind}
		<p class="say">
			<b>This sheet came from paper and is typed in by two people, neither seeing the other’s.</b> What was typed shows here
			once both copies are whole.
		</p>
		<p class="acts">
			<a class="act main" href="/sample/{data.visit.id}" data-sveltekit-reload>Type the other copy</a>
			<a class="act plain" href="?seen" data-sveltekit-reload>I shall not type it: show what is there</a>
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
				{#if data.mayJudge && data.visit.isFinished && data.undoubted > 0}
					<form method="POST" action="?/acceptUndoubted#results" class="all" use:enhance>
						<button class="act main">Accept the {data.undoubted} that nothing is doubtful about</button>
					</form>
				{/if}
				{#each outcome.determinations as result (`${result.parameter} ${result.from}`)}
					<ResultLine
						{result}
						flags={doubtsAbout(result, outcome)}
						thresholds={thresholdsAt(data.thresholds, result.parameter, data.visit.started_ms, timeZone)}
						unit={shownUnit(data.card, result.parameter)}
						{saidIn}
						judged={judgedText(result)}
						mayJudge={data.mayJudge && data.visit.isFinished}
						{nameOf}
						{timeZone}
						refused={refused?.at === `${result.parameter} ${result.from}` ? refused : null}
					/>
				{:else}
					<p>Nothing was measured{data.visit.isFinished ? '' : ' yet'}.</p>
				{/each}
				{#if gauging}
					<h2 class="ruled">The section</h2>
					<CrossSection view={gauging} units={asRead} />
					<div class="scroll">
						<table>
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
								{#if data.maySetAside}<button class="act plain" name="back" value="yes">Take it back</button>{/if}
							</p>
						</form>
					{/each}
				{/if}
				{#if data.maySetAside && data.logbook.length > 1}
					<details>
						<summary>Set a line aside that spoils this visit</summary>
						<p class="small">
							It stays in the logbook, is neither worked with nor sent to phones, and can be taken back.
						</p>
						<form method="POST" action="?/setAside" class="aside" use:enhance>
							<label
								>Line <select name="entryId" class="input-line"
									>{#each data.logbook.filter((l) => l.path !== 'opening') as line (line.id)}<option value={line.id}
											>{line.path}: {line.text.slice(0, 60)}</option
										>{/each}</select
								></label
							>
							<label>Why <input name="reason" class="input-line" maxlength="500" required /></label>
							<button class="act plain">Set it aside</button>
						</form>
					</details>
				{/if}
			</section>
		</div>
	{/if}
</main>

<style>
	.aside {
		display: grid;
		gap: 8px;
		margin-top: 8px;
	}
	.acts {
		display: flex;
		flex-wrap: wrap;
		gap: 10px;
		margin-top: 14px;
	}
	.page {
		padding: 14px 26px 30px;
	}
	.top {
		display: flex;
		flex-wrap: wrap;
		gap: 4px 18px;
		align-items: baseline;
		border-bottom: 2px solid var(--ink);
		padding-bottom: 6px;
	}
	.top .small {
		margin-left: auto;
	}
	.top h1 a {
		color: inherit;
		text-decoration-color: var(--rule);
	}
	.lead {
		margin: 8px 0;
	}
	.say {
		margin: 6px 0;
		max-width: 760px;
	}
	.spread {
		display: grid;
		grid-template-columns: minmax(0, 1.55fr) minmax(0, 1fr);
		gap: 0 34px;
	}
	h2 {
		margin-top: 14px;
	}
	.all {
		margin-top: 10px;
	}
	.scroll {
		overflow-x: auto;
		max-width: 520px;
	}
	@media (max-width: 1000px) {
		.spread {
			grid-template-columns: 1fr;
		}
	}
	@media (max-width: 640px) {
		.page {
			padding-inline: 14px;
		}
	}
</style>
