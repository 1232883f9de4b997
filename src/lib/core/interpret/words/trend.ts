import { capitalised } from '../../wording';
import { decimalsBorne, rounded, writeFixed } from '../../quantity';
import type { SiteTrend } from '../site-trend';

/** Years that are usual before much is made of a trend. */
const USUAL_YEARS = 5;

/** A trend in two sentences: what it is, and how sure. */
export function sayTrend(trend: SiteTrend | null, unitSymbol: string): { says: string; because: string } {
	// “5 % a year” would be read as a twentieth more each year
	const unit = unitSymbol === '%' ? 'percentage points' : unitSymbol;
	if (!trend)
		return { says: 'No trend can be told yet.', because: 'It takes the same month in three different years.' };
	const { verdict, slopePerYear, lower, upper, results, years, limits } = trend;
	const borne = decimalsBorne((upper - lower) / 2) ?? 2;
	const write = (n: number) => rounded(n, borne);
	const span = `between ${write(lower)} and ${write(upper)} ${unit} a year with 95 % confidence`;
	const from =
		`${results} results over ${years} years, each month held against the same ` +
		`month${limits ? `; ${limits} known only as a limit` : ''}`;
	const because = [`${capitalised(span)}: ${from}; ${sayChance(trend.p)}.`, ...cautions(trend)].join(' ');
	if (verdict === 'open') return { says: 'A trend cannot be told from chance.', because };
	return { says: `${capitalised(verdict)} by ${write(Math.abs(slopePerYear))} ${unit} a year.`, because };
}

function sayChance(p: number): string {
	if (p < 0.001) return `p under ${writeFixed(0.001, 3)}`;
	return p > 0.999 ? `p over ${writeFixed(0.999, 3)}` : `p ${writeFixed(p, 3)}`;
}

function cautions({ verdict, years, monthsDisagree, withoutFlow }: SiteTrend): string[] {
	const words: Record<NonNullable<SiteTrend['withoutFlow']>, string> = {
		rising: 'it rises',
		falling: 'it falls',
		open: 'no trend can be told from chance'
	};
	return [
		...(years < USUAL_YEARS
			? [`${years} years are few: ${USUAL_YEARS} are usual before much is made of a trend.`]
			: []),
		...(monthsDisagree ? ['The months do not agree: look at them one by one.'] : []),
		...(withoutFlow !== null && withoutFlow !== verdict
			? [`With what the flow explains taken out, ${words[withoutFlow]}.`]
			: []),
		...(withoutFlow !== null && withoutFlow === verdict && verdict !== 'open'
			? ['The same holds with what the flow explains taken out.']
			: [])
	];
}
