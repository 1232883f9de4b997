import { isKnownCode, type KnownCode, type ParameterCode } from '../quantity';
import type { Preservative } from '../subjects/bottle/branch';

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
