import type { Limits } from '../../method';
import type { Sheet } from '../../logbook';

type PlateSheet = NonNullable<Sheet['plates']>[string];

/*
 * How warm a plate stood, by what somebody read now and then. Under the card's least temperature it grows too slowly
 * for the clock: those hours do not bring it nearer to being read, though they age it.
 */

const HOUR_ms = 3_600_000;

interface Reading {
	at_ms: number;
	temperature_C: number;
	isSimulated: boolean;
}

/** What was read where a plate stands, in order. */
export const readingsOf = ({ stood }: Pick<PlateSheet, 'stood'>): Reading[] =>
	Object.values(stood ?? {})
		.flatMap((read) =>
			read
				? [{ at_ms: Date.parse(read.at), temperature_C: read.temperature_C, isSimulated: read.isSimulated === true }]
				: []
		)
		.sort((a, b) => a.at_ms - b.at_ms);

/**
 * Hours between two instants that were too cold: straight from one reading to the next, before the first as it was
 * then, and after the last as it still is. Where nobody read anything, none.
 */
export function coldHours(
	plate: Pick<PlateSheet, 'stood'>,
	{ from_ms, to_ms }: { from_ms: number; to_ms: number },
	least_C: number
): number {
	const read = readingsOf(plate);
	const [first, last] = [read[0], read.at(-1)];
	if (!first || !last) return 0;
	const points = [
		{ ...first, at_ms: Math.min(from_ms, first.at_ms) },
		...read,
		{ ...last, at_ms: Math.max(to_ms, last.at_ms) }
	];
	let cold_ms = 0;
	for (const [i, end] of points.entries()) {
		const begin = points[i - 1];
		if (begin) cold_ms += coldBetween(begin, end, { from_ms, to_ms }, least_C);
	}
	return cold_ms / HOUR_ms;
}

/** Of one stretch between two readings, the part that lies within the time asked for and under the least. */
function coldBetween(
	begin: Reading,
	end: Reading,
	{ from_ms, to_ms }: { from_ms: number; to_ms: number },
	least_C: number
): number {
	const [isColdFirst, isColdLast] = [begin.temperature_C < least_C, end.temperature_C < least_C];
	if (!isColdFirst && !isColdLast) return 0;
	const share = (least_C - begin.temperature_C) / (end.temperature_C - begin.temperature_C);
	const crosses_ms = begin.at_ms + share * (end.at_ms - begin.at_ms);
	const starts_ms = isColdFirst ? begin.at_ms : crosses_ms;
	const ends_ms = isColdLast ? end.at_ms : crosses_ms;
	return Math.max(0, Math.min(ends_ms, to_ms) - Math.max(starts_ms, from_ms));
}

/** The temperature at which the clock of a plate stands still just now; null where it runs, or nobody read any. */
export function standsStillAt_C(plate: Pick<PlateSheet, 'stood'>, least_C: number): number | null {
	const last = readingsOf(plate).at(-1);
	return last && last.temperature_C < least_C ? last.temperature_C : null;
}

/** When a plate that was poured then may be read, if it stays as warm as it is; after its last hour where it is cold. */
export function readableAt_ms(
	plate: Pick<PlateSheet, 'stood'>,
	poured_ms: number,
	{ plateReadable_h, plateTooOld_h, plateLeastTemperature_C: least_C }: Limits
): number {
	const tooOld_ms = poured_ms + plateTooOld_h * HOUR_ms;
	if (standsStillAt_C(plate, least_C) !== null) return tooOld_ms;
	const until_ms = readingsOf(plate).at(-1)?.at_ms ?? poured_ms;
	const cold_h = coldHours(plate, { from_ms: poured_ms, to_ms: Math.max(poured_ms, until_ms) }, least_C);
	return Math.min(tooOld_ms, poured_ms + (plateReadable_h + cold_h) * HOUR_ms);
}
