<script module lang="ts">
	import type { Outcome } from '$lib/core/visit';
	import type { Determination } from '$lib/core/subjects/determination';
	import type { MethodCard } from '$lib/core/method';
	import type { Step } from '$lib/core/subjects/steps';
	import type { Flag } from '$lib/core/subjects/flags';
	import type { Satchel } from '$lib/core/satchel';
	import type { FieldApp } from '$lib/field/field-app.svelte';
	import type { VisitLog } from '$lib/field/visit-log.svelte';
	import type { Hand } from '$lib/ui/sample/hand';

	export interface Props {
		step: Step;
		card: MethodCard;
		app: FieldApp;
		log: VisitLog;
		satchel: Satchel;
		outcome: Outcome;
		hand: Hand;
		/** Doubts about what belongs to this step. */
		flags: Flag[];
		/** Codes of instruments, the one used last on this device first. */
		lastUsed: readonly string[];
		/** Waits that run at other steps. */
		otherKits: { id: string; title: string; left_ms: number }[];
		hrefOf: (stepId: string) => string;
		onset: (path: string, value: unknown, was: string | null) => Promise<void>;
		onstrike: (path: string, was: string, reason: string) => void;
		/** The slip that was recognised is struck, and the figure typed anew as it was meant. */
		onretype: (path: string, figure: unknown) => void;
	}
</script>

<script lang="ts">
	import { untrack } from 'svelte';
	import { v7 } from 'uuid';
	import { colourPath } from '$lib/core/subjects/kit/step';
	import { slotsAsked } from '$lib/core/subjects/reading/step';
	import { isoDay } from '$lib/core/wording';
	import type { Sheet } from '$lib/core/logbook';
	import type { Technique } from '$lib/core/subjects/bottle/branch';
	import { limitsOf } from '$lib/core/method';
	import { sectionUnits } from '$lib/core/subjects/gauging/units';
	import type { ParameterCode, Unit } from '$lib/core/quantity';
	import { dryingDays, isSouthern } from '$lib/core/schedule';
	import { mayCall } from '$lib/field/alarms.svelte';
	import { canListen, simulatedPort } from '$lib/field/devices/meter-port';
	import { findPosition } from '$lib/field/devices/position';
	import { keepPhoto, photoAddress } from '$lib/field/photos';
	import ArriveTool from '$lib/ui/sample/ArriveTool.svelte';
	import BottleTool from '$lib/ui/sample/BottleTool.svelte';
	import Chips from '$lib/ui/sample/Chips.svelte';
	import Differences from '$lib/ui/sample/Differences.svelte';
	import LeaveTool from '$lib/ui/sample/LeaveTool.svelte';
	import MeansNow from '$lib/ui/sample/MeansNow.svelte';
	import ReadingTool from '$lib/ui/sample/ReadingTool.svelte';
	import TubeTool from '$lib/ui/sample/TubeTool.svelte';
	import { stamp } from '$lib/ui/sample/hand';
	import { roundAhead } from './round-ahead';

	let {
		step,
		card,
		app,
		log,
		satchel,
		outcome,
		hand,
		flags,
		lastUsed,
		otherKits,
		hrefOf,
		onset,
		onstrike,
		onretype
	}: Props = $props();

	/** What was found of a parameter at a place of the sheet; what follows from it where it is the reported one. */
	function foundAt(place: string, parameter: ParameterCode): Determination[] {
		const own = outcome.determinations.filter((d) => d.parameter === parameter && d.place === place);
		const following = own.some((d) => d.isReported) ? outcome.results.filter((r) => r.parents.includes(parameter)) : [];
		return [...own, ...following];
	}
	const sheet = $derived<Sheet>(log.folded.sheet);
	const me = $derived(satchel.member.initials);
	const timeZone = $derived(satchel.program.timeZone);
	const isOnPaper = $derived(log.opening?.isOnPaper === true);
	const common = $derived({
		lines: hand.lines,
		drafts: hand.drafts,
		ondraft: hand.draft,
		onkeep: onset,
		onstrike,
		initialsOf: hand.initialsOf,
		timeZone
	});
	const exactly_ms = () => hand.exactly_ms();

	/** Instruments that measure this, the one used last on this device first. */
	const instrumentsFor = (parameter: string) => {
		const codes = satchel.instruments.filter((i) => parameter in i.facts.measures).map((i) => i.facts.code);
		return codes.sort((a, b) => rank(lastUsed, a) - rank(lastUsed, b));
	};
	const rank = (list: readonly string[], code: string) => (list.includes(code) ? list.indexOf(code) : list.length);
	/** Real meters join here. The stand-in speaks in the demo only: its figures are nobody's. */
	const port = $derived(
		satchel.program.isDemo
			? simulatedPort(
					untrack(() => log.site?.usual ?? {}),
					exactly_ms
				)
			: null
	);

	const planned = $derived(
		(satchel.rounds.find((r) => r.id === log.opening?.roundId)?.quality ?? [])
			.filter((q) => q.siteId === log.site?.id)
			.map((q) => q.kind)
	);
	const techniqueOf: Partial<Record<string, Technique>> = {
		pole: 'pole',
		bridge: 'bridge-bucket',
		syringe: 'syringe',
		bank: 'bank'
	};

	/** In a section the doubt is about a vertical; its depth or its speed is meant. */
	function retypeInSection(flag: Flag, { value, unit }: { value: number; unit: Unit }) {
		const field = (flag.code === 'unit-slip' && flag.evidence.field) || 'velocity_m_s';
		onretype(`${flag.path}/${field}`, unit === 'm' || unit === 'm_s' ? value : { value, unit });
	}
	async function position(): Promise<boolean> {
		if (log.site?.latitude == null || log.site.longitude == null) return false;
		const here = hand;
		const found = await findPosition(
			{ latitude: log.site.latitude, longitude: log.site.longitude },
			satchel.program.isDemo
		);
		if (!found) return false;
		await here.setAll({ 'arrival/position': found, 'arrival/confirmedBy': 'position' });
		return true;
	}
	async function photoPoint(file: Blob) {
		const here = hand;
		const sha256 = await keepPhoto(file, log.visitId);
		const base = `photos/${v7()}`;
		await here.setAll({
			[`${base}/of`]: 'photo point',
			[`${base}/takenAt`]: stamp(here),
			[`${base}/sha256`]: sha256,
			'arrival/confirmedBy': 'photo-point'
		});
	}
	async function leave() {
		const now = stamp(hand);
		// from paper the time of leaving is typed like all else; what is noted now is that the copy is whole
		const noted = isOnPaper
			? { [`copies/${me}/doneAt`]: now }
			: sheet.leaving?.at === undefined
				? { 'leaving/at': now }
				: {};
		await hand.setAll({ 'leaving/checked': true, ...noted });
	}
	/** Where a figure is asked for, and where one stands: from the bank one place will do. */
	const slots = $derived.by(() => {
		if (step.tool !== 'reading') return [];
		const all = step.slots.map((s) => ({ ...s, path: `readings/${step.parameter}/${s.id}` }));
		const asked = slotsAsked(step, sheet).map((s) => s.id);
		return all.filter((s) => asked.includes(s.id) || hand.lines.get(s.path)?.live);
	});
	const photos = $derived({
		photos: sheet.photos,
		hand,
		onphoto: (file: Blob) => keepPhoto(file, log.visitId),
		addressOf: photoAddress,
		newId: () => v7()
	});
</script>

{#if step.tool === 'arrive'}
	<ArriveTool
		arrival={sheet.arrival}
		limit={card.wading}
		units={sectionUnits(card)}
		site={log.site}
		team={satchel.team}
		{hand}
		onposition={position}
		onphotopoint={photoPoint}
		addressOf={photoAddress}
	/>
	{#await import('$lib/ui/sample/PhotoPanel.svelte') then { default: PhotoPanel }}
		<PhotoPanel {...photos} of={isOnPaper ? 'paper sheet' : 'site board'} also={['photo point']} />
	{/await}
{:else if step.tool === 'bottle'}
	<BottleTool
		{step}
		bottles={sheet.bottles}
		{planned}
		siteCode={log.site?.code ?? ''}
		date={isoDay(Date.parse(log.opening?.startedAt ?? ''), timeZone)}
		holding_h={card.holding.bacteria_h}
		withoutIce_h={card.holding.withoutIce_h}
		clocks={outcome.clocks}
		usualTechnique={techniqueOf[sheet.arrival?.access ?? ''] ?? null}
		gaugings={sheet.gaugings}
		units={sectionUnits(card)}
		{isOnPaper}
		{hand}
	/>
{:else if step.tool === 'form'}
	{#await import('$lib/ui/sample/FormTool.svelte') then { default: FormTool }}
		<FormTool
			form={step.form}
			answers={sheet[step.form]}
			usual={step.form === 'conditions' ? (log.site?.usualAnswers ?? {}) : {}}
			{hand}
		/>
	{/await}
	{#await import('$lib/ui/sample/PhotoPanel.svelte') then { default: PhotoPanel }}<PhotoPanel
			{...photos}
			of={step.form}
		/>{/await}
{:else if step.tool === 'reading'}
	<ReadingTool
		{...common}
		parameter={step.parameter}
		unit={step.unit}
		{slots}
		instruments={instrumentsFor(step.parameter)}
		meter={step.settled && port && canListen(step.parameter)
			? { port, rest: step.settled, now_ms: exactly_ms }
			: undefined}
	/>
	{#if step.parameter === 'conductivity'}
		<Chips
			legend="Does the display say “25 °C” or “SpC”?"
			help="Then the meter has brought its figure to 25 °C by itself, and it is not done twice."
			chips={[
				{ id: 'no', word: 'no, as it is', isOn: sheet.meters?.conductivityAt25 === false },
				{ id: 'yes', word: 'yes, at 25 °C', isOn: sheet.meters?.conductivityAt25 === true }
			]}
			ontap={(id) => void hand.set('meters/conductivityAt25', id === 'yes')}
		/>
	{/if}
	<MeansNow
		parameters={[
			step.parameter,
			...(step.parameter === 'dissolved-oxygen'
				? (['oxygen-saturation'] as const)
				: step.parameter === 'conductivity'
					? (['conductance25', 'salinity'] as const)
					: [])
		]}
		results={foundAt(`readings/${step.parameter}`, step.parameter)}
		reported={outcome.results}
		thresholds={satchel.thresholds}
		{card}
	/>
{:else if step.tool === 'kit'}
	{#await import('$lib/ui/sample/KitTool.svelte') then { default: KitTool }}
		<KitTool {step} others={otherKits} {isOnPaper} {hand} {hrefOf} onstart={() => void mayCall()} />
	{/await}
	<MeansNow
		parameters={[step.parameter]}
		results={foundAt(colourPath(step), step.parameter)}
		reported={outcome.results}
		thresholds={satchel.thresholds}
		{card}
	/>
{:else if step.tool === 'titration'}
	{#await import('$lib/ui/sample/TitrationTool.svelte') then { default: TitrationTool }}
		<TitrationTool {step} titrations={sheet.titrations} {isOnPaper} {hand} onstart={() => void mayCall()} />
	{/await}
	<MeansNow
		parameters={['dissolved-oxygen', 'oxygen-saturation']}
		results={foundAt('titrations', 'dissolved-oxygen')}
		reported={outcome.results}
		thresholds={satchel.thresholds}
		{card}
	/>
{:else if step.tool === 'disc'}
	{#await import('$lib/ui/sample/DiscTool.svelte') then { default: DiscTool }}
		<DiscTool {...common} unit={step.unit} disc={sheet.disc} {hand} />
	{/await}
	<MeansNow parameters={['disc-depth']} results={outcome.results} thresholds={satchel.thresholds} {card} />
{:else if step.tool === 'tube'}
	<TubeTool {...common} tubeLength_cm={step.tubeLength_cm} />
	<MeansNow parameters={['tube-depth', 'turbidity']} results={outcome.results} thresholds={satchel.thresholds} {card} />
{:else if step.tool === 'flow'}
	{#await import('$lib/ui/gauge/GaugeTool.svelte') then { default: GaugeTool }}
		<GaugeTool
			{step}
			{card}
			gaugings={sheet.gaugings}
			views={log.gaugings}
			flows={outcome.flows}
			onretype={retypeInSection}
			units={sectionUnits(card)}
			{flags}
			meters={instrumentsFor('velocity')}
			{hand}
			newId={() => v7()}
			onstart={() => void mayCall()}
			flumes={satchel.flumes}
		/>
	{/await}
{:else}
	<LeaveTool
		missing={outcome.missing}
		flags={outcome.flags}
		{sheet}
		drying_days={dryingDays(app.now_ms, limitsOf(card), isSouthern(log.site ?? {}))}
		rest={roundAhead(app, log, sheet)}
		hasBottles={Object.keys(sheet.bottles ?? {}).length > 0}
		{hand}
		{hrefOf}
		{isOnPaper}
		isCopyDone={sheet.copies?.[me]?.doneAt !== undefined}
		onleave={leave}
	/>
	<Differences
		conflicts={log.folded.conflicts}
		initialsOf={app.initialsOf}
		{timeZone}
		me={satchel.member.id}
		onstrike={(path, id) => onstrike(path, id, 'a slip of mine')}
	/>
	{#if Object.keys(sheet.bottles ?? {}).length}
		{#await import('$lib/ui/sample/CustodyPanel.svelte') then { default: CustodyPanel }}
			<CustodyPanel
				custody={sheet.custody}
				people={satchel.people}
				me={satchel.member.name}
				{hand}
				newId={() => v7()}
			/>
		{/await}
	{/if}
{/if}
