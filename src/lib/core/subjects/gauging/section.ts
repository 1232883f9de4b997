import {
	isoUncertainty,
	iveUncertainty,
	meanDepthDischarge,
	meanSectionDischarge,
	midSectionDischarge,
	midSectionWorking,
	nextBestVertical,
	type MidSection,
	type Section,
	type Vertical
} from '../../discharge';
import type { Folded } from '../../logbook';
import { limitsOf, type MethodCard } from '../../method';
import type { Context } from '../context';
import { doubt, type Flag } from '../flags';
import { remembered } from '../remember';
import type { GaugingMethod } from './branch';
import { flowStepOf, howGauged, isBySection, wasRaised, type GaugingSheet } from './how';
import { readingDoubts, shortfalls } from './section-doubts';
import type { FlowStep } from './step';
import { edgesOf, metresOrNull, pointMethodRead, readingsInUse, verticalViews, type InUse } from './verticals';
import type { GaugingView, VerticalView } from './view';

/** What is known of a gauging of a section. */
interface Worked {
	view: GaugingView;
	flags: Flag[];
}

/** A gauging's verticals worked out as far as they go, with what is doubtful about them. */
const gaugingView = remembered(viewOf);

/**
 * Every gauging of a sheet that is worked out over a section: what a hand in the water waits for, without all else
 * that follows.
 */
export function gaugingViews(
	{ sheet, lines }: { sheet: Pick<Folded['sheet'], 'gaugings'>; lines: Folded['lines'] },
	card: MethodCard,
	instruments: Context['instruments']
): Worked[] {
	const step = flowStepOf(card);
	return Object.entries(sheet.gaugings ?? {}).flatMap(([id, g]) => {
		if (!isBySection(howGauged(g, step))) return [];
		return [gaugingView(g, id, card, step, instruments, wasRaised(id, lines, step))];
	});
}

type Complete = Vertical & { id: string; points: number };

/** Under so many verticals neither the scatter nor the standard's table says how sure a flow is. */
const ENOUGH_VERTICALS = 5;
/** How far beyond a single vertical its missing edge is put, so that a figure shows as it grows. */
const STEP_OF_ONE_m = 0.5;

function viewOf(
	gauging: GaugingSheet,
	id: string,
	card: MethodCard,
	step: FlowStep | undefined,
	instruments: Context['instruments'],
	isRaised: boolean
): Worked {
	const { method, school, arithmetic } = howGauged(gauging, step);
	const inUse: InUse = (v) => readingsInUse(v, gauging.school ?? pointMethodRead(v, school), isRaised);
	const verticals = verticalViews(gauging, method, inUse);
	const known = edgesOf(gauging);
	const view: GaugingView = {
		...nothingYet,
		id,
		arithmetic,
		verticals,
		...known,
		provisional: !known.start || !known.end
	};
	const complete = completeOf(gauging, verticals, inUse);
	const flags = incompleteFlags(id, verticals);
	if (complete.length === 0) return { view, flags };
	flags.push(...missingEdges(id, known));
	const why = workIfPossible(view, sectionSoFar(gauging, complete, known, method), complete, method, card);
	if (why !== null) return { view, flags: [...flags, doubt('section-impossible', placeOf(id), { why })] };
	return {
		view,
		flags: [
			...flags,
			...(step ? shortfalls(id, view, complete.length, step) : []),
			...readingDoubts(id, gauging, verticals, method, inUse, instruments)
		]
	};
}

const placeOf = (id: string) => ({ path: `gaugings/${id}`, parameter: 'discharge' });

/** A gauging of which no vertical is whole. */
const nothingYet = {
	width_m: null,
	area_m2: null,
	discharge_m3_s: null,
	meanVelocity_m_s: null,
	uncertainty: null,
	byTable_percent: null,
	expanded_percent: null,
	next: null,
	working: null,
	arithmetics: []
} satisfies Partial<GaugingView>;

const lackOf = ({ depth_m, velocity_m_s }: VerticalView): 'depth' | 'velocity' | null => {
	if (depth_m === null) return 'depth';
	return velocity_m_s === null && depth_m > 0 ? 'velocity' : null;
};

/** Verticals that can be reckoned with: where they stand, how deep, how fast. */
const completeOf = (gauging: GaugingSheet, verticals: readonly VerticalView[], inUse: InUse): Complete[] =>
	verticals.flatMap((v) =>
		v.distance_m === null || lackOf(v) !== null
			? []
			: [
					{
						id: v.id,
						distance_m: v.distance_m,
						depth_m: v.depth_m ?? 0,
						velocity_m_s: v.velocity_m_s ?? 0,
						points: inUse(gauging.verticals?.[v.id] ?? {}).length
					}
				]
	);

const incompleteFlags = (id: string, verticals: readonly VerticalView[]): Flag[] =>
	verticals.flatMap((v) => {
		const lacks = lackOf(v);
		if (v.distance_m === null || lacks === null) return [];
		const at = { path: `gaugings/${id}/verticals/${v.id}`, parameter: 'discharge' };
		return [doubt('vertical-incomplete', at, { distance_m: v.distance_m, lacks })];
	});

const missingEdges = (id: string, { start, end }: Pick<GaugingView, 'start' | 'end'>): Flag[] => [
	...(start ? [] : [doubt('edge-missing', placeOf(id), { side: 'first' })]),
	...(end ? [] : [doubt('edge-missing', placeOf(id), { side: 'far' })])
];

/**
 * A half-typed section need not be one yet: what is wrong with it comes back, and the figures wait; null where they
 * stand.
 */
function workIfPossible(
	view: GaugingView,
	section: Section,
	complete: readonly Complete[],
	method: GaugingMethod,
	card: MethodCard
): string | null {
	try {
		const mid = midSectionDischarge(section);
		work(view, section, complete, mid);
		// one velocity for all verticals says nothing of how they differ
		if (method !== 'sweep') howSure(view, section, complete, mid, card);
		return null;
	} catch (error) {
		if (error instanceof RangeError) return error.message;
		throw error;
	}
}

/**
 * How sure, both ways: by the scatter between verticals, and by the standard's table. The larger counts. And where one
 * more vertical would help most.
 */
function howSure(
	view: GaugingView,
	section: Section,
	complete: readonly Complete[],
	mid: MidSection,
	card: MethodCard
): void {
	const scatter = iveUncertainty(section, mid);
	view.next = nextBestVertical(section, scatter);
	if (view.provisional || complete.length < ENOUGH_VERTICALS) return;
	view.uncertainty = scatter;
	const limits = limitsOf(card);
	const components = {
		systematicPercent: limits.sectionSystematic_percent,
		widthPercent: limits.sectionWidth_percent,
		depthPercent: limits.sectionDepth_percent,
		calibrationPercent: limits.sectionMeter_percent,
		exposurePercent: limits.sectionExposure_percent
	};
	const byTable = isoUncertainty({ edges: section.edges, verticals: complete, ...components }, mid);
	view.byTable_percent = byTable.expandedPercent;
	const both = [scatter.expandedPercent, view.byTable_percent].filter((p) => p !== null);
	view.expanded_percent = both.length ? Math.max(...both.map(Math.abs)) : null;
}

/**
 * The section with a missing edge put one step beyond the outermost vertical, so that figures can be shown as they
 * grow.
 */
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
	const step = complete.length > 1 ? (last - first) / (complete.length - 1) : STEP_OF_ONE_m;
	return {
		edges: {
			startDistance_m: known.start?.distance_m ?? first - step,
			endDistance_m: known.end?.distance_m ?? last + step,
			startDepth_m: metresOrNull(edges?.startDepth_m),
			endDepth_m: metresOrNull(edges?.endDepth_m),
			startVelocityFraction: edges?.startVelocityFraction ?? atEdge,
			endVelocityFraction: edges?.endVelocityFraction ?? atEdge
		},
		verticals: complete
	};
}

/**
 * The figures of a section, by every arithmetic; the one in use gives the discharge. Throws RangeError where it is no
 * section.
 */
function work(view: GaugingView, section: Section, complete: readonly { id: string }[], mid: MidSection): void {
	const share = new Map(complete.map((v, i) => [v.id, mid.panels[i + 1]!.percent]));
	view.verticals = view.verticals.map((v) => ({ ...v, share_percent: share.get(v.id) ?? null }));
	view.width_m = mid.width_m;
	view.area_m2 = mid.area_m2;
	view.discharge_m3_s = mid.discharge_m3_s;
	view.meanVelocity_m_s = mid.meanVelocity_m_s;
	view.working = midSectionWorking(mid);
	const simple = meanDepthDischarge({ ...section, depthDivisor: 'nPlusOne' });
	view.arithmetics = [
		{ arithmetic: 'mid-section', discharge_m3_s: mid.discharge_m3_s },
		{ arithmetic: 'mean-section', discharge_m3_s: meanSectionDischarge(section).discharge_m3_s },
		{ arithmetic: 'mean-depth', discharge_m3_s: simple.discharge_m3_s, working: simple.working }
	];
	const chosen = view.arithmetics.find((a) => a.arithmetic === view.arithmetic);
	if (!chosen || chosen.arithmetic === 'mid-section') return;
	view.discharge_m3_s = chosen.discharge_m3_s;
	view.meanVelocity_m_s = view.area_m2 ? chosen.discharge_m3_s / view.area_m2 : null;
	view.working = chosen.working ?? null;
}
