<script lang="ts">
	import { goto } from '$app/navigation';
	import { v7 } from 'uuid';
	import { flagSentence } from '$lib/core/interpret';
	import { pathsOf } from '$lib/core/evaluate';
	import { sectionUnits } from '$lib/core/method';
	import { weightOf } from '$lib/core/quality';
	import { draftKey, instrumentsLastUsed, keepDraft } from '$lib/field/store';
	import { VisitLog } from '$lib/field/visit-log.svelte';
	import NearestClock from '$lib/ui/clocks/NearestClock.svelte';
	import FlowTool from '$lib/ui/gauge/FlowTool.svelte';
	import ArriveTool from '$lib/ui/sample/ArriveTool.svelte';
	import BottleTool from '$lib/ui/sample/BottleTool.svelte';
	import LeaveTool from '$lib/ui/sample/LeaveTool.svelte';
	import MeansNow from '$lib/ui/sample/MeansNow.svelte';
	import ReadingTool from '$lib/ui/sample/ReadingTool.svelte';
	import Rope from '$lib/ui/sample/Rope.svelte';
	import StepHead from '$lib/ui/sample/StepHead.svelte';
	import TubeTool from '$lib/ui/sample/TubeTool.svelte';
	import { fieldApp } from '../../../field-context';
	import FieldNote from '../../../FieldNote.svelte';
	import type { PageProps } from './$types';

	let { params }: PageProps = $props();

	const app = fieldApp();
	const log = $derived(
		new VisitLog(
			params.visit,
			() => app.packed,
			() => app.now_ms
		)
	);
	$effect(() => log.follow()); // reads this device's store

	const hrefOf = (stepId: string) => `/sample/${params.visit}/${stepId}`;
	const index = $derived(log.steps.findIndex((s) => s.step.id === params.step));
	const ordered = $derived(log.steps[index]);
	const step = $derived(ordered?.step);
	const outcome = $derived(log.outcome);
	const satchel = $derived(app.packed?.satchel);
	const timeZone = $derived(satchel?.program.timeZone ?? 'UTC');
	const after = $derived(log.steps.slice(index + 1).find((s) => outcome?.steps.find((o) => o.id === s.step.id)?.state !== 'needless')?.step);
	const isTied = $derived(outcome?.steps.find((s) => s.id === params.step)?.state === 'tied');
	/** Doubts about what belongs to this step; the flow tool says its own. */
	const flags = $derived.by(() => {
		if (!step || !outcome) return [];
		const places = pathsOf(step);
		return outcome.flags.filter((f) => places.some((p) => f.path === p || f.path.startsWith(`${p}/`)));
	});

	const write = (path: string, value: unknown, was: string | null) => app.write({ visitId: params.visit, path, op: 'set', value, was });
	const set = async (path: string, value: unknown, was: string | null) => void (await write(path, value, was));
	const strike = (path: string, was: string, reason: string) => void app.write({ visitId: params.visit, path, op: 'strike', value: reason, was });
	const drafts = $derived(log.drafts ?? {});
	const draft = (path: string, text: string) => void keepDraft(draftKey(params.visit, path), text);
	const common = $derived({ lines: log.folded.lines, initialsOf: app.initialsOf, timeZone });
	/** Instruments that measure this, the one used last on this device first. */
	const instrumentsFor = (parameter: string, lastUsed: readonly string[]) => {
		const codes = (satchel?.instruments ?? []).filter((i) => parameter in i.facts.measures).map((i) => i.facts.code);
		return codes.sort((a, b) => rank(lastUsed, a) - rank(lastUsed, b));
	};
	const rank = (list: readonly string[], code: string) => (list.includes(code) ? list.indexOf(code) : list.length);
	const ready = $derived(instrumentsLastUsed().then((lastUsed) => ({ lastUsed, step: params.step })));

	async function leave() {
		await write('leaving/checked', true, log.folded.lines.get('leaving/checked')?.live?.id ?? null);
		await write('leaving/at', new Date(app.now_ms).toISOString(), null);
	}
</script>

<svelte:head><title>{step?.title ?? 'Visit'} · {log.site?.name ?? ''} · Keen Riffle</title></svelte:head>

<div class="sheet">
	<header class="top">
		<a class="back" href="/sample" aria-label="All visits">‹</a>
		<div><b>{log.site?.name ?? ''}</b> <small>{log.site?.about ?? ''}</small></div>
		<FieldNote {app} />
	</header>
	{#if log.entries && log.drafts && outcome && satchel && ordered && step && log.card}
		<div class="run">
			<Rope
				knots={log.steps.map((s, i) => ({ id: s.step.id, title: s.step.title, state: outcome.steps[i]?.state ?? 'open', href: hrefOf(s.step.id) }))}
				current={params.step}
			/>
			<main class:wide={step.tool === 'flow'}>
				<StepHead
					{ordered}
					number={index + 1}
					of={log.steps.length}
					isUnderWay={step.tool === 'flow' && log.folded.sheet.gaugings?.['main']?.edges !== undefined}
				/>
				{#await ready then { lastUsed, step: readyStep }}
					{#key readyStep}
						<div class="tool">
							{#if step.tool === 'arrive'}
								<ArriveTool {...common} arrival={log.folded.sheet.arrival} limit={log.card.wading} site={log.site} onset={set} />
							{:else if step.tool === 'bottle'}
								<BottleTool
									{...common}
									bottleId={step.bottle.id}
									kind={step.bottle.kind}
									bottle={log.folded.sheet.bottles?.[step.bottle.id]}
									holding_h={log.card.holding.bacteria_h}
									withoutIce_h={log.card.holding.withoutIce_h}
									suggestedLabel="{log.site?.code}-{(log.opening?.startedAt ?? '').slice(2, 10).replaceAll('-', '')}-{step.bottle.kind === 'bacteria'
										? 'B'
										: 'N'}"
									now_ms={app.now_ms}
									onset={set}
									onstrike={strike}
								/>
							{:else if step.tool === 'reading'}
								<ReadingTool
									{...common}
									parameter={step.parameter}
									unit={step.unit}
									slots={step.slots.map((s) => ({ ...s, path: `readings/${step.parameter}/${s.id}` }))}
									instruments={instrumentsFor(step.parameter, lastUsed)}
									{drafts}
									ondraft={draft}
									onkeep={set}
									onstrike={strike}
								/>
								<MeansNow
									parameters={[
										step.parameter,
										...(step.parameter === 'dissolved-oxygen'
											? (['oxygen-saturation'] as const)
											: step.parameter === 'conductivity'
												? (['conductance25'] as const)
												: [])
									]}
									results={outcome.results}
									thresholds={satchel.thresholds}
									card={log.card ?? {}}
								/>
							{:else if step.tool === 'tube'}
								<TubeTool {...common} tubeLength_cm={step.tubeLength_cm} {drafts} ondraft={draft} onkeep={set} onstrike={strike} />
								<MeansNow parameters={['tube-depth', 'turbidity']} results={outcome.results} thresholds={satchel.thresholds} card={log.card ?? {}} />
							{:else if step.tool === 'flow'}
								<FlowTool
									{...common}
									gaugingId="main"
									view={outcome.gaugings.find((g) => g.id === 'main') ?? null}
									units={sectionUnits(log.card)}
									least={step.leastVerticals}
									enough_percent={step.enough_percent}
									shareLimit_percent={step.shareLimit_percent}
									{flags}
									meters={instrumentsFor('velocity', lastUsed)}
									newId={() => v7()}
									{drafts}
									ondraft={draft}
									onset={set}
									onstrike={strike}
								/>
							{:else}
								<LeaveTool missing={outcome.missing} flags={outcome.flags} leftAt={log.folded.sheet.leaving?.at} {timeZone} {hrefOf} onleave={leave} />
							{/if}
						</div>
					{/key}
				{/await}
				{#if step.tool !== 'flow' && step.tool !== 'leave' && step.tool !== 'arrive'}
					{#each flags as flag, i (i)}<p class="say {weightOf(flag)}">{flagSentence(flag)}</p>{/each}
				{/if}
				{#if after}
					<a class="act next" class:main={isTied} href={hrefOf(after.id)}>{isTied ? 'Go on' : 'Leave it for now'}: {after.title.toLowerCase()}</a>
				{:else if isTied}
					<a class="act next main" href="/sample">Back to the round</a>
				{/if}
			</main>
		</div>
		<footer><NearestClock clocks={outcome.clocks} now_ms={app.now_ms} {timeZone} /></footer>
	{:else if log.entries?.length === 0}
		<main class="alone">
			<h1>This visit is not on this device</h1>
			<p>It may have been opened on another one and not been sent yet. <a href="/sample">Back to the visits kept here</a></p>
		</main>
	{:else if log.entries && !ordered && log.steps.length}
		<main class="alone">
			<h1>This visit has no step “{params.step}”</h1>
			<p><button class="act main" onclick={() => goto(`/sample/${params.visit}`)}>Go to the next step</button></p>
		</main>
	{/if}
</div>

<style>
	.sheet {
		min-height: 100vh;
		display: flex;
		flex-direction: column;
	}
	.top {
		display: grid;
		grid-template-columns: auto 1fr auto;
		gap: 8px;
		align-items: center;
		padding: 4px 10px 4px 4px;
		background: var(--paper);
		border-bottom: 1px solid var(--rule);
	}
	.back {
		display: grid;
		place-items: center;
		width: 46px;
		height: 48px;
		font-size: 28px;
		text-decoration: none;
		color: var(--ink);
	}
	.top b {
		font: 600 18px var(--head);
	}
	.top small {
		display: block;
		line-height: 1.2;
	}
	.run {
		display: grid;
		grid-template-columns: auto minmax(0, 1fr);
		flex: 1;
	}
	main {
		padding: 12px 14px 20px;
		width: 100%;
		max-width: 620px;
	}
	main.wide {
		max-width: 1080px;
	}
	.alone {
		padding: 30px 16px;
	}
	.tool {
		margin-top: 12px;
	}
	.say {
		margin-top: 10px;
	}
	.next {
		display: block;
		margin-top: 16px;
		min-height: 52px;
		padding-top: 13px;
	}
	footer {
		position: sticky;
		bottom: 0;
		z-index: 4;
	}
	@media (min-width: 900px) {
		main {
			padding: 20px 34px;
		}
	}
</style>
