import { describe, expect, it } from 'vitest';
import fc from 'fast-check';
import { fullVisit, streamVisit } from '../../method';
import { gearWarnings, packList, type GearQuestion, type PackQuestion } from '..';

const nutrients = {
	id: 'nutrients',
	tool: 'bottle' as const,
	title: 'N',
	how: 'h',
	tags: [],
	bottle: { id: 'nutrients', kind: 'nutrients' as const, preserved: 'acid' as const }
};
const question: PackQuestion = {
	card: { steps: [...streamVisit.steps, nutrients] },
	sites: ['TE4', 'QU1', 'TE5'],
	duplicates: ['TE5'],
	blanks: ['QU1'],
	people: 2,
	instruments: [{ code: 'M-3', kind: 'multimeter' }]
};
const count = (q: PackQuestion, id: string) => packList(q).find((l) => l.id === id)?.count ?? 0;

describe('the counted list', () => {
	it('has a bottle for each analysis of each routine, duplicate and blank sample', () => {
		expect([
			count(question, 'bottle-bacteria'),
			count(question, 'bottle-nutrients'),
			count(question, 'bottle-spare')
		]).toEqual([5, 5, 1]);
		expect(packList(question).find((l) => l.id === 'bottle-bacteria')!.because).toBe(
			'3 sites + 1 duplicate (TE5) + 1 blank (QU1)'
		);
	});

	it('matches a vial to each bottle that is preserved, and asks for eye protection with acid alone', () => {
		expect([count(question, 'vial-nutrients'), count(question, 'eyes'), count(question, 'eyewash')]).toEqual([5, 2, 1]);
		// bacteria starve in deionised water: their blank is of another
		expect([count(question, 'blank-deionised-water'), count(question, 'blank-sterile-buffered-water')]).toEqual([
			250, 250
		]);
		const plain = { ...question, card: streamVisit };
		expect([count(plain, 'vial-nutrients'), count(plain, 'eyes')]).toEqual([0, 0]);
	});

	it('has what the card’s titration and kits use up: bottles, reagents, tests, and the waste bottle', () => {
		const full = { ...question, card: fullVisit };
		const asked = fullVisit.steps.find((s) => s.tool === 'titration')!;
		const kits = fullVisit.steps.filter((s) => s.tool === 'kit');
		expect(count(full, 'glass-bottle')).toBe(3 * (asked.tool === 'titration' ? asked.bottles.length : 0) + 1);
		for (const id of ['fixing', 'titration-acid', 'titrant', 'starch', 'waste']) expect(count(full, id), id).toBe(1);
		expect(kits.length).toBeGreaterThan(0);
		// the two pads of the nitrogen strip are one test
		const packed = kits.filter((kit) => kit.id !== 'nitrate');
		for (const kit of packed) expect([count(full, `kit-${kit.id}`), count(full, `chart-${kit.id}`)]).toEqual([4, 1]);
		expect(count(full, 'kit-nitrate')).toBe(0);
		expect(packList(full).find((l) => l.id === 'kit-nitrite')!.what).toBe('Nitrogen strip: tests, in date');
		expect(packList(full).find((l) => l.id === 'eyes')!.because).toMatch(/alkali and acid of the titration/);
		expect(count(question, 'titrant')).toBe(0);
	});

	it.each([
		['verticals', 'tape'],
		['float', 'floats'],
		['flume', 'flume'],
		['bucket', 'bucket']
	] as const)('has for a flow by %s the %s', (method, id) => {
		const card = { steps: streamVisit.steps.map((s) => (s.tool === 'flow' ? { ...s, method } : s)) };
		expect(count({ ...question, card }, id)).toBeGreaterThan(0);
	});

	it('always counts bottles = analyses × samples, labels for each of them, gloves for each person and site', () => {
		const codes = fc.uniqueArray(fc.string({ minLength: 1, maxLength: 3 }), { minLength: 1, maxLength: 9 });
		fc.assert(
			fc.property(codes, fc.nat(3), fc.nat(3), fc.integer({ min: 1, max: 6 }), (sites, d, b, people) => {
				const q = { ...question, sites, duplicates: sites.slice(0, d), blanks: sites.slice(0, b), people };
				const samples = sites.length + Math.min(d, sites.length) + Math.min(b, sites.length);
				expect([count(q, 'bottle-bacteria'), count(q, 'label'), count(q, 'gloves')]).toEqual([
					samples,
					2 * samples,
					people * sites.length
				]);
				expect(new Set(packList(q).map((l) => l.id)).size).toBe(packList(q).length);
			})
		);
	});
});

describe('the gear on the morning', () => {
	const starts_ms = Date.UTC(2026, 4, 16, 8);
	const day = 86_400_000;
	const nothing: GearQuestion = { starts_ms, instruments: [], pastVelocity: [], wet: [], consumables: [] };
	const meter = {
		code: 'M-3',
		kind: 'multimeter',
		calibrations: [{ parameter: 'dissolved-oxygen', last_ms: starts_ms - day, limit_days: 2 }],
		batteryChanged_ms: null,
		velocity: null
	};
	it.each<[string, Partial<GearQuestion>, string[]]>([
		['all in order', { instruments: [meter] }, []],
		[
			'never calibrated',
			{ instruments: [{ ...meter, calibrations: [{ parameter: 'pH', last_ms: null, limit_days: 2 }] }] },
			['calibrate']
		],
		[
			'too long ago',
			{ instruments: [{ ...meter, calibrations: [{ parameter: 'pH', last_ms: starts_ms - 3 * day, limit_days: 2 }] }] },
			['calibrate']
		],
		['a new battery since', { instruments: [{ ...meter, batteryChanged_ms: starts_ms - 1 }] }, ['battery']],
		['an old battery', { instruments: [{ ...meter, batteryChanged_ms: starts_ms - 2 * day }] }, []],
		[
			'nets still wet',
			{
				wet: [
					{ kit: 'Lower', water: 'Quarl Ditch', dry_ms: starts_ms + 1 },
					{ kit: 'Lower', water: 'Ebbin', dry_ms: starts_ms }
				]
			},
			['still-wet']
		],
		['old reagent', { consumables: [{ what: 'strips', expires_ms: starts_ms - 1 }] }, ['out-of-date']]
	])('%s', (_, given, kinds) => {
		expect(gearWarnings({ ...nothing, ...given }).map((w) => w.kind)).toEqual(kinds);
	});
	it('a velocity meter that does not suit the water', () => {
		const v = { ...meter, calibrations: [], velocity: { low_m_s: 0.05, high_m_s: 1 } };
		const seen = [
			{ site: 'TE1', low_m_s: 0.01, high_m_s: 0.4 },
			{ site: 'TE2', low_m_s: 0.1, high_m_s: 1.4 },
			{ site: 'TE3', low_m_s: 0.1, high_m_s: 0.9 }
		];
		expect(
			gearWarnings({ ...nothing, instruments: [v], pastVelocity: seen }).map(
				(w) => w.kind === 'velocity-range' && [w.site, w.seen_m_s]
			)
		).toEqual([
			['TE1', 0.01],
			['TE2', 1.4]
		]);
	});
});
