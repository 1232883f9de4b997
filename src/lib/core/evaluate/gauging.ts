import {
	isoUncertainty,
	iveUncertainty,
	meanDepthDischarge,
	meanSectionDischarge,
	midSectionDischarge,
	midSectionWorking,
	nextBestVertical,
	verticalVelocity,
	type Section,
	type Vertical
} from '../discharge';
import type { Folded, GaugingMethod, Sheet, VelocitySchool } from '../logbook';
import { limitsOf, type MethodCard } from '../method';
import type { Flag } from '../quality';
import { inPlaceUnit, type AsTyped } from '../quantity';
import { instrumentOf, type Context } from './context';
import type { GaugingView, VerticalView } from './outcome';
import { remembered } from './remember';
import { flowStepOf, isBySection, wasRaised, wayTaken, type FlowStep } from './way';

type GaugingSheet = NonNullable<Sheet['gaugings']>[string];

/** A gauging's verticals worked out as far as they go, with what is doubtful about them. */
const gaugingView = remembered(viewOf);

/** Every gauging of a sheet that is worked out over a section: what a hand in the water waits for, without all else that follows. */
export function gaugingViews(
	{ sheet, lines }: Pick<Folded, 'sheet' | 'lines'>,
	card: MethodCard,
	instruments: Context['instruments']
): { view: GaugingView; flags: Flag[] }[] {
	const step = flowStepOf(card);
	return Object.entries(sheet.gaugings ?? {}).flatMap(([id, g]) => {
		if (!isBySection(wayTaken(g, step))) return [];
		return [gaugingView(g, id, card, step, instruments, wasRaised(id, lines, step))];
	});
}

function viewOf(
	gauging: GaugingSheet,
	id: string,
	card: MethodCard,
	step: FlowStep | undefined,
	instruments: Context['instruments'],
	isRaised: boolean
): { view: GaugingView; flags: Flag[] } {
	const flags: Flag[] = [];
	const doubt = (flag: Pick<Flag, 'code' | 'evidence'>, at = '') =>
		flags.push({ ...flag, path: `gaugings/${id}${at}`, parameter: 'discharge' } as Flag);
	const { method, school, arithmetic } = wayTaken(gauging, step);
	const inUse: InUse = (v) => readingsInUse(v, gauging.school ?? schoolRead(v, school), isRaised);
	const verticals = verticalViews(gauging, method, inUse);
	const complete: Complete[] = [];
	for (const v of verticals) {
		if (v.distance_m === null) continue;
		const lacks = v.depth_m === null ? 'depth' : v.velocity_m_s === null && v.depth_m > 0 ? 'velocity' : null;
		if (lacks)
			doubt({ code: 'vertical-incomplete', evidence: { distance_m: v.distance_m, lacks } }, `/verticals/${v.id}`);
		else
			complete.push({
				id: v.id,
				distance_m: v.distance_m,
				depth_m: v.depth_m ?? 0,
				velocity_ms: v.velocity_m_s ?? 0,
				points: inUse(gauging.verticals?.[v.id] ?? {}).length
			});
	}
	const known = edgesOf(gauging);
	const view: GaugingView = {
		id,
		arithmetic,
		verticals,
		...known,
		provisional: !known.start || !known.end,
		width_m: null,
		area_m2: null,
		discharge_m3s: null,
		meanVelocity_ms: null,
		uncertainty: null,
		byTable_percent: null,
		expanded_percent: null,
		next: null,
		working: null,
		schools: []
	};
	if (complete.length === 0) return { view, flags };
	for (const side of ['start', 'end'] as const)
		if (!known[side]) doubt({ code: 'edge-missing', evidence: { side: side === 'start' ? 'first' : 'far' } });

	const section = sectionSoFar(gauging, complete, known, method);
	try {
		work(view, section, complete);
		const chosen = view.schools.find((s) => s.school === arithmetic);
		if (chosen && arithmetic !== 'mid-section') {
			view.discharge_m3s = chosen.discharge_m3s;
			view.meanVelocity_ms = view.area_m2 ? chosen.discharge_m3s / view.area_m2 : null;
			view.working = chosen.working ?? null;
		}
		// one velocity for all verticals says nothing of how they differ
		if (method === 'sweep') view.next = null;
		else if (!view.provisional && complete.length >= ENOUGH_VERTICALS) howSure(view, section, complete, card);
	} catch (error) {
		// a half-typed section need not be one yet: what is wrong with it is said, the figures wait
		if (!(error instanceof RangeError)) throw error;
		doubt({ code: 'section-impossible', evidence: { why: error.message } });
		return { view, flags };
	}
	if (step) flags.push(...shortfalls(id, view, complete.length, step));
	return { view, flags: [...flags, ...readingDoubts(id, gauging, verticals, method, inUse, instruments)] };
}

type Complete = Vertical & { id: string; points: number };

/** Under so many verticals neither the scatter nor the standard's table says how sure a flow is. */
const ENOUGH_VERTICALS = 5;

/** How sure, both ways: by the scatter between verticals, and by the standard's table. The larger counts. */
function howSure(view: GaugingView, section: Section, complete: readonly Complete[], card: MethodCard): void {
	const limits = limitsOf(card);
	view.uncertainty = iveUncertainty(section);
	view.byTable_percent = isoUncertainty({
		edges: section.edges,
		verticals: complete,
		systematicPercent: limits.sectionSystematic_percent,
		widthPercent: limits.sectionWidth_percent,
		depthPercent: limits.sectionDepth_percent,
		calibrationPercent: limits.sectionMeter_percent,
		exposurePercent: limits.sectionExposure_percent
	}).expandedPercent;
	const both = [view.uncertainty.expandedPercent, view.byTable_percent].filter((p) => p !== null);
	view.expanded_percent = both.length ? Math.max(...both.map(Math.abs)) : null;
}

const metres = (typed: AsTyped<'m' | 'cm' | 'ft' | 'inch'>) => inPlaceUnit(typed, 'm');

type VerticalSheet = NonNullable<GaugingSheet['verticals']>[string];

type Reading = 'velocity_m_s' | 'velocity02_m_s' | 'velocity06_m_s' | 'velocity08_m_s';

type InUse = (v: VerticalSheet) => readonly Reading[];

/** Where nobody chose a school, a vertical is read by what was measured in it; by the card's where that is not whole either. */
function schoolRead(v: VerticalSheet, asked: VelocitySchool): VelocitySchool {
	const has = (...readings: Reading[]) => readings.every((r) => v[r] !== undefined);
	if (asked === 'raise') return asked;
	if (has('velocity02_m_s', 'velocity08_m_s')) return has('velocity06_m_s') ? 'three-point' : 'two-point';
	if (v.velocity02_m_s !== undefined || v.velocity08_m_s !== undefined) return asked;
	return has('velocity06_m_s') || has('velocity_m_s') ? 'one-point' : asked;
}

/** The readings that count in a vertical: only those of the way in use. What was read otherwise stays in the logbook. */
function readingsInUse(v: VerticalSheet, school: VelocitySchool, isRaised: boolean): readonly Reading[] {
	switch (school) {
		case 'raise':
			return ['velocity_m_s'];
		case 'one-point':
			// older logbooks keep what was read at 0.6 as the vertical's mean; once the meter was raised, that place holds something else
			return v.velocity06_m_s === undefined && v.velocity_m_s !== undefined && !isRaised
				? ['velocity_m_s']
				: ['velocity06_m_s'];
		case 'two-point':
			return ['velocity02_m_s', 'velocity08_m_s'];
		case 'three-point':
			return ['velocity02_m_s', 'velocity06_m_s', 'velocity08_m_s'];
	}
}

const speedAt = (v: VerticalSheet, reading: Reading): number | null =>
	v[reading] === undefined ? null : inPlaceUnit(v[reading], 'm_s');

/** The mean velocity of a vertical; null while one of its readings is missing. */
function velocityOf(v: VerticalSheet, inUse: InUse): number | null {
	const read = inUse(v).map((r) => speedAt(v, r));
	if (read.some((r) => r === null)) return null;
	const [first, second, third] = read as number[];
	if (read.length === 2)
		return verticalVelocity({ method: 'twoPoint', velocity02_ms: first!, velocity08_ms: second! }).velocity_ms;
	if (read.length === 3)
		return verticalVelocity({
			method: 'threePoint',
			velocity02_ms: first!,
			velocity06_ms: second!,
			velocity08_ms: third!
		}).velocity_ms;
	return first!;
}

function verticalViews(
	{ verticals, sweepVelocity_m_s }: GaugingSheet,
	method: GaugingMethod,
	inUse: InUse
): VerticalView[] {
	const swept = method === 'sweep' && sweepVelocity_m_s !== undefined ? inPlaceUnit(sweepVelocity_m_s, 'm_s') : null;
	return Object.entries(verticals ?? {})
		.map(([id, v]) => ({
			id,
			distance_m: v.distance_m === undefined ? null : metres(v.distance_m),
			depth_m: v.depth_m === undefined ? null : metres(v.depth_m),
			velocity_m_s: method === 'sweep' ? swept : velocityOf(v, inUse),
			share_percent: null
		}))
		.sort((a, b) => (a.distance_m ?? Infinity) - (b.distance_m ?? Infinity) || (a.id < b.id ? -1 : 1));
}

function edgesOf({ edges }: GaugingSheet): Pick<GaugingView, 'start' | 'end'> {
	const edge = (distance: Typed | undefined, depth: Typed | undefined) =>
		distance === undefined ? null : { distance_m: metres(distance), depth_m: depth === undefined ? 0 : metres(depth) };
	return {
		start: edge(edges?.startDistance_m, edges?.startDepth_m),
		end: edge(edges?.endDistance_m, edges?.endDepth_m)
	};
}

type Typed = Parameters<typeof metres>[0];

/** The section with a missing edge put one step beyond the outermost vertical, so that figures can be shown as they grow. */
function sectionSoFar(
	{ edges }: GaugingSheet,
	complete: readonly Vertical[],
	known: Pick<GaugingView, 'start' | 'end'>,
	method: GaugingMethod
): Section {
	// the sweep went from edge to edge: its velocity is the mean there too
	const atEdge = method === 'sweep' ? 1 : null;
	const first = complete[0]!.distance_m;
	const last = complete.at(-1)!.distance_m;
	const step = complete.length > 1 ? (last - first) / (complete.length - 1) : 0.5;
	return {
		edges: {
			startDistance_m: known.start?.distance_m ?? first - step,
			endDistance_m: known.end?.distance_m ?? last + step,
			startDepth_m: edges?.startDepth_m === undefined ? null : metres(edges.startDepth_m),
			endDepth_m: edges?.endDepth_m === undefined ? null : metres(edges.endDepth_m),
			startVelocityFraction: edges?.startVelocityFraction ?? atEdge,
			endVelocityFraction: edges?.endVelocityFraction ?? atEdge
		},
		verticals: complete
	};
}

function work(view: GaugingView, section: Section, complete: readonly { id: string }[]): void {
	const mid = midSectionDischarge(section);
	const share = new Map(complete.map((v, i) => [v.id, mid.panels[i + 1]!.percent]));
	view.verticals = view.verticals.map((v) => ({ ...v, share_percent: share.get(v.id) ?? null }));
	view.width_m = mid.width_m;
	view.area_m2 = mid.area_m2;
	view.discharge_m3s = mid.discharge_m3s;
	view.meanVelocity_ms = mid.meanVelocity_ms;
	view.next = nextBestVertical(section);
	view.working = midSectionWorking(mid);
	const simple = meanDepthDischarge({ ...section, depthDivisor: 'nPlusOne' });
	view.schools = [
		{ school: 'mid-section', discharge_m3s: mid.discharge_m3s },
		{ school: 'mean-section', discharge_m3s: meanSectionDischarge(section).discharge_m3s },
		{ school: 'mean-depth', discharge_m3s: simple.discharge_m3s, working: simple.working }
	];
}

/** What is doubtful about single readings: each is held against its meter, and the lower of a vertical against the upper. */
function readingDoubts(
	id: string,
	gauging: GaugingSheet,
	verticals: readonly VerticalView[],
	method: GaugingMethod,
	inUse: InUse,
	instruments: Context['instruments']
): Flag[] {
	const { instrument } = gauging;
	const facts = instrumentOf(instruments, instrument)?.measures.velocity;
	const meter = facts && instrument !== undefined ? { ...facts, instrument } : null;
	if (method === 'sweep') {
		const swept = gauging.sweepVelocity_m_s === undefined ? null : inPlaceUnit(gauging.sweepVelocity_m_s, 'm_s');
		return meter && swept !== null ? beyondMeter(`gaugings/${id}`, null, swept, meter) : [];
	}
	return verticals.flatMap(({ id: key, distance_m, depth_m }): Flag[] => {
		const v = gauging.verticals?.[key];
		if (!v || distance_m === null || depth_m === 0) return [];
		const path = `gaugings/${id}/verticals/${key}`;
		const read = inUse(v).flatMap((r) => speedAt(v, r) ?? []);
		const [at02, at08] = inUse(v).includes('velocity02_m_s')
			? [speedAt(v, 'velocity02_m_s'), speedAt(v, 'velocity08_m_s')]
			: [null, null];
		const turned: Flag[] =
			at02 !== null && at08 !== null && at08 > at02
				? [
						{
							path,
							parameter: 'discharge',
							code: 'speeds-turned',
							evidence: { distance_m, at02_m_s: at02, at08_m_s: at08 }
						}
					]
				: [];
		return [
			...(meter ? read.flatMap((speed) => beyondMeter(path, distance_m, speed, meter)).slice(0, 1) : []),
			...turned
		];
	});
}

/** One reading outside what its meter can tell. */
function beyondMeter(
	path: string,
	distance_m: number | null,
	velocity_m_s: number,
	meter: { low: number; high: number; stall?: number; instrument: string }
): Flag[] {
	const at = { path, parameter: 'discharge' };
	const speed = Math.abs(velocity_m_s);
	const { instrument, low, high } = meter;
	const least = Math.max(meter.stall ?? 0, low);
	if (speed > 0 && speed < least)
		return [
			{
				...at,
				code: 'below-stall-speed',
				evidence: { distance_m: distance_m ?? 0, velocity_m_s, stall_m_s: least, instrument }
			}
		];
	return speed > high
		? [
				{
					...at,
					code: 'beyond-meter',
					evidence: {
						parameter: 'Velocity',
						seen: `${velocity_m_s} m/s`,
						instrument,
						low: String(low),
						high: `${high} m/s`
					}
				}
			]
		: [];
}

function shortfalls(id: string, view: GaugingView, verticals: number, step: FlowStep): Flag[] {
	const flags: Flag[] = [];
	const at = { path: `gaugings/${id}`, parameter: 'discharge' };
	if (verticals < step.leastVerticals)
		flags.push({ ...at, code: 'few-verticals', evidence: { verticals, least: step.leastVerticals } });
	const heaviest = view.verticals.reduce<VerticalView | null>(
		(most, v) => ((v.share_percent ?? 0) > (most?.share_percent ?? step.shareLimit_percent) ? v : most),
		null
	);
	if (heaviest && verticals >= step.leastVerticals)
		flags.push({
			...at,
			path: `gaugings/${id}/verticals/${heaviest.id}`,
			code: 'share-over-limit',
			evidence: {
				distance_m: heaviest.distance_m!,
				share_percent: heaviest.share_percent!,
				limit_percent: step.shareLimit_percent
			}
		});
	return flags;
}
