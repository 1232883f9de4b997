import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
	cfuPer100mL,
	geometricMean,
	logRangeDuplicatePrecision,
	mostProbableNumber,
	poissonInterval,
	relativePercentDifference,
	statisticalThresholdShare,
	type Plate
} from '.';

const counted = (count: number, volume_mL: number): Plate => ({ status: 'counted', count, volume_mL });

describe('Poisson interval', () => {
	it.each([
		[0, 0, 3.6889],
		[1, 0.0253, 5.5716],
		[10, 4.7954, 18.3904],
		[24, 15.3773, 35.7101]
	])('of %d', (count, lower, upper) => {
		const interval = poissonInterval({ count, confidence: 0.95 }); // Garwood 1936, table
		expect(interval.lower).toBeCloseTo(lower, 4);
		expect(interval.upper).toBeCloseTo(upper, 4);
	});

	it('holds the count, and widens with the confidence asked for', () => {
		fc.assert(
			fc.property(fc.integer({ min: 0, max: 5000 }), (count) => {
				const [usual, surer] = [
					poissonInterval({ count, confidence: 0.95 }),
					poissonInterval({ count, confidence: 0.99 })
				];
				expect(usual.lower).toBeLessThanOrEqual(count);
				expect(usual.upper).toBeGreaterThan(count);
				expect(surer.upper).toBeGreaterThan(usual.upper);
			})
		);
	});

	it('refuses half a colony and a confidence of one', () => {
		expect(() => poissonInterval({ count: 1.5, confidence: 0.95 })).toThrow(/count/);
		expect(() => poissonInterval({ count: 1, confidence: 1 })).toThrow(/confidence/);
	});
});

describe('plates', () => {
	it('pools counts over volumes and keeps the estimate inside its interval', () => {
		fc.assert(
			fc.property(
				fc.array(fc.tuple(fc.integer({ min: 0, max: 150 }), fc.integer({ min: 1, max: 5 })), {
					minLength: 1,
					maxLength: 6
				}),
				(list) => {
					const got = cfuPer100mL({ plates: list.map(([c, v]) => counted(c, v)) });
					const [count, volume] = [list.reduce((s, [c]) => s + c, 0), list.reduce((s, [, v]) => s + v, 0)];
					expect(got.cfuPer100mL).toBeCloseTo((100 * Math.max(1, count)) / volume, 9);
					expect(got.lower!).toBeLessThanOrEqual(got.cfuPer100mL!);
					expect(got.upper!).toBeGreaterThanOrEqual(got.cfuPer100mL!);
					expect(got.qualifier).toBe(count === 0 ? '<' : null);
				}
			)
		);
	});

	it('twice the water with twice the colonies is the same figure, and surer', () => {
		const [one, two] = [
			cfuPer100mL({ plates: [counted(12, 3)] }),
			cfuPer100mL({ plates: [counted(12, 3), counted(12, 3)] })
		];
		expect(two.cfuPer100mL).toBe(one.cfuPer100mL);
		expect(two.upper! - two.lower!).toBeLessThan(one.upper! - one.lower!);
	});

	it('takes a crowded plate for what it says', () => {
		const crowded = (volume_mL: number): Plate => ({ status: 'tooMany', volume_mL });
		expect(cfuPer100mL({ plates: [crowded(1), crowded(3)] })).toMatchObject({
			cfuPer100mL: 20_000,
			qualifier: '>',
			upper: null,
			platesUsed: 2,
			volume_mL: 1
		});
		// of more water than the counted one, it is what was to be expected
		expect(cfuPer100mL({ plates: [counted(90, 1), crowded(5)] })).toMatchObject({
			cfuPer100mL: 9000,
			qualifier: null,
			platesUsed: 1
		});
		// of the same or less water, it contradicts: the truth is higher
		expect(cfuPer100mL({ plates: [counted(90, 3), crowded(3)] })).toMatchObject({
			qualifier: '>',
			upper: null,
			count: 290,
			volume_mL: 6
		});
	});

	it('holds a crowded plate against the largest that could be counted', () => {
		const plates: Plate[] = [counted(4, 1), counted(90, 5), { status: 'tooMany', volume_mL: 3 }];
		expect(cfuPer100mL({ plates })).toMatchObject({ qualifier: '>', platesUsed: 3, count: 294, volume_mL: 9 });
	});

	it('leaves spoiled ones out, and says nothing where all are', () => {
		expect(cfuPer100mL({ plates: [counted(5, 1), { status: 'spoiled', volume_mL: 9 }] }).volume_mL).toBe(1);
		expect(cfuPer100mL({ plates: [{ status: 'spoiled', volume_mL: 1 }] })).toMatchObject({
			cfuPer100mL: null,
			platesUsed: 0
		});
	});

	it.each([
		['no plate', [], /plates/],
		['a volume of 0', [counted(1, 0)], /plates\[0\]\.volume_mL/],
		['half a colony', [counted(1, 1), counted(1.5, 1)], /plates\[1\]\.count/],
		['a plate in no state', [{ status: 'maybe', volume_mL: 1 } as never], /plates\[0\]\.status/]
	])('refuses %s', (_, plates, why) => expect(() => cfuPer100mL({ plates })).toThrow(why));
});

describe('most probable number', () => {
	it.each([
		[[3, 1, 0], 43],
		[[2, 0, 1], 14],
		[[3, 3, 2], 1100],
		[[1, 0, 0], 3.6]
	])('of the three-tube table, %j', (positives, table) => {
		const series = [10, 1, 0.1].map((volume_mL, i) => ({ volume_mL, tubes: 3, positives: positives[i]! }));
		const { mpnPer100mL, lower, upper } = mostProbableNumber({ series });
		expect(Math.abs(mpnPer100mL! / table - 1)).toBeLessThan(0.04); // APHA 9221, rounded as printed there
		expect(lower!).toBeLessThan(mpnPer100mL!);
		expect(upper!).toBeGreaterThan(mpnPer100mL!);
	});

	it('of one volume has a closed form', () => {
		fc.assert(
			fc.property(fc.integer({ min: 2, max: 60 }), fc.integer({ min: 1, max: 59 }), (tubes, p) => {
				fc.pre(p < tubes);
				const { mpnPer100mL } = mostProbableNumber({ series: [{ volume_mL: 2, tubes, positives: p }] });
				expect(mpnPer100mL! / (-50 * Math.log(1 - p / tubes))).toBeCloseTo(1, 10);
			})
		);
	});

	it('says less than, or more than, where all tubes agree', () => {
		const five = (positives: number) => [{ volume_mL: 10, tubes: 5, positives }];
		expect(mostProbableNumber({ series: five(0) })).toMatchObject({ qualifier: '<', lower: 0, logSe: null });
		expect(mostProbableNumber({ series: five(0) }).mpnPer100mL).toBeCloseTo(
			mostProbableNumber({ series: five(1) }).mpnPer100mL!,
			10
		);
		expect(mostProbableNumber({ series: five(5) })).toMatchObject({ qualifier: '>', upper: null });
		expect(mostProbableNumber({ series: five(5) }).mpnPer100mL).toBeCloseTo(
			mostProbableNumber({ series: five(4) }).mpnPer100mL!,
			10
		);
		for (const positives of [0, 1])
			expect(mostProbableNumber({ series: [{ volume_mL: 1, tubes: 1, positives }] }).mpnPer100mL).toBeNull();
	});

	it('refuses more positives than tubes', () => {
		expect(() => mostProbableNumber({ series: [{ volume_mL: 1, tubes: 2, positives: 3 }] })).toThrow(/series\[0\]/);
		expect(() => mostProbableNumber({ series: [] })).toThrow(/series/);
	});
});

describe('a season', () => {
	it('has a geometric mean that a non-detect lowers and a "more than" leaves open', () => {
		expect(geometricMean({ values: [10, 1000] })).toMatchObject({ n: 2, qualifier: null });
		expect(geometricMean({ values: [10, 1000] }).geometricMean).toBeCloseTo(100, 9);
		expect(geometricMean({ values: [100, 100], qualifiers: ['<', null] }).geometricMean).toBeCloseTo(
			100 / Math.SQRT2,
			9
		);
		expect(geometricMean({ values: [5, 5], qualifiers: ['<', '<'] }).qualifier).toBe('<');
		expect(geometricMean({ values: [5, 5], qualifiers: ['<', '>'] }).qualifier).toBe('>');
		expect(() => geometricMean({ values: [0] })).toThrow(/values\[0\]/);
		expect(() => geometricMean({ values: [1], qualifiers: ['~' as never] })).toThrow(/qualifiers\[0\]/);
	});

	it('has a share above the threshold, without those that leave it open', () => {
		const season = { values: [410, 411, 500, 300, 500, 300], qualifiers: [null, null, '<', '<', '>', '>'] as const };
		expect(statisticalThresholdShare(season)).toEqual({ share: 0.5, exceeding: 2, n: 4, undetermined: 2 });
		expect(statisticalThresholdShare({ values: [500], qualifiers: ['<'] }).share).toBeNull();
		// at the threshold itself: below it does not exceed, above it does
		expect(statisticalThresholdShare({ values: [410, 410], qualifiers: ['<', '>'] })).toEqual({
			share: 0.5,
			exceeding: 1,
			n: 2,
			undetermined: 0
		});
		expect(() => statisticalThresholdShare({ values: [] })).toThrow(/values/);
	});
});

describe('duplicates', () => {
	it('are compared in percent of their mean', () => {
		expect(relativePercentDifference({ first: 90, second: 110 }).percent).toBe(20);
		expect(relativePercentDifference({ first: 110, second: 90 }).percent).toBe(20);
		expect(relativePercentDifference({ first: 0, second: 0 }).percent).toBe(0);
		expect(relativePercentDifference({ first: 0, second: 4 }).percent).toBe(200);
	});

	it('are held against earlier ones', () => {
		const got = logRangeDuplicatePrecision({
			pairs: [[100, 10]],
			candidates: [
				[1000, 1],
				[0, 9],
				[100, 100]
			]
		});
		expect(got.meanLogRange).toBeCloseTo(1, 12);
		expect(got.criterion).toBeCloseTo(3.27, 12);
		expect(got.candidateLogRanges[1]).toBeCloseTo(1, 12); // 1 is added to both
		expect(got.candidateAcceptable).toEqual([true, true, true]);
		// 1 is not below 1, so nothing is added; three orders of magnitude are too many for a mean of a fifth
		const strict = logRangeDuplicatePrecision({
			pairs: [[10, 10 ** 1.2]],
			candidates: [
				[1, 1000],
				[1000, 1],
				[10, 20],
				[0.5, 9]
			]
		});
		expect(strict.candidateLogRanges[0]).toBeCloseTo(3, 12);
		expect(strict.candidateLogRanges[1]).toBeCloseTo(3, 12);
		expect(strict.candidateLogRanges[3]).toBeCloseTo(Math.log10(10 / 1.5), 12);
		expect(strict.candidateAcceptable).toEqual([false, false, true, false]);
		expect(() => logRangeDuplicatePrecision({ pairs: [], candidates: [] })).toThrow(/pairs/);
		expect(() => logRangeDuplicatePrecision({ pairs: [[1] as never], candidates: [] })).toThrow(/pairs\[0\]/);
		expect(() => logRangeDuplicatePrecision({ pairs: [[1, 2, 3] as never], candidates: [] })).toThrow(
			/pairs\[0\] must be a pair/
		);
	});
});
