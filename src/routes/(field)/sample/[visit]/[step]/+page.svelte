<script lang="ts">
	import { tick, untrack } from 'svelte';
	import { afterNavigate, goto, pushState } from '$app/navigation';
	import { page } from '$app/state';
	import type { Sheet } from '$lib/core/logbook';
	import type { Step } from '$lib/core/subjects/steps';
	import { instrumentsLastUsed } from '$lib/field/store';
	import { VisitLog } from '$lib/field/visit-log.svelte';
	import { notYet, VisitScreen } from '$lib/field/visit-screen.svelte';
	import { whileVisible } from '$lib/field/while-visible';
	import { AfterPaint, whenPainted } from '$lib/ui/after-paint.svelte';
	import { KeypadDock, setKeypadDock } from '$lib/ui/entry/keypad-dock.svelte';
	import PartLost from '$lib/ui/frame/PartLost.svelte';
	import Foot from '$lib/ui/frame/Foot.svelte';
	import Remark from '$lib/ui/frame/Remark.svelte';
	import StepHead from '$lib/ui/frame/StepHead.svelte';
	import StepList from '$lib/ui/frame/StepList.svelte';
	import { toolOf } from '$lib/ui/subjects/tools';
	import type { scoreBySchemes } from '$lib/workers/score-schemes.client';
	import { fieldApp } from '../../../field-context';
	import FieldNote from '../../../FieldNote.svelte';
	import type { PageProps } from './$types';

	let { params }: PageProps = $props();

	const app = fieldApp();
	/* Opening what lies over the page, or going to another step, is not another visit: its log stays. */
	const visitId = $derived(params.visit);
	const log = $derived(
		new VisitLog(
			visitId,
			() => app.packed,
			() => app.now_ms,
			() => app.otherBottles
		)
	);
	$effect(() => log.follow()); // reads this device's store
	const LOOK_EVERY_ms = 20_000;
	const LOOK_AT_LEAST_EVERY_ms = 320_000;
	/** Lines on this device when it last asked: where none came or went, asking can wait longer. */
	let keptThen = -1;
	function isQuiet() {
		const isSame = app.keptCount === keptThen;
		keptThen = app.keptCount;
		return isSame;
	}
	// what the other device wrote meanwhile
	$effect(() => whileVisible(LOOK_EVERY_ms, app.sync.look, { most_ms: LOOK_AT_LEAST_EVERY_ms, isQuiet }));

	$effect(() => {
		if (tool && !tool.isBySheet) void log.workOut();
	});

	const index = $derived(log.steps.findIndex((s) => s.step.id === params.step));
	const ordered = $derived(log.steps[index]);
	const tool = $derived(ordered && toolOf(ordered.step));
	/**
	 * The hand sees what it wrote at once, and what follows from it a frame later: that takes a phone longer than a
	 * key may.
	 */
	const painted = new AfterPaint(() => ({ log, folded: log.folded, now_ms: app.now_ms }));
	const isPainted = $derived(painted.current.log === log && painted.current.folded.entries.length > 0);
	const moment = $derived(isPainted ? painted.current : { folded: log.folded, now_ms: app.now_ms });
	const outcome = $derived(
		log.outcomeOf(moment.folded, moment.now_ms) ?? (tool?.isBySheet ? notYet(moment.folded) : null)
	);
	const sheet = $derived<Sheet>(moment.folded.sheet);

	const isReady = $derived(log.entries && log.drafts && outcome && app.packed && ordered && log.card);
	/** One for each step of a visit: what a tool starts from does not change under it. */
	const screenFor = (step: Step, lastUsed: readonly string[], { ahead, meters }: Partial<Parts> = {}) =>
		new VisitScreen(
			app,
			log,
			step,
			() => ({ ...moment, outcome: outcome! }),
			lastUsed,
			() => ahead?.roundAhead(app, log, log.folded.sheet) ?? null,
			meters ?? null,
			scoreBeside
		);
	/** What only some tools need comes with them. */
	interface Parts {
		ahead: typeof import('./round-ahead') | null;
		meters: typeof import('$lib/field/devices/meter-port') | null;
	}
	/** Fetched when somebody first asks for scores: a tray is begun without it. */
	const scoreBeside: typeof scoreBySchemes = async (asked, signal) =>
		(await import('$lib/workers/score-schemes.client')).scoreBySchemes(asked, signal);
	const frame = $derived(isReady ? screenFor(ordered!.step, []) : undefined);
	/** A tool and the step that it is for come together: until the next one is there, the last one keeps its own. */
	async function toolFor(step: Step) {
		const { load, isBySheet, looksAhead, listens } = toolOf(step);
		const [lastUsed, { default: Tool }, ahead, meters] = await Promise.all([
			instrumentsLastUsed(),
			load(),
			looksAhead ? import('./round-ahead') : null,
			listens ? import('$lib/field/devices/meter-port') : null
		]);
		if (isBySheet) void tick().then(() => whenPainted(() => void log.workOut()));
		return { step, Tool, screen: screenFor(step, lastUsed, { ahead, meters }) };
	}
	/** A new satchel makes new objects of the same step: what is being typed stays. */
	const place = $derived(ordered ? `${visitId} ${ordered.step.id}` : '');
	const loaded = $derived(place && untrack(() => toolFor(ordered!.step)));
	const after = $derived(log.steps.slice(index + 1).find((s) => frame?.stateOf(s.step.id) !== 'not-required')?.step);
	const isDone = $derived(frame?.stateOf(params.step) === 'done');
	const knots = $derived(
		log.steps.map(({ step: { id, title } }, i) => ({
			id,
			title,
			state: outcome?.steps[i]?.state ?? ('open' as const),
			progress: outcome?.steps[i]?.progress ?? null,
			href: `/sample/${visitId}/${id}`
		}))
	);
	/** Doubts that the tool does not say itself. */
	const flags = $derived.by(() => {
		if (!frame || tool?.says === 'all') return [];
		const said = tool?.says ?? [];
		return frame.flags.filter((f) => !said.includes(f.code));
	});
	const isPanelOpen = $derived(page.state.isStepsOpen === true);
	const openPanel = () => pushState('', { isStepsOpen: true });
	const dock = new KeypadDock();
	setKeypadDock(dock);
	/** The page scrolls between head and foot, and each step begins at its top. */
	let main = $state<HTMLElement>();
	afterNavigate(() => main?.scrollTo(0, 0));
</script>

<svelte:head><title>{ordered?.step.title ?? 'Visit'} · {log.site?.name ?? ''} · Keen Riffle</title></svelte:head>

<div class="sheet">
	<header class="top">
		<a class="back" href="/sample" aria-label="All visits">‹</a>
		<div><b>{log.site?.name ?? ''}</b> <small>{log.site?.about ?? ''}</small></div>
		<button type="button" class="who btn preset-outlined-surface-500" aria-haspopup="dialog" onclick={openPanel}
			>Who</button
		>
		<FieldNote {app} />
	</header>
	{#if isReady && frame && outcome && ordered && log.card}
		{@const { step } = ordered}
		<div class="run">
			<StepList {knots} current={params.step} />
			<main class:wide={tool?.isWide} bind:this={main}>
				{#if app.isPartLost}<PartLost isKept onread={app.partLostRead} />{:else if log.isPartLost}<PartLost
						isKept
					/>{/if}
				{#if outcome.steps.length}
					{#await import('./Ringing.svelte') then { default: Ringing }}
						<Ringing {app} clocks={outcome.clocks} {visitId} hrefOf={frame.hrefOf} />
					{/await}
				{/if}
				{#if log.isBlind}<p class="say">
						<b>From paper.</b> You see only what you type yourself; the other copy shows when yours is done.
					</p>{/if}
				<StepHead
					{ordered}
					isUnderWay={frame.isBegun && (tool?.takesTime === true || dock.keys !== null)}
					isOnPaper={frame.isOnPaper}
					ahead={frame.ahead}
					takenBy={sheet.steps?.[step.id]?.takenBy}
					me={frame.me}
					ontake={(isMine) =>
						isMine
							? void frame.writer.set(`steps/${step.id}/takenBy`, frame.me)
							: frame.writer.strike(`steps/${step.id}/takenBy`, 'given back')}
				/>
				{#await loaded then made}
					{#if made}
						{#key made}
							<div class="tool" data-step={made.step.id}><made.Tool step={made.step} screen={made.screen} /></div>
						{/key}
					{/if}
				{/await}
				{#if flags.length}
					{#await import('$lib/ui/frame/StepDoubts.svelte') then { default: StepDoubts }}
						<StepDoubts screen={frame} {flags} />
					{/await}
				{/if}
				<Remark screen={frame} {step} />
			</main>
		</div>
		{@const { timeZone } = frame.writer}
		<Foot
			{dock}
			at="{index + 1} of {log.steps.length}"
			onsteps={openPanel}
			after={after ? { title: after.title, href: frame.hrefOf(after.id) } : null}
			{isDone}
		>
			{#snippet clocks()}
				{#if outcome.clocks.length}
					{#await import('$lib/ui/clocks/NearestClock.svelte') then { default: NearestClock }}
						<NearestClock clocks={outcome.clocks} now_ms={moment.now_ms} {timeZone} />
					{/await}
				{/if}
			{/snippet}
		</Foot>
		{#if isPanelOpen}
			{#await import('$lib/ui/frame/VisitPanel.svelte') then { default: VisitPanel }}
				<VisitPanel
					steps={knots}
					{sheet}
					team={frame.satchel.team}
					me={frame.me}
					writer={frame.writer}
					newId={frame.newId}
					hrefOf={frame.hrefOf}
					onclose={() => history.back()}
				/>
			{/await}
		{/if}
	{:else if log.isPartLost}
		<main class="alone">
			<h1>{ordered?.step.title ?? 'Not all is here'}</h1>
			<PartLost />
		</main>
	{:else if log.entries?.length === 0}
		<main class="alone">
			<h1>This visit is not on this device</h1>
			<p>
				It may have been opened on another one and not been sent yet. <a href="/sample">Back to the visits kept here</a>
			</p>
		</main>
	{:else if log.entries && !ordered && log.steps.length}
		<main class="alone">
			<h1>This visit has no step “{params.step}”</h1>
			<p>
				<button class="btn preset-filled-primary-500" onclick={() => goto(`/sample/${visitId}`)}
					>Go to the next step</button
				>
			</p>
		</main>
	{/if}
</div>

<style>
	.sheet {
		height: 100dvh;
		display: grid;
		grid-template-rows: auto minmax(0, 1fr) auto;
	}
	.top {
		display: grid;
		grid-template-columns: auto minmax(0, 1fr) auto auto;
		gap: 0.375rem;
		align-items: center;
		padding: min(0.25rem, 1vh) min(0.625rem, 3vw) min(0.25rem, 1vh) min(0.25rem, 1vw);
		background: var(--paper);
		border-bottom: 1px solid var(--rule);
	}
	.back {
		display: grid;
		place-items: center;
		width: max(44px, min(2.875rem, 12vw));
		height: max(44px, min(3rem, 9vh));
		font-size: min(1.75rem, 8vw);
		text-decoration: none;
		color: var(--ink);
	}
	/* what frames a step grows with the letters only as far as the step itself keeps its room */
	.top :global(.btn) {
		min-height: max(44px, min(2.75rem, 9vh));
		padding-inline: min(0.75rem, 2.5vw);
		font-size: min(0.9375rem, 4.4vw);
	}
	.top b {
		font: 600 min(1.125rem, 5.4vw) var(--head);
	}
	.top small {
		display: block;
		overflow: hidden;
		font-size: min(0.8125rem, 4vw);
		line-height: 1.2;
		white-space: nowrap;
		text-overflow: ellipsis;
	}
	.run {
		display: grid;
		grid-template-columns: auto minmax(0, 1fr);
		min-height: 0;
	}
	main {
		padding: 0.75rem 0.875rem 1.25rem;
		overflow-y: auto;
		overscroll-behavior: contain;
	}
	main > :global(*) {
		max-width: 37rem;
	}
	main.wide > :global(*) {
		max-width: 65.75rem;
	}
	.alone {
		padding: 1.875rem 1rem;
	}
	.tool {
		margin-top: 0.75rem;
	}
	.say {
		margin-top: 0.625rem;
	}
	@media (max-height: 500px) and (min-width: 640px), (min-width: 900px) and (pointer: coarse) {
		.sheet {
			grid-template: auto minmax(0, 1fr) / minmax(0, 1fr) 18.75rem;
		}
		.sheet > :global(footer) {
			grid-area: 1 / 2 / 3 / 3;
		}
	}
	@media (min-width: 900px) {
		main {
			padding: 1.25rem 2.125rem;
		}
	}
</style>
