import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
	kaplanMeierLeftCensored,
	maximumLikelihoodLognormal,
	mean,
	quantile,
	regressionOnOrderStatistics,
	standardDeviation
} from '..';

const detects = fc
	.array(fc.integer({ min: 1, max: 400 }), { minLength: 3, maxLength: 25 })
	.filter((v) => new Set(v).size > 1);
const none = (values: number[]) => ({ values, censored: values.map(() => false) });

describe('with no non-detect', () => {
	it('every estimator is the ordinary one', () => {
		fc.assert(
			fc.property(detects, (values) => {
				const logs = values.map(Math.log);
				expect(kaplanMeierLeftCensored({ ...none(values), probabilities: [] }).mean).toBeCloseTo(mean(values)!, 8);
				expect(kaplanMeierLeftCensored(none(values)).median).toBeCloseTo(
					quantile({ values, probability: 0.5 }).quantile!,
					8
				);
				const ros = regressionOnOrderStatistics(none(values));
				expect(ros.sd).toBeCloseTo(standardDeviation(values)!, 9);
				expect(ros.imputed).toEqual([]);
				const fit = maximumLikelihoodLognormal(none(values));
				expect(fit.meanLog).toBeCloseTo(mean(logs)!, 9);
				// the most likely sd has divisor n
				expect(fit.sdLog).toBeCloseTo(standardDeviation(logs)! * Math.sqrt((values.length - 1) / values.length), 9);
			})
		);
	});
});

describe('with non-detects', () => {
	const sample = fc
		.tuple(detects, fc.array(fc.integer({ min: 1, max: 200 }), { minLength: 1, maxLength: 10 }))
		.map(([seen, limits]) => ({
			values: [...seen, ...limits],
			censored: [...seen.map(() => false), ...limits.map(() => true)]
		}));

	it('a change of unit changes every figure by that factor', () => {
		fc.assert(
			fc.property(sample, ({ values, censored }) => {
				const scaled = values.map((v) => v / 1000);
				const [km, kmScaled] = [values, scaled].map((v) =>
					kaplanMeierLeftCensored({ values: v, censored, probabilities: [0.5] })
				);
				expect(kmScaled!.mean).toBeCloseTo(km!.mean! / 1000, 9);
				const [ros, rosScaled] = [values, scaled].map((v) => regressionOnOrderStatistics({ values: v, censored }));
				if (ros!.mean !== null) expect(rosScaled!.mean! * 1000).toBeCloseTo(ros!.mean, 6);
				const [mle, mleScaled] = [values, scaled].map((v) => maximumLikelihoodLognormal({ values: v, censored }));
				expect(mleScaled!.sdLog! / mle!.sdLog!).toBeCloseTo(1, 8);
			})
		);
	});

	it('the fit stands on the top: a step either way is less likely', () => {
		const input = { values: [1, 2, 3, 5, 8, 2, 2, 4], censored: [false, false, false, false, false, true, true, true] };
		const { meanLog, sdLog, logLikelihood } = maximumLikelihoodLognormal(input);
		const phi = (z: number) => {
			let sum = 0; // Simpson's rule from far below: the distribution by its definition
			const [a, steps] = [-12, 4000];
			const h = (z - a) / steps;
			const inside = (i: number) => (i % 2 ? 4 : 2);
			const weight = (i: number) => (i === 0 || i === steps ? 1 : inside(i)); // Simpson's rule
			for (let i = 0; i <= steps; i++) sum += weight(i) * Math.exp(-((a + i * h) ** 2) / 2);
			return (sum * h) / 3 / Math.sqrt(2 * Math.PI);
		};
		const likelihood = (m: number, s: number) =>
			input.values.reduce((sum, y, i) => {
				const z = (Math.log(y) - m) / s;
				return sum + (input.censored[i] ? Math.log(phi(z)) : -Math.log(y * s * Math.sqrt(2 * Math.PI)) - (z * z) / 2);
			}, 0);
		expect(likelihood(meanLog!, sdLog!)).toBeCloseTo(logLikelihood!, 9);
		for (const [dm, ds] of [
			[0.01, 0],
			[-0.01, 0],
			[0, 0.01],
			[0, -0.01]
		] as const)
			expect(likelihood(meanLog! + dm, sdLog! + ds)).toBeLessThan(logLikelihood!);
	});

	it('a quantile below the lowest limit is not given', () => {
		const km = kaplanMeierLeftCensored({
			values: [1, 1, 1, 5],
			censored: [true, true, true, false],
			probabilities: [0.1, 0.9]
		});
		expect(km.quantiles).toEqual([null, 5]);
		expect(km.mean).toBe(5 * 0.25 + 1 * 0.75);
	});
});

describe('what cannot be said', () => {
	it('is null where nothing, or too little, was detected', () => {
		const all = { values: [1, 2], censored: [true, true] };
		expect(kaplanMeierLeftCensored({ ...all, probabilities: [0.5] })).toEqual({
			n: 2,
			nCensored: 2,
			mean: null,
			median: null,
			quantiles: [null]
		});
		expect(regressionOnOrderStatistics(all)).toMatchObject({ n: 2, nCensored: 2, mean: null, imputed: null });
		expect(maximumLikelihoodLognormal({ values: [3, 3, 1], censored: [false, false, true] }).mean).toBeNull();
	});

	it.each([
		['a limit of 0', { values: [0], censored: [true] }, /values\[0\]/],
		['a value that is missing', { values: [1, null as never], censored: [true, false] }, /values\[1\]/],
		['a mark that is neither', { values: [1], censored: ['yes' as never] }, /censored\[0\]/],
		['lists of different length', { values: [1], censored: [] }, /one length/]
	])('refuses %s', (_, input, why) => {
		for (const estimator of [kaplanMeierLeftCensored, regressionOnOrderStatistics, maximumLikelihoodLognormal])
			expect(() => estimator(input)).toThrow(why);
	});
	it('refuses a probability over 1', () => {
		expect(() => kaplanMeierLeftCensored({ values: [1], censored: [false], probabilities: [1.2] })).toThrow(
			/probabilities\[0\]/
		);
	});
});
