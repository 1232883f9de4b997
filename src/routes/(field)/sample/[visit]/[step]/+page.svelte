<script lang="ts">
	import { goto } from '$app/navigation';
	import { v7 } from 'uuid';
	import { placesOf } from '$lib/core/visit';
	import { inSentence } from '$lib/core/wording';
	import type { Sheet } from '$lib/core/logbook';
	import { comesFirst } from '$lib/core/method';
	import type { Flag } from '$lib/core/subjects/flags';
	import type { Figure, Unit } from '$lib/core/quantity';
	import { deviceNow_ms } from '$lib/field/device-clock';
	import { draftKey, instrumentsLastUsed, keepDraft } from '$lib/field/store';
	import { VisitLog } from '$lib/field/visit-log.svelte';
	import { whileVisible } from '$lib/field/while-visible';
	import { AfterPaint } from '$lib/ui/after-paint.svelte';
	import NearestClock from '$lib/ui/clocks/NearestClock.svelte';
	import Doubts from '$lib/ui/sample/Doubts.svelte';
	import Remark from '$lib/ui/sample/Remark.svelte';
	import Rope from '$lib/ui/sample/Rope.svelte';
	import StepHead from '$lib/ui/sample/StepHead.svelte';
	import { valueAt, type Hand } from '$lib/ui/sample/hand';
	import { fieldApp } from '../../../field-context';
	import FieldNote from '../../../FieldNote.svelte';
	import StepTool from './StepTool.svelte';
	import type { PageProps } from './$types';

	let { params }: PageProps = $props();

	const app = fieldApp();
	const log = $derived(
		new VisitLog(
			params.visit,
			() => app.packed,
			() => app.now_ms,
			() => app.otherBottles
		)
	);
	$effect(() => log.follow()); // reads this device's store
	const LOOK_EVERY_ms = 20_000;
	$effect(() => whileVisible(LOOK_EVERY_ms, app.sync.look)); // what the other device wrote meanwhile

	const hrefOf = (stepId: string) => `/sample/${params.visit}/${stepId}`;
	const index = $derived(log.steps.findIndex((s) => s.step.id === params.step));
	const ordered = $derived(log.steps[index]);
	const step = $derived(ordered?.step);
	/** The hand sees what it wrote at once, and what follows from it a frame later: that takes a phone longer than a key may. */
	const painted = new AfterPaint(() => ({ log, folded: log.folded, now_ms: app.now_ms }));
	const isPainted = $derived(painted.current.log === log && painted.current.folded.entries.length > 0);
	const shown = $derived(isPainted ? painted.current : { folded: log.folded, now_ms: app.now_ms });
	const outcome = $derived(log.outcomeOf(shown.folded, shown.now_ms));
	const sheet = $derived<Sheet>(shown.folded.sheet);
	const satchel = $derived(app.packed?.satchel);
	const me = $derived(satchel?.member.initials ?? '');
	const timeZone = $derived(satchel?.program.timeZone ?? 'UTC');
	const stateOf = (stepId: string) => outcome?.steps.find((o) => o.id === stepId)?.state;
	const after = $derived(log.steps.slice(index + 1).find((s) => stateOf(s.step.id) !== 'not-required')?.step);
	const isOnPaper = $derived(log.opening?.isOnPaper === true);
	const isDone = $derived(stateOf(params.step) === 'done');
	const isBegun = $derived.by(() => {
		const places = step ? [...placesOf(step), `waits/${step.id}`] : [];
		return places.some((p) => [...shown.folded.lines.keys()].some((path) => path === p || path.startsWith(`${p}/`)));
	});
	/** What a rule puts before this step and is still open: said before a hand moves, each reason once. */
	const ahead = $derived.by(() => {
		if (!step || !log.card || isBegun || step.tool === 'leave' || isOnPaper) return [];
		const open = comesFirst(step, log.card).filter((f) => stateOf(f.step.id) === 'open');
		const reasons = [...new Set(open.map((f) => f.because))].slice(0, 3);
		return reasons.map((because) => ({
			titles: [...new Set(open.filter((f) => f.because === because).map((f) => f.step.title))],
			because
		}));
	});
	/** Doubts about what belongs to this step; the flow tool says its own. */
	const flags = $derived.by(() => {
		if (!step || !outcome) return [];
		const places = placesOf(step);
		return outcome.flags.filter((f) => places.some((p) => f.path === p || f.path.startsWith(`${p}/`)));
	});

	/** What is written shows at once; a reload cannot lose it once this returns, and it is on the disk when it resolves. */
	async function write(
		into: VisitLog,
		op: 'set' | 'strike',
		path: string,
		value: unknown,
		was: string | null
	): Promise<void> {
		const held = app.hold({ visitId: into.visitId, path, op, value, was });
		into.foresee(held);
		try {
			await app.keep(held);
		} catch (trouble) {
			into.forget(held.id);
			throw trouble;
		}
	}
	const set = (path: string, value: unknown, was: string | null) => write(log, 'set', path, value, was);
	const strike = (path: string, was: string, reason: string) => void write(log, 'strike', path, reason, was);
	/** Writes in that visit, also once another one is on the screen: a photo takes a moment to be kept. */
	const handIn = (into: VisitLog): Hand => ({
		get lines() {
			return into.folded.lines;
		},
		get drafts() {
			return into.drafts ?? {};
		},
		get now_ms() {
			return app.now_ms;
		},
		exactly_ms: () => deviceNow_ms(app.packed),
		get timeZone() {
			return timeZone;
		},
		initialsOf: (id) => app.initialsOf(id),
		draft: (path, text) => void keepDraft(draftKey(into.visitId, path), text),
		set: (path, value) => write(into, 'set', path, value, into.liveAt(path)),
		setAll: async (values) => {
			const seen = Object.entries(values).map(([path, value]) => ({ path, value, was: into.liveAt(path) }));
			await Promise.all(seen.map(({ path, value, was }) => write(into, 'set', path, value, was)));
		},
		strike: (path, reason) => {
			const was = into.liveAt(path);
			if (was) void write(into, 'strike', path, reason, was);
		}
	});
	const hand = $derived(handIn(log));
	const ready = $derived(instrumentsLastUsed().then((lastUsed) => ({ lastUsed, step: params.step })));

	const awaited = $derived(
		(outcome?.clocks ?? [])
			.filter((c) => c.kind === 'wait')
			.map(({ id, label, due_ms }) => ({ id: `${params.visit} ${id}`, label, due_ms }))
	);
	$effect(() => app.alarms.await(awaited)); // the phone's own bell
	const rung = $derived(awaited.filter((a) => app.alarms.ringing.has(a.id)));
	/** The step that a running wait belongs to. */
	const stepOfWait = (id: string) =>
		log.steps.find(
			({ step: s }) =>
				id.endsWith(`waits/${s.id}`) ||
				(s.tool === 'titration' && id.includes('titrations/')) ||
				(s.tool === 'flow' && id.endsWith('waits/flume'))
		)?.step;
	const otherKits = $derived(
		(outcome?.clocks ?? []).flatMap((c) => {
			const other = c.kind === 'wait' ? stepOfWait(c.id) : undefined;
			return other && other.id !== params.step
				? [{ id: other.id, title: c.label, left_ms: c.due_ms - shown.now_ms }]
				: [];
		})
	);

	/** The slip that was recognised is struck, and the figure typed anew as it was meant. */
	async function retypeAt(path: string, figure: unknown) {
		hand.strike(path, 'wrong unit or point');
		await hand.set(path, figure);
	}
	function retype({ path }: Flag, meant: { value: number; unit: Unit }) {
		const instrument = valueAt<Figure>(hand, path)?.instrument;
		void retypeAt(path, { ...meant, ...(instrument ? { instrument } : {}) });
	}
	let isPanelOpen = $state(false);
	/** Doubts that the arrival says where the hand is. */
	const SAID_AT_THE_TAP: readonly Flag['code'][] = [
		'over-wading-limit',
		'waded-over-limit',
		'waded-untried',
		'life-jacket',
		'nobody-waits'
	];
</script>

<svelte:head><title>{step?.title ?? 'Visit'} · {log.site?.name ?? ''} · Keen Riffle</title></svelte:head>

<div class="sheet">
	<header class="top">
		<a class="back" href="/sample" aria-label="All visits">‹</a>
		<div><b>{log.site?.name ?? ''}</b> <small>{log.site?.about ?? ''}</small></div>
		<button type="button" class="act plain who" aria-haspopup="dialog" onclick={() => (isPanelOpen = true)}>Who</button>
		<FieldNote {app} />
	</header>
	{#if log.entries && log.drafts && outcome && satchel && ordered && step && log.card}
		<div class="run">
			<Rope
				knots={log.steps.map((s, i) => ({
					id: s.step.id,
					title: s.step.title,
					state: outcome.steps[i]?.state ?? 'open',
					href: hrefOf(s.step.id)
				}))}
				current={params.step}
			/>
			<main class:wide={step.tool === 'flow'}>
				{#each rung as bell (bell.id)}
					<p class="say ask bell" role="alert">
						<b>{bell.label}: the time has come.</b>
						{#if stepOfWait(bell.id)}<a
								class="act main"
								href={hrefOf(stepOfWait(bell.id)?.id ?? '')}
								onclick={() => app.alarms.hear(bell.id)}>Read it</a
							>{/if}
						<button type="button" class="act plain" onclick={() => app.alarms.hear(bell.id)}>Heard</button>
					</p>
				{/each}
				{#if log.isBlind}<p class="say">
						<b>From paper.</b> You see only what you type yourself; the other copy shows when yours is done.
					</p>{/if}
				<StepHead
					{ordered}
					number={index + 1}
					of={log.steps.length}
					isUnderWay={isBegun && ['flow', 'titration', 'kit'].includes(step.tool)}
					{isOnPaper}
					{ahead}
					takenBy={sheet.steps?.[step.id]?.takenBy}
					{me}
					ontake={(isMine) =>
						isMine
							? void hand.set(`steps/${step.id}/takenBy`, me)
							: hand.strike(`steps/${step.id}/takenBy`, 'given back')}
				/>
				{#await ready then { lastUsed, step: readyStep }}
					{#key readyStep}
						<div class="tool">
							<StepTool
								{step}
								card={log.card}
								{app}
								{log}
								{satchel}
								{outcome}
								{hand}
								{flags}
								{lastUsed}
								{otherKits}
								{hrefOf}
								onset={set}
								onstrike={strike}
								onretype={retypeAt}
							/>
						</div>
					{/key}
				{/await}
				{#if step.tool !== 'flow' && step.tool !== 'leave'}
					<Doubts
						flags={step.tool === 'arrive' ? flags.filter((f) => !SAID_AT_THE_TAP.includes(f.code)) : flags}
						onretype={retype}
					/>
				{/if}
				<Remark {hand} stepId={step.id} />
				{#if after}
					<a class="act next" class:main={isDone} href={hrefOf(after.id)}
						>{isDone ? 'Go on' : 'Leave it for now'}: {inSentence(after.title)}</a
					>
				{:else if isDone}
					<a class="act next main" href="/sample">Back to the round</a>
				{/if}
			</main>
		</div>
		<footer><NearestClock clocks={outcome.clocks} now_ms={shown.now_ms} {timeZone} /></footer>
		{#if isPanelOpen}
			{#await import('$lib/ui/sample/VisitPanel.svelte') then { default: VisitPanel }}
				<VisitPanel
					steps={log.steps.map((s, i) => ({
						id: s.step.id,
						title: s.step.title,
						state: outcome.steps[i]?.state ?? 'open',
						progress: outcome.steps[i]?.progress ?? null
					}))}
					{sheet}
					team={satchel.team}
					{me}
					{hand}
					newId={() => v7()}
					{hrefOf}
					onclose={() => (isPanelOpen = false)}
				/>
			{/await}
		{/if}
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
		grid-template-columns: auto 1fr auto auto;
		gap: 6px;
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
	.who {
		min-height: 44px;
		font-size: 15px;
	}
	.bell {
		position: sticky;
		top: 0;
		z-index: 4;
	}
	.bell .act {
		min-height: 44px;
		margin-left: 6px;
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
