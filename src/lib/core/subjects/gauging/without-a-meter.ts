import {
	FLOAT_COEFFICIENT_GIVE,
	floatCoefficient,
	floatDischarge,
	flumeDischarge,
	USUAL_SUBMERGENCE,
	volumetricDischarge
} from '../../discharge';
import { limitsOf, type Limits, type MethodCard } from '../../method';
import { coverage } from '../../quality';
import { exactly, follows, inPlaceUnit, measured, writeNumber, type Way, type Working } from '../../quantity';
import { mean, quantile, standardDeviation } from '../../statistics';
import { finding, type Finding } from '../determination';
import { doubt, type Flag } from '../flags';
import type { Lack } from './flags';
import { sectionAtMark } from './float-area';
import type { GaugingSheet } from './how';
import type { GaugingMethod } from './branch';

type Told = { findings: Finding[]; flags: Flag[] };

/** A gauging without a velocity meter: floats, a flume, a bucket. What it gives, and what keeps it from giving it. */
export function simpleGauging(id: string, gauging: GaugingSheet, method: GaugingMethod, card: MethodCard): Told {
	switch (method) {
		case 'float':
			return byFloats(id, gauging, limitsOf(card));
		case 'bucket':
			return byBucket(id, gauging);
		case 'flume':
			return throughFlume(id, gauging, limitsOf(card));
		default:
			return { findings: [], flags: [] };
	}
}

const at = (id: string) => ({ path: `gaugings/${id}`, parameter: 'discharge' });
const lacking = (id: string, lacks: Lack, flags: Flag[] = []): Told => ({
	findings: [],
	flags: [...flags, doubt('gauging-incomplete', at(id), { lacks })]
});

function flow(
	id: string,
	way: Way,
	discharge_m3_s: number,
	uncertainty: number | null,
	readings: number,
	basis: string,
	working: Working | null
): Finding {
	return finding({
		parameter: 'discharge',
		way,
		figure: exactly(discharge_m3_s, 'm3_s'),
		uncertainty,
		readings,
		source: 'derived',
		basis,
		working,
		place: `gaugings/${id}`
	});
}

/** Two standard uncertainties of a mean of repeats, widened where there are few of them; null of one. */
function ofMean(values: readonly number[]): number | null {
	const sd = standardDeviation(values);
	return sd === null ? null : (coverage(values.length - 1) * sd) / Math.sqrt(values.length);
}

function byFloats(id: string, { floats, wettedWidth_m }: GaugingSheet, limits: Limits): Told {
	const runTimes_s = Object.values(floats?.runs ?? {}).flatMap((r) => r.time_s ?? []);
	const sections = Object.values(floats?.areas ?? {}).flatMap((a) => sectionAtMark(a) ?? []);
	const areas_m2 = sections.map((s) => s.area_m2);
	const flags = oddRuns(id, runTimes_s);
	if (floats?.length_m === undefined || runTimes_s.length === 0)
		return lacking(id, floats?.length_m === undefined ? 'length' : 'run', flags);
	if (areas_m2.length === 0) return lacking(id, 'area', flags);
	const length_m = inPlaceUnit(floats.length_m, 'm');
	const width_m = wettedWidth_m === undefined ? null : inPlaceUnit(wettedWidth_m, 'm');
	const byMarks_m = mean(sections.flatMap((s) => s.meanDepth_m ?? []));
	const byArea_m = width_m ? mean(areas_m2)! / width_m : byMarks_m;
	const depth_m = floats.depth_m === undefined ? byArea_m : inPlaceUnit(floats.depth_m, 'm');
	const byDepth = depth_m === null || depth_m <= 0 ? null : floatCoefficient({ depth_m });
	const coefficient = floats.coefficient ?? limits.floatCoefficient ?? byDepth;
	if (coefficient === null) return lacking(id, 'depth', flags);
	if (coefficient <= 0) return lacking(id, 'coefficient', flags);
	const worked = floatDischarge({
		length_m,
		runTimes_s,
		areas_m2,
		coefficient,
		averaging: floats.averaging ?? 'times'
	});
	if (byDepth !== null && coefficient > byDepth + FLOAT_COEFFICIENT_GIVE)
		flags.push(doubt('float-coefficient-high', at(id), { coefficient, depth_m: depth_m!, byDepth }));
	const ofSpeed = ofMean(runTimes_s.map((t) => length_m / t));
	const ofArea = Math.max(ofMean(areas_m2) ?? 0, (limits.floatArea_percent / 100) * worked.area_m2);
	const sure = follows(
		[
			measured(worked.surfaceVelocity_m_s, ofSpeed),
			measured(coefficient, FLOAT_COEFFICIENT_GIVE),
			measured(worked.area_m2, ofArea)
		],
		(speed, c, area) => speed * c * area
	);
	const by =
		floats.coefficient !== undefined || limits.floatCoefficient !== undefined
			? ''
			: ` at ${writeNumber(Number(depth_m!.toFixed(2)))} m of depth`;
	const basis =
		`${runTimes_s.length} ${runTimes_s.length === 1 ? 'float' : 'floats'} over ${writeNumber(length_m)} ` +
		`m, surface speed × ${writeNumber(Number(coefficient.toFixed(3)))}${by}`;
	return {
		findings: [
			flow(id, 'float', worked.discharge_m3_s, sure?.uncertainty ?? null, runTimes_s.length, basis, worked.working)
		],
		flags
	};
}

/** How many times longer or shorter than the others a run may be before it is asked about. */
const ODD_RUN = 3;

/** A run among runs that are nothing like it: often a point in the wrong place, or a float that was caught. */
function oddRuns(id: string, times_s: readonly number[]): Flag[] {
	if (times_s.length < 3) return [];
	return times_s.flatMap((time_s, i): Flag[] => {
		const others = times_s.filter((_, k) => k !== i);
		const usual_s = quantile({ values: others, probability: 0.5 }).quantile!;
		return time_s > ODD_RUN * usual_s || time_s < usual_s / ODD_RUN
			? [doubt('run-apart', at(id), { time_s, usual_s, others: others.length })]
			: [];
	});
}

function byBucket(id: string, gauging: GaugingSheet): Told {
	const fills = Object.values(gauging.fills ?? {}).flatMap(({ volume_L, time_s }) =>
		volume_L === undefined || time_s === undefined ? [] : [{ volume_L, time_s }]
	);
	const flags = oddRuns(
		id,
		fills.map((f) => f.time_s)
	);
	if (fills.length === 0) return lacking(id, 'fill', flags);
	const worked = volumetricDischarge({ fills });
	const uncertainty = ofMean(fills.map((f) => f.volume_L / 1000 / f.time_s));
	const basis = fills.length === 1 ? 'one fill of a bucket' : `${fills.length} fills of a bucket`;
	return {
		findings: [flow(id, 'bucket', worked.discharge_m3_s, uncertainty, fills.length, basis, worked.working)],
		flags
	};
}

function throughFlume(id: string, { flume }: GaugingSheet, limits: Limits): Told {
	const flags: Flag[] = [];
	const rating = flume?.rating ?? limits.flume;
	const askew = { along: flume?.isLevelAlong === false, across: flume?.isLevelAcross === false };
	if (askew.along || askew.across) flags.push(doubt('flume-not-level', at(id), askew));
	if (flume?.head_m === undefined)
		return rating
			? lacking(id, 'head', flags)
			: { findings: [], flags: [...flags, doubt('flume-unrated', at(id), {})] };
	const head_m = inPlaceUnit(flume.head_m, 'm');
	if (flume.tailDepth_m === undefined) flags.push(doubt('flume-unread-tail', at(id), {}));
	const tailDepth_m = flume.tailDepth_m === undefined ? null : inPlaceUnit(flume.tailDepth_m, 'm');
	// the tail is held against the head also where nobody knows the flume's law
	const limit = rating?.submergenceLimit ?? USUAL_SUBMERGENCE;
	const submergence = tailDepth_m === null || head_m === 0 ? null : tailDepth_m / head_m;
	if (submergence !== null && submergence >= limit)
		flags.push(
			doubt('flume-submerged', at(id), { submergence_percent: 100 * submergence, limit_percent: 100 * limit })
		);
	if (!rating) return { findings: [], flags: [...flags, doubt('flume-unrated', at(id), {})] };
	const { discharge_m3_s, reasons, valid } = flumeDischarge({ ...rating, head_m, tailDepth_m });
	if (reasons.some((r) => r !== 'submerged'))
		flags.push(
			doubt('flume-out-of-range', at(id), { head_m, low_m: rating.minimumHead_m, high_m: rating.maximumHead_m })
		);
	const which = flume.rating ? `${flume.rating.name}, ` : 'flume, ';
	return {
		findings: valid ? [flow(id, 'flume', discharge_m3_s, null, 1, `${which}head ${writeNumber(head_m)} m`, null)] : [],
		flags
	};
}
