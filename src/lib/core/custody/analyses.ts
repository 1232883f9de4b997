import { isKnownCode, type KnownCode, type ParameterCode } from '../quantity';
import type { Preservative } from '../subjects/bottle/branch';
import { heldFor_h } from './holding';

/** What an analysis asks of its bottle. Hours count from filling; the lab's own rules come first. */
export interface AnalysisRule {
	/** What may be in the bottle; null is nothing added. */
	preserved: readonly (Preservative | null)[];
	/** Filtered within so many minutes of filling. */
	filteredWithin_min?: number;
	holding_h: number;
	/** Why another bottle does not do, as half a sentence. */
	because: string;
}

const ACIDS = ['sulphuric acid', 'acid'] as const;

/**
 * 40 CFR 136.3, table II (cold, dark); 28 days for what acid keeps. Parameters that are not here may come from any
 * bottle.
 */
const analysisRules: Partial<Record<KnownCode, AnalysisRule>> = {
	nitrate: { preserved: [null], holding_h: 48, because: 'with acid only nitrate and nitrite together can be told' },
	nitrite: { preserved: [null], holding_h: 48, because: 'acid destroys nitrite' },
	phosphate: {
		preserved: [null],
		filteredWithin_min: 15,
		holding_h: 48,
		because: 'acid sets free phosphate that was bound'
	},
	'nitrate-nitrite': { preserved: [...ACIDS, null], holding_h: 672, because: 'only sulphuric acid keeps it' },
	ammonium: { preserved: ACIDS, holding_h: 672, because: 'without sulphuric acid it is used up within hours' },
	'total-phosphorus': { preserved: ACIDS, holding_h: 672, because: 'only sulphuric acid keeps it' }
};

/** What a parameter asks of its bottle; nothing where any bottle does. */
export const ruleFor = (parameter: ParameterCode): AnalysisRule | undefined =>
	isKnownCode(parameter) ? analysisRules[parameter] : undefined;

/**
 * Hours for which a bottle surely stood before the day on which it was analysed, where those are more than it keeps;
 * null where they are not, or nobody said. Somewhere on the earth a day begins up to half a day before it does in
 * Greenwich, so as much is taken off.
 */
export function heldBeforeAnalysis(
	{ holding_h }: AnalysisRule,
	filledAt: string | null | undefined,
	analysedOn: string | undefined
): { held_h: number; limit_h: number } | null {
	if (filledAt == null || analysedOn === undefined) return null;
	const held_h = heldFor_h(Date.parse(filledAt), Date.parse(analysedOn)) - HALF_A_DAY_h;
	return held_h > holding_h ? { held_h, limit_h: holding_h } : null;
}
const HALF_A_DAY_h = 12;

/** Hours that nothing but acid would allow. */
const UNPRESERVED_h = 48;

/** Why a bottle with this in it cannot give this figure; null where it can. */
export function whyNotFrom(parameter: ParameterCode, preserved: Preservative | null): string | null {
	const rule = ruleFor(parameter);
	return !rule || rule.preserved.includes(preserved) ? null : rule.because;
}

/** Hours that a nutrient bottle keeps: the shortest of what it is taken for. */
export function nutrientHolding_h(preserved: Preservative | null): number {
	const kept = Object.values(analysisRules).filter(
		(r) => r.preserved.includes(preserved) && (preserved !== null || r.holding_h <= UNPRESERVED_h)
	);
	return kept.length ? Math.min(...kept.map((r) => r.holding_h)) : UNPRESERVED_h;
}
