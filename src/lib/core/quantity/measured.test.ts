import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { certain, decimalsBorne, follows, measured, rounded, sumOf } from '.';

describe('what follows from uncertain figures', () => {
	it('carries uncertainty in quadrature', () => {
		expect(sumOf([measured(5, 0.3), measured(7, 0.4)])).toMatchObject({
			number: 12,
			uncertainty: expect.closeTo(0.5, 12)
		});
		// a product's relative uncertainties in quadrature: 3 % and 4 % make 5 %
		expect(follows([measured(100, 3), measured(50, 2)], (a, b) => a * b)!.uncertainty).toBeCloseTo(250, 9);
	});

	it('a constant adds no doubt, and an unknown doubt stays unknown', () => {
		expect(follows([measured(10, 0.5), certain(2)], (a, b) => a * b)!.uncertainty).toBe(1);
		expect(sumOf([measured(10, 0.5), measured(1)])!.uncertainty).toBeNull();
	});

	it('keeps a limit a limit: a sum with a non-detect is a “below”', () => {
		expect(sumOf([measured(4, 0.1), measured(0.05, null, 'below')])).toEqual({
			number: 4.05,
			qualifier: 'below',
			uncertainty: null
		});
		expect(sumOf([measured(4, 0.1), measured(120, null, 'above')])!.qualifier).toBe('above');
	});

	it('turns the limit round where the result falls as the figure rises', () => {
		expect(follows([measured(10, 0), measured(4, null, 'below')], (a, b) => a - b)!.qualifier).toBe('above');
		expect(follows([measured(10, 0), measured(4, null, 'above')], (a, b) => a / b)!.qualifier).toBe('below');
	});

	it('says nothing where limits pull both ways, or the formula cannot', () => {
		expect(follows([measured(10, null, 'below'), measured(4, null, 'below')], (a, b) => a - b)).toBeNull();
		expect(follows([certain(1), certain(0)], (a, b) => a / b)).toBeNull();
		expect(follows([certain(1)], () => null)).toBeNull();
	});

	it('a figure that does not matter does not matter, even when it is only a limit', () => {
		expect(follows([measured(5, 0.1), measured(3, null, 'above')], (a) => a)).toMatchObject({
			number: 5,
			qualifier: null,
			uncertainty: null
		});
	});

	it('is never less sure than the surest part and scales with the unit', () => {
		fc.assert(
			fc.property(
				fc.array(fc.tuple(fc.integer({ min: 1, max: 999 }), fc.integer({ min: 1, max: 99 })), {
					minLength: 1,
					maxLength: 8
				}),
				(parts) => {
					const figures = parts.map(([x, u]) => measured(x, u));
					const whole = sumOf(figures)!;
					expect(whole.uncertainty!).toBeGreaterThanOrEqual(Math.max(...parts.map(([, u]) => u)) - 1e-9);
					const scaled = sumOf(parts.map(([x, u]) => measured(x * 1000, u * 1000)))!;
					expect(scaled.uncertainty! / whole.uncertainty!).toBeCloseTo(1000, 6);
				}
			)
		);
	});
});

describe('digits', () => {
	it.each([
		[0.034, 3],
		[0.34, 2],
		[3.4, 1],
		[34, 0],
		[340, -1],
		[7.5, 0],
		[0.6, 1],
		[96, -1]
	])('an uncertainty of %f bears %i decimals', (uncertainty, decimals) =>
		expect(decimalsBorne(uncertainty)! + 0).toBe(decimals)
	); // the examples of the rule: 355 to 949 bear one digit

	it('are none where nothing is known', () => {
		expect([decimalsBorne(null), decimalsBorne(0)]).toEqual([null, null]);
		expect([rounded(512.57, -1), rounded(9.876, 1), rounded(4, 0)]).toEqual(['510', '9.9', '4']);
	});
});
