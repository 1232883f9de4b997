import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { cfuPer100mL, geometricMean } from '../../bacteria';
import { specificConductance, totalDissolvedSolids } from '../../conductivity';
import {
	floatDischarge,
	load,
	meanDepthDischarge,
	midSectionDischarge,
	midSectionWorking,
	volumetricDischarge
} from '../../discharge';
import { familyBioticIndex } from '../../macroinvertebrates';
import { percentSaturation, titrationOxygen } from '../../oxygen';
import { given, minus, over, plus, times, type Step, type Working } from '../../quantity';
import { sayWorking } from './working';

/**
 * Reads a printed left side as a person with a pocket calculator would: words dropped, brackets first, × and ÷ before
 * + and −.
 */
function reckon(line: string): number {
	let text = line
		.replace(/^mean of .*/, (m) => mean(m.slice(8)))
		.replace(/^geometric mean of .*/, (m) => geometric(m.slice(18)));
	const bracket = /\(([^()]*)\)/;
	while (bracket.test(text)) text = text.replace(bracket, (_, inner: string) => String(reckon(inner)));
	const tokens = text
		.split(/ (?=[+−×÷] )/)
		.map((t, i) => (i === 0 ? { sign: '+', text: t } : { sign: t.charAt(0), text: t.slice(2) }))
		.map(({ sign, text }) => [sign, Number(/^−?[-\d.e]+/.exec(text.trim())![0].replace('−', '-'))] as const);
	const sums: number[] = [];
	for (const [sign, x] of tokens) {
		if (sign === '+') sums.push(x);
		else if (sign === '−') sums.push(-x);
		else sums.push(sign === '×' ? sums.pop()! * x : sums.pop()! / x);
	}
	return sums.reduce((a, b) => a + b, 0);
}
const parts = (list: string) => list.split(', ').map(reckon);
const mean = (list: string) => String(parts(list).reduce((a, b) => a + b, 0) / parts(list).length);
const geometric = (list: string) =>
	String(Math.exp(parts(list).reduce((a, b) => a + Math.log(b), 0) / parts(list).length));

const section = {
	edges: { startDistance_m: 0.2, endDistance_m: 4.2 },
	verticals: [
		{ distance_m: 1, depth_m: 0.2, velocity_m_s: 0.3 },
		{ distance_m: 2, depth_m: 0.4, velocity_m_s: -0.05 },
		{ distance_m: 3, depth_m: 0.3, velocity_m_s: 0.4 }
	]
};
const sample = { dissolvedOxygen_mgL: 9.9, temperature_C: 11.2, salinity_ppt: 0, pressure_kPa: 99 };

/** Each figure that a person could work out by hand: its value, its working. */
const figures: [string, () => [number | null, Working | null]][] = [
	['plates', () => both(cfuPer100mL({ plates: [{ status: 'counted', count: 24, volume_mL: 3 }] }), 'cfuPer100mL')],
	[
		'two plates',
		() =>
			both(
				cfuPer100mL({
					plates: [
						{ status: 'counted', count: 12, volume_mL: 3 },
						{ status: 'counted', count: 9, volume_mL: 5 }
					]
				}),
				'cfuPer100mL'
			)
	],
	[
		'nothing grown',
		() => both(cfuPer100mL({ plates: [{ status: 'counted', count: 0, volume_mL: 6 }] }), 'cfuPer100mL')
	],
	['a crowded plate', () => both(cfuPer100mL({ plates: [{ status: 'tooMany', volume_mL: 1 }] }), 'cfuPer100mL')],
	[
		'geometric mean',
		() => both(geometricMean({ values: [10, 200, 40], qualifiers: ['<', null, null] }), 'geometricMean')
	],
	['percent saturation', () => both(percentSaturation(sample), 'percent')],
	[
		'drops',
		() => both(titrationOxygen({ mode: 'drops', drops: 9, mgLPerDrop: 1, blankDrops: 1 }), 'dissolvedOxygen_mgL')
	],
	[
		'burette',
		() =>
			both(
				titrationOxygen({
					mode: 'molar',
					titrantVolume_mL: 8.2,
					titrantNormality_N: 0.025,
					sampleVolume_mL: 201,
					blankVolume_mL: 0.1,
					bottleVolume_mL: 300,
					displacedVolume_mL: 2
				}),
				'dissolvedOxygen_mgL'
			)
	],
	[
		'conductivity',
		() => both(specificConductance({ conductivity_uScm: 230, temperature_C: 11.2 }), 'specificConductance_uScm')
	],
	['dissolved solids', () => both(totalDissolvedSolids({ specificConductance_uScm: 300 }), 'totalDissolvedSolids_mgL')],
	['simple school', () => both(meanDepthDischarge({ ...section, depthDivisor: 'nPlusOne' }), 'discharge_m3_s')],
	[
		'floats by times',
		() => both(floatDischarge({ length_m: 5, runTimes_s: [10, 12], areas_m2: [0.8, 1] }), 'discharge_m3_s')
	],
	[
		'floats by velocities',
		() =>
			both(
				floatDischarge({ length_m: 5, runTimes_s: [10, 12], areas_m2: [0.8], averaging: 'velocities' }),
				'discharge_m3_s'
			)
	],
	[
		'bucket',
		() =>
			both(
				volumetricDischarge({
					fills: [
						{ volume_L: 10, time_s: 8 },
						{ volume_L: 10, time_s: 9 }
					]
				}),
				'discharge_m3_s'
			)
	],
	['load', () => both(load({ concentration_mgL: 2.5, discharge_m3_s: 0.13 }), 'load_kgDay')],
	[
		'biotic index',
		() =>
			both(
				familyBioticIndex({
					taxa: [
						{ count: 9, tolerance: 2 },
						{ count: 4, tolerance: 8 }
					]
				}),
				'index'
			)
	],
	['mid-section', () => [midSectionDischarge(section).discharge_m3_s, midSectionWorking(midSectionDischarge(section))]]
];

function both<K extends string>(
	result: Record<K, number | null> & { working: Working | null },
	key: K
): [number | null, Working | null] {
	return [result[key], result.working];
}

describe('a working', () => {
	it.each(figures)('of %s ends in the figure itself', (_, work) => {
		const [value, working] = work();
		expect(working!.step.number).toBe(value);
	});

	it.each(figures)('of %s, done again from the printed line, gives the same', (_, work) => {
		const [value, working] = work();
		const [left, right] = sayWorking(working!).split(' = ') as [string, string];
		expect(reckon(left) / value!).toBeCloseTo(1, 4); // figures put in are printed to 6 digits
		// rounded as far as its interval bears
		expect(Math.abs(Number(/^−?[\d.]+/.exec(right)![0].replace('−', '-')) / value! - 1)).toBeLessThan(0.05);
	});

	it('reads as a person would write it', () => {
		const say = (name: string) => sayWorking(figures.find(([n]) => n === name)![1]()[1]!);
		expect(Object.fromEntries(figures.map(([name]) => [name, say(name)]))).toMatchInlineSnapshot(`
			{
			  "a crowded plate": "200 colonies × 100 ÷ 1 mL = 20000 per 100 mL, at least 17320 with 95 % confidence",
			  "biotic index": "(9 × 2 + 4 × 8) ÷ 13 animals = 3.846",
			  "bucket": "mean of 10 L ÷ 1000 ÷ 8 s, 10 L ÷ 1000 ÷ 9 s = 0.001181 m³/s",
			  "burette": "(8.2 mL − 0.1 mL) × 0.025 N × 8000 ÷ 201 mL × (300 mL ÷ (300 mL − 2 mL)) = 8.114 mg/L",
			  "conductivity": "230 µS/cm ÷ (1 + 0.0191 × (11.2 °C − 25 °C)) = 312.3 µS/cm at 25 °C",
			  "dissolved solids": "300 µS/cm at 25 °C × 0.65 = 195 mg/L",
			  "drops": "(9 drops − 1 drops) × 1 mg/L = 8 mg/L",
			  "floats by times": "5 m ÷ (mean of 10 s, 12 s) × 0.85 × (mean of 0.8 m², 1 m²) = 0.3477 m³/s",
			  "floats by velocities": "(mean of 5 m ÷ 10 s, 5 m ÷ 12 s) × 0.85 × 0.8 m² = 0.3117 m³/s",
			  "geometric mean": "geometric mean of 10 × 0.5, 200, 40 = 34.2 per 100 mL",
			  "load": "86.4 × 2.5 mg/L × 0.13 m³/s = 28.08 kg a day",
			  "mid-section": "0.9 m × 0.2 m × 0.3 m/s + 1 m × 0.4 m × −0.05 m/s + 1.1 m × 0.3 m × 0.4 m/s = 0.166 m³/s",
			  "nothing grown": "1 colony × 100 ÷ 6 mL = 17 per 100 mL, between 0 and 61 with 95 % confidence",
			  "percent saturation": "100 × 9.9 mg/L ÷ 10.7213 mg/L = 92.34 %",
			  "plates": "24 colonies × 100 ÷ 3 mL = 800 per 100 mL, between 510 and 1190 with 95 % confidence",
			  "simple school": "(4.2 m − 0.2 m) × ((0.2 m + 0.4 m + 0.3 m) ÷ 4) × ((0.3 m/s + −0.05 m/s + 0.4 m/s) ÷ 3) = 0.195 m³/s",
			  "two plates": "(12 colonies + 9 colonies) × 100 ÷ (3 mL + 5 mL) = 260 per 100 mL, between 160 and 400 with 95 % confidence",
			}
		`);
	});

	/** No step of it divides by 0 or nearly so, as no working does that is ever shown. */
	const isModest = (step: Step): boolean =>
		Number.isFinite(step.number) &&
		Math.abs(step.number) < 1e6 &&
		(step.number === 0 || Math.abs(step.number) > 1e-5) &&
		(step.kind === 'given' || step.of.every(isModest));

	const anyStep: fc.Arbitrary<Step> = fc.letrec<{ step: Step }>((tie) => ({
		step: fc.oneof(
			{ maxDepth: 4 },
			fc.integer({ min: -20, max: 20 }).map((n) => given(n, n % 2 ? 'm' : '')),
			fc.tuple(tie('step'), tie('step')).map(([a, b]) => plus(a, b)),
			fc.tuple(tie('step'), tie('step')).map(([a, b]) => minus(a, b)),
			fc.tuple(tie('step'), tie('step')).map(([a, b]) => times(a, b)),
			fc.tuple(tie('step'), tie('step')).map(([a, b]) => over(a, b))
		)
	})).step;

	it('of any shape has its brackets where they are needed', () => {
		fc.assert(
			fc.property(anyStep, (step) => {
				fc.pre(isModest(step));
				const left = sayWorking({ step, unit: '' }).split(' = ')[0]!;
				expect(reckon(left)).toBeCloseTo(step.number, 4);
			})
		);
	});
});
