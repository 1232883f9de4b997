import {
	addedUp,
	given,
	listOf,
	openShare,
	orDefault,
	over,
	positive,
	times,
	whole,
	type Step,
	type Working
} from '../quantity';
import { poissonInterval } from './poisson';

/** A plate as it was read: counted, with too many to count, or spoiled (a blank that grew, spilled, too old). */
export type Plate =
	| { status: 'counted'; volume_mL: number; count: number }
	| { status: 'tooMany'; volume_mL: number; count?: number | null }
	| { status: 'spoiled'; volume_mL: number; count?: number | null };

export interface PlateResult {
	cfuPer100mL: number | null;
	qualifier: '<' | '>' | null;
	lower: number | null;
	upper: number | null;
	platesUsed: number;
	count: number;
	volume_mL: number;
	working: Working | null;
}

export const TOO_MANY = 200; // colonies on one plate beyond which they run together

/**
 * Colony-forming units per 100 mL from the plates of one sample: counts pooled over volumes, with the exact interval
 * of the pooled count (Garwood 1936). A plate with too many enters as its limit, and makes the figure a "more than";
 * nothing grown makes it a "less than". Spoiled plates are left out; all spoiled: figures null. RangeError for no
 * plate, or one whose volume or count cannot be.
 */
export function cfuPer100mL(sample: {
	plates: readonly Plate[];
	confidence?: number | null;
	tooManyLimit?: number | null;
}): PlateResult {
	const confidence = openShare('confidence', orDefault(sample.confidence, 0.95));
	const limit = whole('tooManyLimit', orDefault(sample.tooManyLimit, TOO_MANY), 1);
	const plates = listOf('plates', sample.plates, checkedPlate);
	if (plates.length === 0) throw new RangeError('plates needs at least one plate');
	const counted = plates.filter((p) => p.status === 'counted');
	const tooMany = plates.filter((p) => p.status === 'tooMany');
	if (counted.length === 0 && tooMany.length === 0)
		return {
			cfuPer100mL: null,
			qualifier: null,
			lower: null,
			upper: null,
			platesUsed: 0,
			count: 0,
			volume_mL: 0,
			working: null
		};
	if (counted.length === 0) {
		const volume_mL = Math.min(...tooMany.map((p) => p.volume_mL));
		return { ...pooled([limit], [volume_mL], true, confidence), platesUsed: tooMany.length };
	}
	// a crowded plate of more water than any counted one is what was expected, and says nothing new
	const largest = Math.max(...counted.map((p) => p.volume_mL));
	const crowded = tooMany.filter((p) => p.volume_mL <= largest);
	const used = [...counted, ...crowded];
	return pooled(
		used.map((p) => (p.status === 'counted' ? p.count : limit)),
		used.map((p) => p.volume_mL),
		crowded.length > 0,
		confidence
	);
}

/**
 * Counts over the volumes they grew from, with the interval of the count; `open`: there were more than could be
 * counted.
 */
function pooled(
	counts: readonly number[],
	volumes_mL: readonly number[],
	open: boolean,
	confidence: number
): PlateResult {
	const colonies = addedUp(counts, 'colonies');
	const water = addedUp(volumes_mL, 'mL');
	const [count, volume_mL] = [colonies.number, water.number];
	const { lower, upper } = poissonInterval({ count, confidence });
	const per100 = (x: Step) => over(times(x, given(100)), water);
	// none grown says: fewer than one would have said
	const step = per100(count === 0 ? given(1, 'colony') : colonies);
	const limits = { lower: per100(given(lower)).number, upper: open ? null : per100(given(upper)).number };
	const belowOne = count === 0 ? '<' : null;
	return {
		cfuPer100mL: step.number,
		qualifier: open ? '>' : belowOne,
		...limits,
		platesUsed: counts.length,
		count,
		volume_mL,
		working: { step, unit: 'per 100 mL', interval: { ...limits, confidence } }
	};
}

function checkedPlate(place: string, entry: unknown): Plate {
	const { status, volume_mL, count } = (entry ?? {}) as Partial<Plate>;
	const volume = positive(`${place}.volume_mL`, volume_mL);
	if (status === 'counted') return { status, volume_mL: volume, count: whole(`${place}.count`, count) };
	if (status === 'tooMany' || status === 'spoiled') return { status, volume_mL: volume };
	throw new RangeError(`${place}.status must be counted, tooMany or spoiled: ${String(status)}`);
}
