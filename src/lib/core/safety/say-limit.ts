import { convert, units, writeNumber } from '../quantity';
import { ABSOLUTE, type WadingRule } from './wading';

/** Units in which depths and speeds of the water are said. */
export interface WaterUnits {
	tape: 'm' | 'ft';
	velocity: 'm_s' | 'ft_s';
}
const METRIC: WaterUnits = { tape: 'm', velocity: 'm_s' };

/** A wading limit as it is said: the water in which nobody wades. */
export function sayLimit(limit: WadingRule, { tape, velocity }: WaterUnits = METRIC): string {
	const write = (n: number) => writeNumber(Number(n.toFixed(2)));
	const depth = (m: number) => `deeper than ${write(convert(m, 'm', tape))} ${tape}`;
	const speed = (m_s: number) => `faster than ${write(convert(m_s, 'm_s', velocity))} ${units[velocity].symbol}`;
	const card = sayCardLimit(limit, depth, speed);
	return limit.siteDepth_m === undefined ? card : `${card}, or here ${depth(limit.siteDepth_m)}`;
}

function sayCardLimit(limit: WadingRule, depth: (m: number) => string, speed: (m_s: number) => string): string {
	switch (limit.school) {
		case 'depth-and-velocity':
			return `${depth(limit.depth_m)}, or ${speed(limit.velocity_m_s)}`;
		case 'depth-only':
			return `${depth(limit.depth_m)}, or ${speed(ABSOLUTE.velocity_m_s)}`;
		case 'product':
			return (
				`depth × speed over ${writeNumber(Math.min(limit.product_m2_s, ABSOLUTE.product_m2_s))} m²/s, ` +
				`${depth(ABSOLUTE.depth_m)}, or ${speed(ABSOLUTE.velocity_m_s)}`
			);
	}
}
