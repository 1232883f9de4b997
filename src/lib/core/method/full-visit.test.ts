import { describe, expect, it } from 'vitest';
import { parameterOf } from '../quantity';
import { cautionFor } from '../safety';
import { packList } from '../schedule';
import {
	comesFirst,
	fullVisit,
	limitsOf,
	orderSteps,
	settingsOf,
	shippedCards,
	withSettings,
	type MethodCard
} from '.';
import { type Step } from '../subjects/steps';

const step = (id: string): Step => fullVisit.steps.find((s) => s.id === id)!;
const order = () => {
	const found = orderSteps(fullVisit);
	if (!('steps' in found)) throw new Error('the rules chase one another');
	return found.steps.map((s) => s.step.id);
};
const changed = (texts: Record<string, string>): MethodCard => {
	const made = withSettings(fullVisit, texts);
	if ('why' in made) throw new Error(JSON.stringify(made.why));
	return made.card;
};
const why = (texts: Record<string, string>) => {
	const made = withSettings(fullVisit, texts);
	return 'why' in made ? made.why.map((w) => w.why).join(' ') : '';
};

describe('the full visit', () => {
	it('goes in the order of its rules: bottles, air before water, oxygen at once, the bed last', () => {
		const ids = order();
		const before = (a: string, b: string) => expect(ids.indexOf(a), `${a} before ${b}`).toBeLessThan(ids.indexOf(b));
		for (const other of ids.filter((id) => id !== 'arrive')) before('arrive', other);
		before('bacteria-bottle', 'nutrient-bottle');
		before('bacteria-bottle', 'water-temperature');
		before('air-temperature', 'water-temperature');
		for (const unhurried of ['conductivity', 'ph', 'nitrate', 'nitrite', 'phosphate', 'clarity', 'disc']) {
			before('oxygen', unhurried);
			before('oxygen-titration', unhurried);
			before(unhurried, 'flow');
		}
		expect(ids.at(-1)).toBe('leave');
	});
	it('reads the pad of a strip first that is ready first, wherever the card lists it', () => {
		const pads = fullVisit.steps.filter((s) => s.id === 'nitrite' || s.id === 'nitrate').reverse();
		expect(pads.map((s) => s.id)).toEqual(['nitrate', 'nitrite']);
		const ordered = orderSteps({ steps: pads, rules: [] });
		expect('steps' in ordered && ordered.steps.map((o) => o.step.id)).toEqual(['nitrite', 'nitrate']);
		expect('steps' in ordered && ordered.steps[1]!.because).toEqual([
			'Of the pads of one strip the one that is ready first is read first.'
		]);
	});
	it('tells before a step what ought to come first, and why', () => {
		const first = comesFirst(step('water-temperature'), fullVisit);
		expect(first.find((f) => f.step.id === 'air-temperature')!.because).toMatch(/wet thermometer/);
		expect(comesFirst(step('arrive'), fullVisit)).toEqual([]);
	});
	it('has a caution wherever somebody could be hurt', () => {
		const hurts = fullVisit.steps.filter((s) => s.caution !== undefined);
		for (const s of hurts) expect(cautionFor(s.caution), s.id).toHaveLength(2);
		expect(hurts.map((s) => s.id)).toEqual(
			expect.arrayContaining([
				'arrive',
				'bacteria-bottle',
				'nutrient-bottle',
				'oxygen-titration',
				'phosphate',
				'disc',
				'flow'
			])
		);
		expect(cautionFor('acid')!.join(' ')).toMatch(/eye protection.*trained people come first/i);
	});
	it('asks of each kit for waits and a chart that make sense', () => {
		for (const s of fullVisit.steps) {
			if (s.tool !== 'kit') continue;
			const values = s.chart.map((b) => b.value);
			expect(
				[...values].sort((a, b) => a - b),
				s.id
			).toEqual(values);
			expect(new Set(s.chart.map((b) => b.word)).size).toBe(s.chart.length);
			expect(values.at(-1)!).toBeLessThanOrEqual(parameterOf(s.parameter, undefined).possible[1]);
		}
	});
	it('is packed with acid, eye protection and a vial for each preserved bottle', () => {
		const lines = packList({
			card: fullVisit,
			sites: ['TE3', 'TE4'],
			duplicates: ['TE4'],
			blanks: [],
			people: 2,
			instruments: []
		});
		const count = (id: string) => lines.find((l) => l.id === id)?.count;
		expect(count('bottle-nutrients')).toBe(3);
		expect(count('vial-nutrients')).toBe(3);
		expect(count('eyes')).toBe(2);
	});
});

describe('its settings', () => {
	it('have a place for every number and school', () => {
		const paths = settingsOf(fullVisit).map((s) => s.path);
		for (const path of [
			...[
				'steps.nutrient-bottle.rinses',
				'steps.nutrient-bottle.technique',
				'steps.nitrate.waits',
				'steps.nitrate.readWithin_s',
				'steps.nitrate.chart'
			],
			...[
				'steps.oxygen-titration.mgLPerDrop',
				'steps.oxygen-titration.settle_s',
				'steps.oxygen-titration.within_h',
				'steps.oxygen-titration.bottles'
			],
			...['steps.disc.unit', 'steps.flow.method', 'steps.flow.school', 'steps.flow.arithmetic'],
			...[
				'limits.freshSource_percent',
				'limits.titrations_mgL',
				'limits.gaugings_percent',
				'limits.tapeTooLong_percent'
			]
		])
			expect(paths, path).toContain(path);
		// a sterile bottle is never rinsed, whatever a program thinks
		expect(paths).not.toContain('steps.bacteria-bottle.rinses');
	});
	it('change one by one', () => {
		const card = changed({
			'steps.nutrient-bottle.rinses': '1',
			'steps.nitrate.waits': 'in the water: 2; colour comes: 58',
			'steps.nitrate.chart': 'none: 0; pale: 0,5; deep: 5',
			'steps.oxygen-titration.mgLPerDrop': '1',
			'steps.flow.school': 'three-point',
			'limits.gaugings_percent': '7,5'
		});
		const of = (id: string) => card.steps.find((s) => s.id === id);
		expect(of('nutrient-bottle')).toMatchObject({ rinses: 1 });
		expect(of('nitrate')).toMatchObject({
			waits: [
				{ what: 'in the water', for_s: 2 },
				{ what: 'colour comes', for_s: 58 }
			],
			chart: [
				{ word: 'none', value: 0 },
				{ word: 'pale', value: 0.5 },
				{ word: 'deep', value: 5 }
			]
		});
		expect(of('oxygen-titration')).toMatchObject({ mgLPerDrop: 1 });
		expect(of('flow')).toMatchObject({ school: 'three-point' });
		expect(limitsOf(card).gaugings_percent).toBe(7.5);
	});
	it.each([
		['steps.nitrate.waits', 'a minute', /each with a number/],
		['steps.nitrate.waits', 'dip: soon', /each with a number/],
		['steps.nitrate.chart', '', /each with a number/],
		['steps.oxygen-titration.bottles', 'two of them', /Write them as/],
		['steps.flow.school', 'by eye', /cannot stand here/],
		['steps.nutrient-bottle.technique', 'drone', /cannot stand here/],
		['steps.nutrient-bottle.rinses', 'often', /not a number/],
		['steps.nutrient-bottle.rinses', '9', /./],
		['steps.oxygen-titration.mgLPerDrop', '0', /./]
	])('%s of “%s” is refused in words', (path, text, words) => expect(why({ [path]: text })).toMatch(words));
	it('an unrinsed school is a school: a card may ask for none', () => {
		expect(
			changed({ 'steps.nutrient-bottle.rinses': '0' }).steps.find((s) => s.id === 'nutrient-bottle')
		).toMatchObject({ rinses: 0 });
	});
	it('of the other cards are as they were', () => {
		for (const card of shippedCards.filter(
			(c) => !['full-visit', 'scouting', 'animals', 'live-pick', 'fixed-count', 'plate-stack'].includes(c.code)
		))
			expect(card.steps.some((s) => s.tool === 'kit' || s.tool === 'titration' || s.tool === 'form')).toBe(false);
	});
});
