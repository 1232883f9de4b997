import { openShare, whole } from '../quantity';
import { gammaQuantile } from '../statistics';

/**
 * Between which two expected counts the truth lies, given one count: the exact interval of Garwood 1936 at this
 * confidence. RangeError for a count that is not whole or below 0, or a confidence outside 0..1.
 */
export function poissonInterval({ count, confidence }: { count: number; confidence: number }): {
	lower: number;
	upper: number;
} {
	const x = whole('count', count);
	const beyond = (1 - openShare('confidence', confidence)) / 2;
	return { lower: x === 0 ? 0 : gammaQuantile(x, beyond, 'lower'), upper: gammaQuantile(x + 1, beyond, 'upper') };
}
