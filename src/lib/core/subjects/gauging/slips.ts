import type { Sheet } from '../../logbook';
import { slipGuesses } from '../../quality';
import { exactly, inPlaceUnit, type Unit } from '../../quantity';
import { doubt, type Flag } from '../flags';
import type { UnitSlip } from '../reading/flags';
import { remembered } from '../remember';
import type { GaugingSheet } from './how';
import type { VerticalSheet } from './verticals';

/** A section needs this many other verticals before it can say what one of them should be. */
const ENOUGH_OTHERS = 3;
/**
 * How far beyond the others' largest a depth or velocity may lie without being asked about, and how near to them a
 * slip must bring it.
 */
const ROOM = 2.5;
const NEAR = 1.5;

/** A depth, velocity or distance that a usual slip would explain, held against the other verticals of its section. */
export const verticalSlips = ({ gaugings }: Sheet): Flag[] =>
	Object.entries(gaugings ?? {}).flatMap(([id, gauging]) =>
		Object.entries(largestSlips(gauging)).map(([key, slip]) =>
			doubt('unit-slip', { path: `gaugings/${id}/verticals/${key}`, parameter: 'discharge' }, slip)
		)
	);

const SPEEDS = ['velocity_m_s', 'velocity02_m_s', 'velocity06_m_s', 'velocity08_m_s'] as const;

/** By vertical: only the largest depth and the largest velocity can lie far beyond all others. */
const largestSlips = remembered(({ verticals }: GaugingSheet) => {
	const slips: Record<string, UnitSlip> = tapeSlip(verticals ?? {});
	for (const { of, name, unit } of [
		{ of: ['depth_m'], name: 'depth', unit: 'm' },
		{ of: SPEEDS, name: 'velocity', unit: 'm_s' }
	] as const) {
		const seen = Object.entries(verticals ?? {})
			.flatMap(([key, v]) =>
				of.flatMap((place) =>
					v[place] === undefined ? [] : [{ key, place, number: inPlaceUnit<Unit>(v[place], unit), typed: v[place] }]
				)
			)
			.filter((v) => v.number > 0)
			.sort((a, b) => a.number - b.number);
		const largest = seen.pop();
		const [least, most] = [seen[0]?.number, seen.at(-1)?.number];
		if (
			!largest ||
			least === undefined ||
			most === undefined ||
			seen.length < ENOUGH_OTHERS ||
			largest.number <= most * ROOM
		)
			continue;
		const guess = slipGuesses(largest.number, unit, { low: least / NEAR, high: most * NEAR })[0];
		if (!guess) continue;
		slips[largest.key] = {
			of: name,
			seen: typeof largest.typed === 'number' ? exactly(largest.number, unit) : largest.typed,
			instead: { value: guess.instead, unit },
			within: { low: least, high: most, unit },
			from: { verticals: seen.length },
			retype: guess.retype,
			field: largest.place
		};
	}
	return slips;
});

/** A step along the tape so many times the longest before it is asked about. */
const LONG_STEP = 4;

/**
 * A place on the tape far beyond the others that one point in another place would bring beside them: 25 for 2.5, said
 * at once.
 */
function tapeSlip(verticals: Record<string, VerticalSheet>): Record<string, UnitSlip> {
	const seen = Object.entries(verticals)
		.flatMap(([key, v]) =>
			v.distance_m === undefined ? [] : [{ key, number: inPlaceUnit(v.distance_m, 'm'), typed: v.distance_m }]
		)
		.sort((a, b) => a.number - b.number);
	const last = seen.at(-1);
	const others = seen.slice(0, -1);
	if (!last || others.length < 2) return {};
	const steps = others.slice(1).map((v, i) => v.number - others[i]!.number);
	const longest = Math.max(...steps);
	const before = others.at(-1)!.number;
	if (longest <= 0 || last.number - before <= LONG_STEP * longest) return {};
	const instead = Number((last.number / 10).toPrecision(12));
	if (
		instead <= others[0]!.number ||
		instead > before + LONG_STEP * longest ||
		others.some((v) => v.number === instead)
	)
		return {};
	const typed = typeof last.typed === 'number' ? { value: last.typed, unit: 'm' as const } : last.typed;
	const retype = { value: Number((typed.value / 10).toPrecision(12)), unit: typed.unit };
	return {
		[last.key]: {
			of: 'distance',
			seen: typed,
			instead: retype,
			within: { low: others[0]!.number, high: before, unit: 'm' },
			from: 'places',
			retype,
			field: 'distance_m'
		}
	};
}
