import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
	beforeAfterControlImpact,
	countingBias,
	cusum,
	demingRegression,
	detectionLimit,
	exactProportion,
	geometricMeanRatio,
	hodgesLehmannShift,
	movingRangeLimits,
	namingSkill,
	passingBablok,
	seeded
} from '.';

const some = (least: number) =>
	fc.array(fc.integer({ min: 1, max: 400 }), { minLength: least, maxLength: 25 }).map((all) => all.map((n) => n / 10));

describe('two methods of which both err', () => {
	it('give the same line whichever is called x', () => {
		const chance = seeded(7);
		const x = Array.from({ length: 40 }, (_, i) => i / 2 + chance.normal());
		const y = x.map((v) => 1.2 * v + 1 + chance.normal());
		const there = demingRegression({ x, y, varianceRatio: 2 });
		const back = demingRegression({ x: y, y: x, varianceRatio: 0.5 });
		expect(back.slope).toBeCloseTo(1 / there.slope!, 9);
		expect(there.slopeLower).toBeLessThan(1.2);
		expect(there.slopeUpper).toBeGreaterThan(1.2);
	});

	it('move with a shift, and stretch with a factor', () => {
		fc.assert(
			fc.property(some(4), fc.integer({ min: -20, max: 20 }), (x, shift) => {
				const y = x.map((v, i) => v + (i % 3));
				const [plain, moved] = [passingBablok({ x, y }), passingBablok({ x, y: y.map((v) => v + shift) })];
				expect(moved.slopes).toBe(plain.slopes);
				if (plain.intercept !== null) expect(moved.intercept).toBeCloseTo(plain.intercept + shift, 6);
			})
		);
	});

	it('that agree have a line of one to one', () => {
		const x = [1, 2, 4, 7, 11];
		expect(demingRegression({ x, y: x })).toMatchObject({ slope: 1, intercept: 0 });
		expect(passingBablok({ x, y: x })).toMatchObject({ slope: 1, intercept: 0 });
	});
});

describe('two samples', () => {
	it('turned round, their shift turns its sign and their ratio is one over it', () => {
		fc.assert(
			fc.property(some(2), some(2), (x, y) => {
				expect(hodgesLehmannShift({ x, y }).shift).toBeCloseTo(-hodgesLehmannShift({ x: y, y: x }).shift!, 9);
				const [there, back] = [geometricMeanRatio({ x, y }).ratio!, geometricMeanRatio({ x: y, y: x }).ratio!];
				expect(there * back).toBeCloseTo(1, 9);
			})
		);
	});

	it('what both stations share is no effect', () => {
		const before = [1, 2, 3].map((control) => ({ control, impact: control + 1 }));
		const after = [4, 6, 9].map((control, i) => ({ control, impact: control + 1 + i / 10 }));
		const { effect, lower, upper } = beforeAfterControlImpact({ before, after });
		expect(effect).toBeCloseTo(0.1, 9);
		expect([lower! < effect!, upper! > effect!]).toEqual([true, true]);
	});
});

describe('a process in control', () => {
	it('drifts slowly and is told before a single value would', () => {
		const values = Array.from({ length: 20 }, (_, i) => 10 + i * 0.15);
		expect(cusum({ values, target: 10, sd: 1 }).side).toBe('high');
		expect(cusum({ values: values.map((v) => 20 - v), target: 10, sd: 1 }).side).toBe('low');
		expect(movingRangeLimits({ values: [5, 5.1, 4.9, 5, 9] }).outside).toEqual([4]);
	});

	it('is told from a blank only above what blanks show', () => {
		const { limitOfBlank, limitOfDetection } = detectionLimit({ blanks: [0.01, 0.02, 0.015, 0.012] });
		expect(limitOfDetection).toBeGreaterThan(limitOfBlank!);
	});
});

describe('somebody’s practice', () => {
	it('limits of a share hold it, and turn round with it', () => {
		fc.assert(
			fc.property(fc.integer({ min: 1, max: 200 }), fc.double({ min: 0, max: 1, noNaN: true }), (n, share) => {
				const successes = Math.round(n * share);
				const { proportion, lower, upper } = exactProportion({ successes, n });
				expect(lower).toBeLessThanOrEqual(proportion!);
				expect(upper).toBeGreaterThanOrEqual(proportion!);
				const other = exactProportion({ successes: n - successes, n });
				expect(1 - other.upper!).toBeCloseTo(lower!, 9);
			})
		);
	});

	it('counts a tenth too many, and takes one animal for another', () => {
		const truth = [100, 200, 300, 400];
		expect(countingBias({ truth, counted: truth.map((t) => (t * 11) / 10) }).percentBias).toBeCloseTo(10, 0);
		const { accuracy, taxa } = namingSkill({ truth: ['a', 'a', 'b', 'b'], named: ['a', 'b', 'b', null] });
		expect(accuracy).toBe(0.5);
		expect(taxa).toMatchObject([
			{ taxon: 'a', sensitivity: 0.5, confusedWith: 'b', times: 1 },
			{ taxon: 'b', sensitivity: 0.5, confusedWith: null, times: 0 }
		]);
	});
});
