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

interface Span {
	begins_ms: number;
	ends_ms: number;
}

/**
 * Spans that were too cold: straight from one reading to the next, before the first as it was then, and after the last
 * as it still is. Where nobody read anything, none.
 */
function coldSpans(plate: Pick<PlateSheet, 'stood'>, least_C: number): Span[] {
	const read = readingsOf(plate);
	const [first, last] = [read[0], read.at(-1)];
	if (!first || !last) return [];
	const isCold = ({ temperature_C }: Reading) => temperature_C < least_C;
	const between = read.slice(1).flatMap((end, i): Span[] => {
		const begin = read[i]!;
		if (!isCold(begin) && !isCold(end)) return [];
		const share = (least_C - begin.temperature_C) / (end.temperature_C - begin.temperature_C);
		const crosses_ms = begin.at_ms + share * (end.at_ms - begin.at_ms);
		return [{ begins_ms: isCold(begin) ? begin.at_ms : crosses_ms, ends_ms: isCold(end) ? end.at_ms : crosses_ms }];
	});
	return [
		...(isCold(first) ? [{ begins_ms: -Infinity, ends_ms: first.at_ms }] : []),
		...between,
		...(isCold(last) ? [{ begins_ms: last.at_ms, ends_ms: Infinity }] : [])
	];
}

/** Hours between two instants that were too cold. */
export function coldHours(
	plate: Pick<PlateSheet, 'stood'>,
	{ from_ms, to_ms }: { from_ms: number; to_ms: number },
	least_C: number
): number {
	const within = coldSpans(plate, least_C).map(({ begins_ms, ends_ms }) =>
		Math.max(0, Math.min(ends_ms, to_ms) - Math.max(begins_ms, from_ms))
	);
	return within.reduce((sum, ms) => sum + ms, 0) / HOUR_ms;
}

/** The temperature at which the clock of a plate stands still just now; null where it runs, or nobody read any. */
export function standsStillAt_C(plate: Pick<PlateSheet, 'stood'>, least_C: number): number | null {
	const last = readingsOf(plate).at(-1);
	return last && last.temperature_C < least_C ? last.temperature_C : null;
}

/**
 * When a plate that was poured then has stood warm for long enough to be read, if it stays as warm as it is; its last
 * hour where it does not come to that before.
 */
export function readableAt_ms(
	plate: Pick<PlateSheet, 'stood'>,
	poured_ms: number,
	{ plateReadable_h, plateTooOld_h, plateLeastTemperature_C: least_C }: Limits
): number {
	let readable_ms = poured_ms + plateReadable_h * HOUR_ms;
	// each cold span that begins before it is ripe puts that off by as long as it lasts
	for (const { begins_ms, ends_ms } of coldSpans(plate, least_C))
		if (begins_ms < readable_ms) readable_ms += Math.max(0, ends_ms - Math.max(begins_ms, poured_ms));
	return Math.min(readable_ms, poured_ms + plateTooOld_h * HOUR_ms);
}
