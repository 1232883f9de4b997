import { readingSlips, slipGuesses, type Evidence, type Flag } from '../quality';
import {
	amount,
	inPlaceUnit,
	parameters,
	significant,
	units,
	writeFigure,
	writeNumber,
	type Figure,
	type ParameterCode,
	type Unit
} from '../quantity';
import type { Sheet } from '../logbook';
import { ENOUGH_VISITS } from './unusual';
import type { Usual } from './context';
import { remembered } from './remember';

/**
 * Figures that a usual slip would explain: the wrong unit, a point in the wrong place. A reading is held against what this site has
 * shown, else against what is plausible anywhere; a depth or velocity against the other verticals of its section.
 */
export function slipFlags(sheet: Sheet, usual: Partial<Record<ParameterCode, Usual>>): Flag[] {
	return [...readingFlags(sheet, usual), ...verticalFlags(sheet)];
}

function readingFlags({ readings }: Sheet, usual: Partial<Record<ParameterCode, Usual>>): Flag[] {
	return (Object.entries(readings ?? {}) as [ParameterCode, Record<string, Figure>][]).flatMap(([code, slots]) => {
		const seen = usual[code];
		const known = seen && seen.visits >= ENOUGH_VISITS ? seen : null;
		const [low, high] = parameters[code].plausible;
		const range = known ?? { low, high };
		const from = known ? `what ${known.visits} visits here have seen` : 'the usual range';
		const { unit, name } = parameters[code];
		return Object.entries(slots).flatMap(([slot, figure]): Flag[] => {
			const { number, qualifier } = amount(figure);
			if (qualifier !== null) return []; // a limit says where a method ends, not what was read
			const guess = readingSlips(code, number, figure.unit, range)[0];
			if (!guess) return [];
			const say = (n: number, u: Unit) => `${significant(n, 3)} ${units[u].symbol}`.replace('-', '−');
			return [
				{
					code: 'unit-slip',
					path: `readings/${code}/${slot}`,
					parameter: code,
					evidence: {
						parameter: name,
						seen: writeFigure(figure),
						slip: guess.slip,
						instead: say(guess.instead, figure.unit),
						low: say(range.low, unit),
						high: say(range.high, unit),
						from,
						retype: guess.retype
					}
				}
			];
		});
	});
}

/** A section needs this many other verticals before it can say what one of them should be. */
const ENOUGH_OTHERS = 3;
/** How far beyond the others' largest a depth or velocity may lie without being asked about, and how near to them a slip must bring it. */
const ROOM = 2.5;
const NEAR = 1.5;

function verticalFlags({ gaugings }: Sheet): Flag[] {
	return Object.entries(gaugings ?? {}).flatMap(([id, gauging]) =>
		Object.entries(largestSlips(gauging)).map(([key, evidence]): Flag => ({
			code: 'unit-slip',
			path: `gaugings/${id}/verticals/${key}`,
			parameter: 'discharge',
			evidence
		}))
	);
}

type GaugingSheet = NonNullable<Sheet['gaugings']>[string];
type VerticalSheet = NonNullable<GaugingSheet['verticals']>[string];
const SPEEDS = ['velocity_m_s', 'velocity02_m_s', 'velocity06_m_s', 'velocity08_m_s'] as const;

/** By vertical: only the largest depth and the largest velocity can lie far beyond all others. */
const largestSlips = remembered(({ verticals }: GaugingSheet) => {
	const slips: Record<string, Evidence['unit-slip']> = tapeSlip(verticals ?? {});
	for (const { of, name, unit } of [
		{ of: ['depth_m'], name: 'Depth', unit: 'm' },
		{ of: SPEEDS, name: 'Velocity', unit: 'm_s' }
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
		const say = (n: number) => `${significant(n, 2)} ${units[unit].symbol}`;
		slips[largest.key] = {
			parameter: name,
			seen: typeof largest.typed === 'number' ? `${largest.number} ${units[unit].symbol}` : writeFigure(largest.typed),
			slip: guess.slip,
			instead: say(guess.instead),
			low: say(least),
			high: say(most),
			from: `what the other ${seen.length} verticals show`,
			retype: guess.retype,
			place: largest.place
		};
	}
	return slips;
});

/** A step along the tape so many times the longest before it is asked about. */
const LONG_STEP = 4;

/** A place on the tape far beyond the others that one point in another place would bring beside them: 25 for 2.5, said at once. */
function tapeSlip(verticals: Record<string, VerticalSheet>): Record<string, Evidence['unit-slip']> {
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
	const say = (n: number) => `${writeNumber(n)} m`;
	return {
		[last.key]: {
			parameter: 'Tape',
			seen: writeFigure(typed),
			slip: 'With the point one place to the left,',
			instead: say(instead),
			low: say(others[0]!.number),
			high: say(before),
			from: 'where the other verticals stand',
			retype: { value: Number((typed.value / 10).toPrecision(12)), unit: typed.unit },
			place: 'distance_m'
		}
	};
}
