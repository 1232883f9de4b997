import { atLeast, inRange, positive } from '../quantity';

/**
 * Turbidity in NTU from the depth at which the disc in a clarity tube just shows, by the regression of Myre & Shaw
 * 2006 (Michigan Technological University), depth_cm = 244.13 NTU^−0.662, fitted to one kind of tube and turned round
 * here. Still visible in a full tube: at most the figure of the tube's length ("<"); gone before the least depth that
 * can be read: at least that depth's figure (">"). RangeError for a depth that is missing where it is needed,
 * negative, or beyond the tube.
 */
export function turbidityFromTube(reading: {
	depth_cm?: number | null;
	tubeLength_cm: number;
	minimumDepth_cm: number;
	stillVisibleWhenFull: boolean;
}): {
	turbidity_NTU: number;
	qualifier: '<' | '>' | null;
} {
	const length = positive('tubeLength_cm', reading.tubeLength_cm);
	const least = inRange('minimumDepth_cm', positive('minimumDepth_cm', reading.minimumDepth_cm), 0, length);
	if (typeof reading.stillVisibleWhenFull !== 'boolean')
		throw new RangeError(`stillVisibleWhenFull must be true or false: ${String(reading.stillVisibleWhenFull)}`);
	if (reading.stillVisibleWhenFull) return { turbidity_NTU: ntu(length), qualifier: '<' };
	const depth = inRange('depth_cm', atLeast('depth_cm', reading.depth_cm, 0), 0, length);
	return depth < least ? { turbidity_NTU: ntu(least), qualifier: '>' } : { turbidity_NTU: ntu(depth), qualifier: null };
}

/** The tube depth in cm that goes with a turbidity above 0 NTU, by the same regression (Myre & Shaw 2006). */
export function tubeDepthFromTurbidity({ turbidity_NTU }: { turbidity_NTU: number }): { depth_cm: number } {
	return { depth_cm: DEPTH_AT_ONE_NTU_cm * positive('turbidity_NTU', turbidity_NTU) ** EXPONENT };
}

const DEPTH_AT_ONE_NTU_cm = 244.13;
const EXPONENT = -0.662;
const ntu = (depth_cm: number) => (depth_cm / DEPTH_AT_ONE_NTU_cm) ** (1 / EXPONENT);

/**
 * Where that regression was fitted, about as far as its points lie from it, and whose it is. Transparency in cm is
 * the figure (ISO 7027-2); this is derived.
 */
export const rangeOfTube = {
	least_cm: 6,
	most_cm: 85,
	give: 0.35,
	source: 'the regression of Myre and Shaw (2006)'
} as const;
