import { seeded } from '../src/lib/core/statistics';

/** Readings as a logger keeps them: a slow rise, a daily swing, noise, two decimals, so that many are the same. */
export function loggerRecord(length: number): number[] {
	const chance = seeded(length);
	return Array.from({ length }, (_, i) =>
		Number((12 + i / length + 3 * Math.sin(i / 15) + chance.normal()).toFixed(2))
	);
}
