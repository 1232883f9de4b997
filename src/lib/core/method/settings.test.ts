import { afterEach, describe, expect, it } from 'vitest';
import { numberStyles, writeNumbersBy } from '../quantity';
import { settingAsShown } from '../subjects/setting';
import {
	compareCards,
	contradictions,
	MethodCard,
	settingsOf,
	shippedCards,
	streamVisit,
	streamVisit1,
	waysOf,
	withSettings
} from '.';

const why = (texts: Record<string, string>) => {
	const made = withSettings(streamVisit, texts);
	return 'why' in made ? made.why : [];
};
const changed = (texts: Record<string, string>): MethodCard => {
	const made = withSettings(streamVisit, texts);
	if ('why' in made) throw new Error(JSON.stringify(made.why));
	return made.card;
};

describe('the shipped cards', () => {
	it.each(shippedCards.map((c) => [c.code, c] as const))('%s is whole and does not contradict itself', (_, card) => {
		expect(MethodCard.safeParse(card).success).toBe(true);
		expect(contradictions(card)).toEqual([]);
	});

	it('are one for each school of wading, under codes of their own', () => {
		expect(new Set(shippedCards.map((c) => c.wading.school))).toEqual(
			new Set(['depth-and-velocity', 'depth-only', 'product'])
		);
		expect(new Set(shippedCards.map((c) => c.code)).size).toBe(shippedCards.length);
	});
});

describe('settings of a card', () => {
	afterEach(() => writeNumbersBy(() => undefined));
	it.each(numberStyles)('written back as they are shown, change nothing, with numbers as %s', (style) => {
		writeNumbersBy(() => style);
		for (const card of shippedCards) {
			const texts = Object.fromEntries(settingsOf(card).map((s) => [s.path, settingAsShown(s)]));
			expect(withSettings(card, texts)).toEqual({ card });
		}
	});

	it('put one way before the others, and know no other ways', () => {
		expect(waysOf(changed({ ways: 'titration, meter' })).slice(0, 3)).toEqual(['titration', 'meter', 'lab']);
		expect(why({ ways: 'titration, dowsing' })).toEqual([
			{ path: 'ways', why: expect.stringMatching(/“dowsing” is no way of finding a figure/) }
		]);
	});

	it('show the amounts of pairs as people write numbers', () => {
		writeNumbersBy(() => '11,2');
		const pair = { keys: ['label', 'wait_s'] as const, isAmount: true };
		expect(settingAsShown({ control: 'pairs', pair, text: 'dip: 1.5; wait: 60' })).toBe('dip: 1,5; wait: 60');
		const labels = { keys: ['id', 'label'] as const, isAmount: false };
		expect(settingAsShown({ control: 'pairs', pair: labels, text: 'a: step 1.5' })).toBe('a: step 1.5');
	});

	it('quote what was typed where it is no number', () =>
		expect(why({ 'holding.bacteria_h': 'six,5' })).toEqual([
			{ path: 'holding.bacteria_h', why: '“six,5” is not a number.' }
		]));

	it('are changed one by one, with a decimal comma too', () => {
		const card = changed({
			'holding.bacteria_h': '5,5',
			'steps.oxygen.spreadLimit': '0.3',
			'limits.pickLeast_min': '30',
			'steps.oxygen.slots': 'main: main flow'
		});
		expect(card.holding.bacteria_h).toBe(5.5);
		expect(card.limits).toEqual({ pickLeast_min: 30 });
		expect(card.steps.find((s) => s.id === 'oxygen')).toMatchObject({
			spreadLimit: 0.3,
			slots: [{ id: 'main', label: 'main flow' }]
		});
		expect(streamVisit.holding.bacteria_h).toBe(6);
	});

	it('a school of wading brings its own limits', () => {
		expect(changed({ 'wading.school': 'product', 'wading.depth_m': '0.3' }).wading).toEqual({
			school: 'product',
			product_m2_s: 0.6
		});
		expect(why({ 'wading.school': 'bravery' })).toEqual([
			{ path: 'wading.school', why: 'There is no school of wading called “bravery”.' }
		]);
	});

	it.each([
		['holding.bacteria_h', 'six', /“six” is not a number/],
		['holding.bacteria_h', '-2', />0/],
		['steps.flow.leastVerticals', '2', />=3/],
		['steps.oxygen.unit', 'ft', /cannot stand here/],
		['title', ' ', /Title is missing/],
		['rules', 'air then water', /is not a rule such as/]
	])('%s “%s” is refused at its place', (path, text, says) => {
		expect(why({ [path]: text })).toEqual([{ path, why: expect.stringMatching(says) }]);
	});
});

describe('limits that contradict', () => {
	it.each([
		[{ 'limits.plateReadable_h': '72' }, 'limits.plateTooOld_h', /could never be read/],
		[{ 'limits.plateFewColonies': '200' }, 'limits.plateManyColonies', /no plate would count/],
		[{ 'limits.plateLeast_mL': '6' }, 'limits.plateMost_mL', /nothing could be/],
		[{ 'limits.pickLeast_min': '90' }, 'limits.pickMost_min', /at least 90 min and at most 60/],
		[{ 'holding.withoutIce_h': '7' }, 'holding.withoutIce_h', /lost after 6 h/],
		[{ 'steps.clarity.minimumDepth_cm': '120' }, 'steps.clarity.minimumDepth_cm', /120 cm long/],
		[{ 'steps.flow.shareLimit_percent': '5' }, 'steps.flow.shareLimit_percent', /10 verticals of at most 5 % each/],
		[
			{
				rules:
					'air before water-temperature: a wet thermometer reads low.\nwater-temperature before air: for no reason.'
			},
			'rules',
			/chase one another: .*air-temperature/
		],
		[{ rules: 'air before yeti: it is cold.' }, 'rules', /No step carries “yeti”/]
	])('%o', (texts, path, says) => {
		expect(why(texts as Record<string, string>)).toContainEqual({ path, why: expect.stringMatching(says) });
	});
});

describe('two versions side by side', () => {
	it('differ in what was changed and nothing else', () => {
		const different = compareCards(streamVisit1, streamVisit).filter((d) => d.a !== d.b);
		expect(different).toEqual([
			{ path: 'holding.bacteria_h', group: 'Holding', label: 'first bottle to last plate, h', a: '8', b: '6' }
		]);
	});

	it('show what only one of them has', () => {
		const [visit, , , run] = shippedCards;
		expect(compareCards(visit!, run!).find((d) => d.path === 'steps.flow.leastVerticals')).toMatchObject({
			a: '10',
			b: null
		});
	});
});
