import type { Context } from '../context';
import { instrumentOf } from '../context';
import { doubt, type Flag } from '../flags';
import { exactly } from '../../quantity';
import type { GaugingMethod } from './branch';
import type { GaugingSheet } from './how';
import type { FlowStep } from './step';
import { speedAt, sweptVelocity, type InUse } from './verticals';
import type { GaugingView, VerticalView } from './view';

type Meter = NonNullable<NonNullable<ReturnType<typeof instrumentOf>>['measures']['velocity']> & { instrument: string };

/**
 * What is doubtful about single readings: each is held against its meter, and the lower of a vertical against the
 * upper.
 */
export function readingDoubts(
	id: string,
	gauging: GaugingSheet,
	verticals: readonly VerticalView[],
	method: GaugingMethod,
	inUse: InUse,
	instruments: Context['instruments']
): Flag[] {
	const { instrument } = gauging;
	const facts = instrumentOf(instruments, instrument)?.measures.velocity;
	const meter: Meter | null = facts && instrument !== undefined ? { ...facts, instrument } : null;
	if (method === 'sweep') {
		const swept = sweptVelocity(gauging);
		return meter && swept !== null ? beyondMeter(`gaugings/${id}`, 0, swept, meter) : [];
	}
	return verticals.flatMap(({ id: key, distance_m, depth_m }): Flag[] => {
		const v = gauging.verticals?.[key];
		if (!v || distance_m === null || depth_m === 0) return [];
		const path = `gaugings/${id}/verticals/${key}`;
		const read = inUse(v).flatMap((r) => speedAt(v, r) ?? []);
		const beyond = meter ? read.flatMap((speed) => beyondMeter(path, distance_m, speed, meter)).slice(0, 1) : [];
		const hasBoth = inUse(v).includes('velocity02_m_s');
		const [at02_m_s, at08_m_s] = [speedAt(v, 'velocity02_m_s'), speedAt(v, 'velocity08_m_s')];
		if (!hasBoth || at02_m_s === null || at08_m_s === null || at08_m_s <= at02_m_s) return beyond;
		const at = { path, parameter: 'discharge' };
		return [...beyond, doubt('speeds-turned', at, { distance_m, at02_m_s, at08_m_s })];
	});
}

/** One reading outside what its meter can tell. */
function beyondMeter(path: string, distance_m: number, velocity_m_s: number, meter: Meter): Flag[] {
	const at = { path, parameter: 'discharge' };
	const speed = Math.abs(velocity_m_s);
	const { instrument, low, high } = meter;
	/** Its threshold velocity, or the least it shows. */
	const threshold_m_s = Math.max(meter.stall ?? 0, low);
	if (speed > 0 && speed < threshold_m_s)
		return [doubt('below-threshold-velocity', at, { distance_m, velocity_m_s, threshold_m_s, instrument })];
	if (speed <= high) return [];
	const measures = { low, high, unit: 'm_s' } as const;
	const evidence = { parameter: 'velocity', seen: exactly(velocity_m_s, 'm_s'), instrument, measures } as const;
	return [doubt('beyond-meter', at, evidence)];
}

/** Too few verticals, and one that carries too much of the flow. */
export function shortfalls(id: string, view: GaugingView, verticals: number, step: FlowStep): Flag[] {
	if (verticals < step.leastVerticals) {
		const at = { path: `gaugings/${id}`, parameter: 'discharge' };
		return [doubt('few-verticals', at, { verticals, least: step.leastVerticals })];
	}
	const limit_percent = step.shareLimit_percent;
	const heaviest = view.verticals.reduce<VerticalView | null>(
		(most, v) => ((v.share_percent ?? 0) > (most?.share_percent ?? limit_percent) ? v : most),
		null
	);
	if (!heaviest) return [];
	const at = { path: `gaugings/${id}/verticals/${heaviest.id}`, parameter: 'discharge' };
	const { distance_m, share_percent } = heaviest;
	return [doubt('share-over-limit', at, { distance_m: distance_m!, share_percent: share_percent!, limit_percent })];
}
