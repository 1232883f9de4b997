import {
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
import type { GaugingMethod, Sheet } from '../logbook';
import type { MethodCard } from '../method';
import type { Flag } from '../quality';
import { inPlaceUnit, type AsTyped } from '../quantity';
import type { Context } from './context';
import type { GaugingView, VerticalView } from './outcome';
import { remembered } from './remember';
import { flowStepOf, isBySection, wayTaken, type FlowStep } from './way';

type GaugingSheet = NonNullable<Sheet['gaugings']>[string];

/** A gauging's verticals worked out as far as they go, with what is doubtful about them. */
const gaugingView = remembered(viewOf);

/** Every gauging of a sheet that is worked out over a section: what a hand in the water waits for, without all else that follows. */
export function gaugingViews({ gaugings }: Sheet, card: MethodCard, instruments: Context['instruments']): { view: GaugingView; flags: Flag[] }[] {
	const step = flowStepOf(card);
	return Object.entries(gaugings ?? {}).flatMap(([id, g]) => (isBySection(wayTaken(g, step)) ? [gaugingView(g, id, step, instruments)] : []));
}

function viewOf(gauging: GaugingSheet, id: string, step: FlowStep | undefined, instruments: Context['instruments']): { view: GaugingView; flags: Flag[] } {
	const flags: Flag[] = [];
	const doubt = (flag: Pick<Flag, 'code' | 'evidence'>, at = '') => flags.push({ ...flag, path: `gaugings/${id}${at}`, parameter: 'discharge' } as Flag);
	const { method, arithmetic } = wayTaken(gauging, step);
	const verticals = verticalViews(gauging, method);
	const complete: (Vertical & { id: string })[] = [];
	for (const v of verticals) {
		if (v.distance_m === null) continue;
		const lacks = v.depth_m === null ? 'depth' : v.velocity_m_s === null && v.depth_m > 0 ? 'velocity' : null;
		if (lacks) doubt({ code: 'vertical-incomplete', evidence: { distance_m: v.distance_m, lacks } }, `/verticals/${v.id}`);
		else complete.push({ id: v.id, distance_m: v.distance_m, depth_m: v.depth_m ?? 0, velocity_ms: v.velocity_m_s ?? 0 });
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
		next: null,
		working: null,
		schools: []
	};
	if (complete.length === 0) return { view, flags };
	for (const side of ['start', 'end'] as const) if (!known[side]) doubt({ code: 'edge-missing', evidence: { side: side === 'start' ? 'first' : 'far' } });

	const section = sectionSoFar(gauging, complete, known);
	try {
		work(view, section, complete);
		const chosen = view.schools.find((s) => s.school === arithmetic);
		if (chosen && arithmetic !== 'mid-section') {
			view.discharge_m3s = chosen.discharge_m3s;
			view.meanVelocity_ms = view.area_m2 ? chosen.discharge_m3s / view.area_m2 : null;
			view.working = chosen.working ?? null;
		}
		// one velocity for all verticals says nothing of how they differ
		if (method === 'sweep') [view.uncertainty, view.next] = [null, null];
	} catch (error) {
		// a half-typed section need not be one yet: what is wrong with it is said, the figures wait
		if (!(error instanceof RangeError)) throw error;
		doubt({ code: 'section-impossible', evidence: { why: error.message } });
		return { view, flags };
	}
	flags.push(...stalled(id, gauging.instrument, complete, instruments));
	if (step) flags.push(...shortfalls(id, view, complete.length, step));
	return { view, flags };
}

const metres = (typed: AsTyped<'m' | 'cm' | 'ft' | 'inch'>) => inPlaceUnit(typed, 'm');

type VerticalSheet = NonNullable<GaugingSheet['verticals']>[string];

/** The mean velocity of a vertical: as it was read, or from the points of its depth that were; null while one is missing. */
function velocityOf(v: VerticalSheet): number | null {
	const [mean, at02, at06, at08] = [v.velocity_m_s, v.velocity02_m_s, v.velocity06_m_s, v.velocity08_m_s].map((typed) =>
		typed === undefined ? null : inPlaceUnit(typed, 'm_s')
	);
	const points = { velocity02_ms: at02 ?? null, velocity06_ms: at06 ?? null, velocity08_ms: at08 ?? null };
	if (at02 != null && at08 != null) return verticalVelocity({ method: at06 == null ? 'twoPoint' : 'threePoint', ...points }).velocity_ms;
	return mean ?? (at02 == null && at08 == null ? (at06 ?? null) : null);
}

function verticalViews({ verticals, sweepVelocity_m_s }: GaugingSheet, method: GaugingMethod): VerticalView[] {
	const swept = method === 'sweep' && sweepVelocity_m_s !== undefined ? inPlaceUnit(sweepVelocity_m_s, 'm_s') : null;
	return Object.entries(verticals ?? {})
		.map(([id, v]) => ({
			id,
			distance_m: v.distance_m === undefined ? null : metres(v.distance_m),
			depth_m: v.depth_m === undefined ? null : metres(v.depth_m),
			velocity_m_s: method === 'sweep' ? swept : velocityOf(v),
			share_percent: null
		}))
		.sort((a, b) => (a.distance_m ?? Infinity) - (b.distance_m ?? Infinity) || (a.id < b.id ? -1 : 1));
}

function edgesOf({ edges }: GaugingSheet): Pick<GaugingView, 'start' | 'end'> {
	const edge = (distance: Typed | undefined, depth: Typed | undefined) =>
		distance === undefined ? null : { distance_m: metres(distance), depth_m: depth === undefined ? 0 : metres(depth) };
	return { start: edge(edges?.startDistance_m, edges?.startDepth_m), end: edge(edges?.endDistance_m, edges?.endDepth_m) };
}

type Typed = Parameters<typeof metres>[0];

/** The section with a missing edge put one step beyond the outermost vertical, so that figures can be shown as they grow. */
function sectionSoFar({ edges }: GaugingSheet, complete: readonly Vertical[], known: Pick<GaugingView, 'start' | 'end'>): Section {
	const first = complete[0]!.distance_m;
	const last = complete.at(-1)!.distance_m;
	const step = complete.length > 1 ? (last - first) / (complete.length - 1) : 0.5;
	return {
		edges: {
			startDistance_m: known.start?.distance_m ?? first - step,
			endDistance_m: known.end?.distance_m ?? last + step,
			startDepth_m: edges?.startDepth_m === undefined ? null : metres(edges.startDepth_m),
			endDepth_m: edges?.endDepth_m === undefined ? null : metres(edges.endDepth_m),
			startVelocityFraction: edges?.startVelocityFraction ?? null,
			endVelocityFraction: edges?.endVelocityFraction ?? null
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
	view.uncertainty = iveUncertainty(section);
	view.next = nextBestVertical(section, view.uncertainty);
	view.working = midSectionWorking(mid);
	const simple = meanDepthDischarge({ ...section, depthDivisor: 'nPlusOne' });
	view.schools = [
		{ school: 'mid-section', discharge_m3s: mid.discharge_m3s },
		{ school: 'mean-section', discharge_m3s: meanSectionDischarge(section).discharge_m3s },
		{ school: 'mean-depth', discharge_m3s: simple.discharge_m3s, working: simple.working }
	];
}

function stalled(id: string, instrument: string | undefined, complete: readonly (Vertical & { id: string })[], instruments: Context['instruments']): Flag[] {
	const facts = instruments[instrument ?? '']?.measures.velocity;
	if (!facts || instrument === undefined) return [];
	return complete.flatMap((v): Flag[] => {
		const at = { path: `gaugings/${id}/verticals/${v.id}`, parameter: 'discharge' };
		const speed = Math.abs(v.velocity_ms);
		if (facts.stall !== undefined && v.depth_m > 0 && speed > 0 && speed < facts.stall)
			return [{ ...at, code: 'below-stall-speed', evidence: { distance_m: v.distance_m, velocity_m_s: v.velocity_ms, stall_m_s: facts.stall, instrument } }];
		if (speed > facts.high)
			return [
				{
					...at,
					code: 'beyond-meter',
					evidence: { parameter: 'Velocity', seen: `${v.velocity_ms} m/s`, instrument, low: String(facts.low), high: `${facts.high} m/s` }
				}
			];
		return [];
	});
}

function shortfalls(id: string, view: GaugingView, verticals: number, step: FlowStep): Flag[] {
	const flags: Flag[] = [];
	const at = { path: `gaugings/${id}`, parameter: 'discharge' };
	if (verticals < step.leastVerticals) flags.push({ ...at, code: 'few-verticals', evidence: { verticals, least: step.leastVerticals } });
	const heaviest = view.verticals.reduce<VerticalView | null>(
		(most, v) => ((v.share_percent ?? 0) > (most?.share_percent ?? step.shareLimit_percent) ? v : most),
		null
	);
	if (heaviest && verticals >= step.leastVerticals)
		flags.push({
			...at,
			path: `gaugings/${id}/verticals/${heaviest.id}`,
			code: 'share-over-limit',
			evidence: { distance_m: heaviest.distance_m!, share_percent: heaviest.share_percent!, limit_percent: step.shareLimit_percent }
		});
	return flags;
}
