import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { aLine } from '../../../../tests/a-line';
import { anyLineOf, anyLines, branchNames, START_ms, type AnyLine } from '../../../../tests/any-line';
import { sayPlace } from '../interpret';
import { flagSentence } from '../subjects/flags';
import { fold, whyRefused } from '../logbook';
import { fullVisit, orderSteps, shippedCards, type MethodCard } from '../method';
import { evaluate } from '.';
import { type Context } from '../subjects/context';

const opening = {
	siteId: '018f3b1c-0000-7000-8000-000000000001',
	cardVersionId: '018f3b1c-0000-7000-8000-000000000002',
	startedAt: new Date(START_ms).toISOString()
};
const instruments: Context['instruments'] = {
	M: {
		code: 'M',
		measures: {
			'dissolved-oxygen': { low: 0, high: 20, resolution: 0.1, accuracy: 0.2, calibrationDays: 2 },
			conductivity: { low: 0, high: 900 }
		},
		calibratedAt: {}
	},
	V: { code: 'V', measures: { velocity: { low: 0.03, high: 1, stall: 0.05 } }, calibratedAt: {} }
};

const cards: readonly MethodCard[] = [
	...shippedCards,
	{
		...fullVisit,
		limits: {
			flume: { coefficient: 0.9, exponent: 1.55, submergenceLimit: 0.5, minimumHead_m: 0.03, maximumHead_m: 0.3 }
		}
	}
];
const see = (lines: readonly AnyLine[], card: MethodCard, now_ms = START_ms + 3_600_000) => {
	const entries = [['opening', opening] as const, ...lines].map(([path, value], i) =>
		aLine(i + 1, START_ms + i * 20_000, path, value)
	);
	const context: Context = {
		now_ms,
		site: { code: 'TE3', elevation_m: 200, usual: { conductivity: { low: 150, high: 300, visits: 30 } } },
		instruments
	};
	return evaluate(fold(entries), card, context);
};

describe('of any sheet, whatever was typed into it', () => {
	it.each(branchNames)('places of %s are among what is typed', (name) => {
		const lines = fc.sample(anyLineOf(name), { numRuns: 400, seed: 7 });
		expect(lines.filter(([path, value]) => whyRefused(path, value) === null).length).toBeGreaterThan(0);
	});

	it('something is known and nothing is thrown; every doubt is a whole sentence about a place that can be said', () => {
		fc.assert(
			fc.property(anyLines, fc.constantFrom(...cards), (lines, card) => {
				const { flags, results, clocks, steps } = see(lines, card);
				for (const flag of flags) {
					const words = flagSentence(flag);
					expect(words, flag.code).not.toMatch(/undefined|NaN|\[object|Infinity/);
					expect(words.trim(), flag.code).toMatch(/[.?]$/);
					expect(sayPlace(flag.path)).not.toBe('');
				}
				for (const clock of clocks) expect(clock.start_ms <= clock.due_ms && clock.due_ms <= clock.last_ms).toBe(true);
				expect(new Set(results.map((r) => r.parameter)).size).toBe(results.length);
				const order = orderSteps(card);
				expect(steps.map((s) => s.id)).toEqual('steps' in order ? order.steps.map((s) => s.step.id) : []);
			}),
			{ numRuns: 300 }
		);
	});

	it('figures are numbers, and none claims to be sure by less than nothing', () => {
		fc.assert(
			fc.property(anyLines, fc.constantFrom(...cards), (lines, card) => {
				for (const { figure, uncertainty } of see(lines, card).results) {
					expect(
						Object.values(figure)
							.filter((v) => typeof v === 'number')
							.every(Number.isFinite)
					).toBe(true);
					expect(uncertainty === null || uncertainty >= 0).toBe(true);
				}
			}),
			{ numRuns: 200 }
		);
	});

	it('the hour does not change a figure, only clocks and what is held too long', () => {
		fc.assert(
			fc.property(anyLines, fc.integer({ min: 0, max: 3000 }), (lines, minutes) => {
				const [now, later] = [see(lines, fullVisit), see(lines, fullVisit, START_ms + 3_600_000 + minutes * 60_000)];
				expect(later.results).toEqual(now.results);
				expect(later.steps).toEqual(now.steps);
			}),
			{ numRuns: 100 }
		);
	});
});
