import { floatDischarge, flumeDischarge, volumetricDischarge } from '../discharge';
import { limitsOf, type Limits, type MethodCard } from '../method';
import type { GaugingMethod, Sheet } from '../logbook';
import type { Flag } from '../quality';
import { exactly, inPlaceUnit, type Working } from '../quantity';
import type { Finding } from './outcome';

type GaugingSheet = NonNullable<Sheet['gaugings']>[string];

/** A gauging without a velocity meter: floats, a flume, a bucket. What it gives, and what keeps it from giving it. */
export function simpleGauging(id: string, gauging: GaugingSheet, method: GaugingMethod, card: MethodCard): { findings: Finding[]; flags: Flag[] } {
	const limits = limitsOf(card);
	const flags: Flag[] = [];
	const doubt = (flag: Pick<Flag, 'code' | 'evidence'>) => flags.push({ ...flag, path: `gaugings/${id}`, parameter: 'discharge' } as Flag);
	const lacking = (lacks: string) => {
		doubt({ code: 'gauging-incomplete', evidence: { lacks } });
		return { findings: [], flags };
	};
	const found = (discharge_m3s: number, uncertainty: number | null, readings: number, basis: string, working: Working | null) => ({
		findings: [{ parameter: 'discharge' as const, figure: exactly(discharge_m3s, 'm3_s'), uncertainty, readings, source: 'derived' as const, basis, working }],
		flags
	});

	switch (method) {
		case 'float': {
			const runTimes_s = Object.values(gauging.floats?.runs ?? {}).flatMap((r) => r.time_s ?? []);
			const areas_m2 = Object.values(gauging.floats?.areas ?? {}).flatMap((a) => a.area_m2 ?? []);
			const length = gauging.floats?.length_m;
			if (length === undefined || runTimes_s.length === 0) return lacking(length === undefined ? 'length' : 'timed run');
			const length_m = inPlaceUnit(length, 'm');
			if (areas_m2.length === 0) return lacking('area');
			const coefficient = gauging.floats?.coefficient ?? limits.floatCoefficient;
			const flow = floatDischarge({ length_m, runTimes_s, areas_m2, coefficient, averaging: gauging.floats?.averaging ?? 'times' });
			return found(
				flow.discharge_m3s,
				ofMean(flow.runVelocitySd_ms, runTimes_s.length, coefficient * flow.area_m2),
				runTimes_s.length,
				`${runTimes_s.length} floats over ${length_m} m, surface speed × ${coefficient}`,
				flow.working
			);
		}
		case 'bucket': {
			const fills = Object.values(gauging.fills ?? {}).flatMap(({ volume_L, time_s }) =>
				volume_L === undefined || time_s === undefined ? [] : [{ volume_L, time_s }]
			);
			if (fills.length === 0) return lacking('timed fill');
			const flow = volumetricDischarge({ fills });
			return found(flow.discharge_m3s, ofMean(flow.sd_m3s, fills.length, 1), fills.length, `${fills.length} fills of a bucket`, flow.working);
		}
		case 'flume':
			return throughFlume(gauging, limits);
		default:
			return { findings: [], flags };
	}

	function throughFlume({ flume }: GaugingSheet, { flume: rating }: Limits) {
		if (!rating) {
			doubt({ code: 'flume-unrated', evidence: {} });
			return { findings: [], flags };
		}
		if (flume?.head_m === undefined) return lacking('head');
		const head_m = inPlaceUnit(flume.head_m, 'm');
		const askew = [flume.isLevelAlong === false ? 'along' : '', flume.isLevelAcross === false ? 'across' : ''].filter(Boolean);
		if (askew.length) doubt({ code: 'flume-not-level', evidence: { how: askew.join(' and ') } });
		if (flume.tailDepth_m === undefined) doubt({ code: 'flume-unread-tail', evidence: {} });
		const tailDepth_m = flume.tailDepth_m === undefined ? null : inPlaceUnit(flume.tailDepth_m, 'm');
		const { discharge_m3s, submergence, reasons } = flumeDischarge({ ...rating, head_m, tailDepth_m });
		for (const reason of reasons) {
			if (reason === 'submerged')
				doubt({ code: 'flume-submerged', evidence: { submergence_percent: 100 * submergence!, limit_percent: 100 * rating.submergenceLimit } });
			else doubt({ code: 'flume-out-of-range', evidence: { head_m, low_m: rating.minimumHead_m, high_m: rating.maximumHead_m } });
		}
		return reasons.length > 0 ? { findings: [], flags } : found(discharge_m3s, null, 1, `flume, head ${head_m} m`, null);
	}
}

/** Two standard uncertainties of a mean of repeats, times what the mean is multiplied by. */
const ofMean = (sd: number | null, repeats: number, factor: number) => (sd === null ? null : (2 * sd * factor) / Math.sqrt(repeats));
