import { describe, expect, it } from 'vitest';
import { z } from 'zod';
import { SheetSchema } from '../../logbook/sheet';
import { branchWords } from '../../subjects/places';
import { sayPlace, sayWritten } from './place';

const MADE_UP = '018f3b1c-0000-7000-8000-000000000001';

describe('a place of the sheet', () => {
	it.each([
		['readings/conductivity/main', 'Conductivity, as read: main'],
		['readings/dissolved-oxygen/left-of-middle', 'Dissolved oxygen: left of middle'],
		[`gaugings/main/verticals/${MADE_UP}/depth_m`, 'flow: vertical, depth'],
		['gaugings/repeat/edges/startDistance_m', 'flow, repeat: first edge'],
		['conditions/weather', 'Weather now'],
		['conditions/growth/grey', 'Growing on the bed: grey threads'],
		['bottles/bacteria-blank/filledAt', 'bottle bacteria blank, time of filling'],
		['titrations/first/mgLPerDrop', 'titration, first bottle, mg/L for each drop'],
		['verdicts/dissolved-oxygen/titrations', 'Dissolved oxygen, review of titration'],
		['verdicts/ph/readings.ph.main', 'pH, review of pH: main'],
		['conditions', 'conditions'],
		['bottles/constructor/filledAt', 'bottle constructor, time of filling'],
		['gear/constructor/what', 'wet gear, constructor, what'],
		['arrival/access', 'arrival, how it was sampled'],
		[`arrival/crew/${MADE_UP}/initials`, 'arrival, crew, initials'],
		[`custody/${MADE_UP}/temperature_C`, 'custody, temperature in the cooler'],
		['waits/nitrate-strip/least_s', 'clock, nitrate strip, at least']
	])('%s is said as %s', (path, said) => expect(sayPlace(path)).toBe(said));

	/** What is written in one piece and said in a sentence of its own. */
	const saidWhole = ['opening', 'verdicts', 'reviews', 'reported', 'position', 'rating'];

	/** Every key that a schema names below a key, whatever stands between. */
	function keysOf(schema: z.ZodType, under: string): string[] {
		const inner = schema instanceof z.ZodOptional ? (schema.unwrap() as z.ZodType) : schema;
		if (inner instanceof z.ZodRecord) return keysOf(inner.valueType as z.ZodType, under);
		if (saidWhole.includes(under) || !(inner instanceof z.ZodObject)) return [];
		return Object.entries(inner.shape).flatMap(([key, child]) => [key, ...keysOf(child as z.ZodType, key)]);
	}

	it.each(Object.entries(SheetSchema.shape).filter(([branch]) => branch !== 'conditions' && branch !== 'habitat'))(
		'has words for every key of %s',
		(branch, schema) => {
			const { keys } = branchWords[branch as keyof typeof branchWords];
			expect(keysOf(schema as z.ZodType, branch).filter((key) => keys[key] === undefined)).toEqual([]);
		}
	);
});

describe('what is written at a place', () => {
	it.each([
		['arrival/access', 'bank', 'from the bank'],
		['arrival/confirmedBy', 'photo-point', 'by the photo point'],
		['gaugings/main/school', 'two-point', /0\.2 and 0\.8/],
		['bottles/a/role', 'routine', 'sample'],
		['custody/x/signature', 'M1 1L2 2', 'signed'],
		['conditions/weather', 'nonsense', 'nonsense'],
		[
			'verdicts/ph/readings',
			{ verdict: 'reject', reason: 'the probe was dry', judged: '7' },
			'rejected: the probe was dry'
		],
		[
			'arrival/position',
			{ latitude: 51.5, longitude: -2.25, accuracy_m: 4.6, isSimulated: true },
			'51.50000°, −2.25000°, within 5 m (simulated)'
		],
		['reported/ph', { from: 'readings.ph.main', reason: 'it had settled' }, 'pH: main: it had settled'],
		['arrival/depth_m', 0.35, '0.35 m'],
		['arrival/velocity_m_s', 0.25, '0.25 m/s'],
		['bottles/a/rinses', 3, '3'],
		['tubes/main/volumes/a/grown', [1, 3], '1, 3'],
		['tubes/main/volumes/a/grown', [], 'none'],
		['opening', {}, 'opened'],
		['arrival/access', 'constructor', 'constructor'],
		['gaugings/main/flume/rating', { name: 'odd' }, 'name: odd'],
		[
			'bottles/n/results/phosphate',
			{
				figure: { below: 0.05, unit: 'mg_L_P' },
				uncertainty: 0.02,
				lab: 'Ash Lab',
				report: 'AL-7',
				analysedOn: '2026-05-14',
				asWritten: 'AL-7 · PO4 · <0.05'
			},
			'figure: below 0.05 mg/L as P; ±: 0.02; lab: Ash Lab; report: AL-7; analysed on: Thu 14 May 2026; ' +
				'its row in the report: AL-7 · PO4 · <0.05'
		],
		['leaving/checked', true, 'yes']
	])('%s %j is said as %s', (path, value, said) => expect(sayWritten(path, value, 'UTC')).toMatch(said));
});
