import { describe, expect, it } from 'vitest';
import { upstreamDownstreamLoads } from '.';

const at = (concentration_mgL: number, discharge_m3_s: number, sd = 0) => ({
	concentration_mgL,
	concentrationSd_mgL: sd,
	discharge_m3_s,
	dischargeSd_m3_s: 0
});

describe('loads up and down a reach', () => {
	it('give the gain, and what the inflow must carry', () => {
		const got = upstreamDownstreamLoads({ upstream: at(1, 0.1), downstream: at(2, 0.2), tributaries: [at(1, 0.05)] });
		expect(got.upstreamLoad_kgDay).toBeCloseTo(8.64, 12); // 86.4 × 1 × 0.1
		expect(got.gain_kgDay).toBeCloseTo(34.56 - 8.64 - 4.32, 12);
		expect(got.flowGain_m3_s).toBeCloseTo(0.05, 12);
		expect(got.inflowConcentration_mgL).toBeCloseTo(5, 9); // 21.6 / (86.4 × 0.05)
	});

	it('do not tell a gain that the uncertainty could hide', () => {
		const hidden = upstreamDownstreamLoads({ upstream: at(1, 1, 0.2), downstream: at(1.2, 1, 0.2) });
		expect(hidden.distinguishable).toBe(false);
		expect(hidden.gainLower95_kgDay).toBeLessThan(0);
		expect(hidden.gainSd_kgDay).toBeCloseTo(86.4 * 0.2 * Math.SQRT2, 9);
		expect(upstreamDownstreamLoads({ upstream: at(1, 1, 0.01), downstream: at(1.2, 1, 0.01) }).distinguishable).toBe(
			true
		);
	});

	it('carry no inflow where the flow does not grow', () => {
		expect(upstreamDownstreamLoads({ upstream: at(1, 1), downstream: at(2, 1) }).inflowConcentration_mgL).toBeNull();
		expect(() => upstreamDownstreamLoads({ upstream: at(-1, 1), downstream: at(2, 1) })).toThrow(
			/upstream\.concentration_mgL/
		);
		expect(() =>
			upstreamDownstreamLoads({
				upstream: at(1, 1),
				downstream: at(2, 1),
				tributaries: [{ ...at(1, 1), dischargeSd_m3_s: NaN }]
			})
		).toThrow(/tributaries\[0\]\.dischargeSd_m3_s/);
	});
});
