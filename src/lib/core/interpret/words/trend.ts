import { decimalsBorne, rounded } from '../../quantity';
import type { SiteTrend } from '../site-trend';

/** A trend in two sentences: what it is, and how sure. */
export function sayTrend(trend: SiteTrend | null, unitSymbol: string): { says: string; because: string } {
	const unit = unitSymbol === '%' ? 'percentage points' : unitSymbol; // “5 % a year” would be read as a twentieth more each year
	if (!trend) return { says: 'No trend can be told yet.', because: 'It takes the same months in three different years.' };
	const { verdict, slopePerYear, lower, upper, p, results, years, limits } = trend;
	const borne = decimalsBorne((upper - lower) / 2) ?? 2;
	const write = (n: number) => rounded(n, borne).replace('-', '−');
	const span = `between ${write(lower)} and ${write(upper)} ${unit} a year with 90 % confidence`;
	const from = `${results} results over ${years} years, each month held against the same month${limits ? `; ${limits} known only as a limit` : ''}`;
	const chance = `p ${p < 0.001 ? 'under 0.001' : p.toFixed(3)}`;
	if (verdict === 'open') return { says: 'Neither rising nor falling, as far as can be told.', because: `${capital(span)}: ${from}; ${chance}.` };
	return { says: `${capital(verdict)} by ${write(Math.abs(slopePerYear))} ${unit} a year.`, because: `${capital(span)}: ${from}; ${chance}.` };
}

const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);
