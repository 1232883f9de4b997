import type { lids } from './branch';

/** What speaks against taking a bottle in without a word. */
export type Against =
	| { of: 'held'; held_h: number; limit_h: number }
	| { of: 'warm'; temperature_C: number; limit_C: number }
	| { of: 'lid'; lid: Exclude<(typeof lids)[number], 'tight'> };

export const speaksAgainst = (
	came: { held_h: number; temperature_C: number | null; lid: (typeof lids)[number] },
	limit: { held_h: number; cooler_C: number }
): Against[] => [
	...(came.held_h > limit.held_h ? [{ of: 'held' as const, held_h: came.held_h, limit_h: limit.held_h }] : []),
	...(came.temperature_C !== null && came.temperature_C > limit.cooler_C
		? [{ of: 'warm' as const, temperature_C: came.temperature_C, limit_C: limit.cooler_C }]
		: []),
	...(came.lid === 'tight' ? [] : [{ of: 'lid' as const, lid: came.lid }])
];
