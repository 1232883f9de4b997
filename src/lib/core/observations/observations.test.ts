import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { fold, placeAt, whyRefused } from '../logbook';
import { aLine } from '../../../../tests/a-line';
import { asLastTime, chosen, forms, hasRainedMuch, isAnswered, usualFirst, type FormName, type Question } from '.';

const names = Object.keys(forms) as FormName[];
const all = names.flatMap((form) => forms[form].map((q) => [form, q.id, q] as const));
const question = (form: FormName, id: string): Question => forms[form].find((q) => q.id === id)!;

describe('the questions', () => {
	it.each(names)('of %s have ids and choices of their own, each said in words', (form) => {
		expect(new Set(forms[form].map((q) => q.id)).size).toBe(forms[form].length);
		for (const q of forms[form]) {
			expect(new Set(q.choices.map((c) => c.id)).size).toBe(q.choices.length);
			expect(new Set(q.choices.map((c) => c.word)).size).toBe(q.choices.length);
			expect(q.choices.length).toBeGreaterThan(1);
			expect(q.ask).toMatch(/^[A-Z]/);
		}
	});
	it('ask about everything that is looked at on arrival', () => {
		expect(forms.conditions.map((q) => q.id)).toEqual(
			expect.arrayContaining([
				...[
					'weather',
					'rain24',
					'rain48',
					'surface',
					'flow',
					'tide',
					'colour',
					'odour',
					'foam',
					'sheen',
					'litter',
					'growth',
					'fish'
				],
				...['erosion', 'plants', 'upstream', 'downstream', 'works']
			])
		);
	});
	it('of the habitat each have a help, for whoever does it for the first time', () => {
		expect(forms.habitat.filter((q) => !q.help)).toEqual([]);
	});
	it.each(all.filter(([, , q]) => q.takes === 'several'))(
		'%s/%s can be answered with nothing seen, or has no nothing',
		(_, __, q) => {
			const none = q.choices.filter((c) => c.id === 'none');
			expect(none.length).toBeLessThanOrEqual(1);
		}
	);
});

describe('an answer', () => {
	it.each(all)('%s/%s takes its own choices and no other', (form, id, q) => {
		for (const choice of q.choices) {
			const [path, value] = q.takes === 'one' ? [`${form}/${id}`, choice.id] : [`${form}/${id}/${choice.id}`, true];
			expect(whyRefused(path, value)).toBeNull();
		}
		expect(
			q.takes === 'one' ? whyRefused(`${form}/${id}`, 'purple rain') : whyRefused(`${form}/${id}/purple`, true)
		).not.toBeNull();
	});
	it.each([
		['conditions/weather', true, /one of: clear, cloudy/],
		['conditions/odour/sewage', 'yes', /seen or not/],
		['conditions/odour', true, /no such place/],
		['conditions/weather/clear', true, /no such place/],
		['conditions/moon', 'full', /no such place/],
		['habitat/bed', 'clear', /one of: bedrock/]
	])('%s of %j is refused with the reason', (path, value, why) => {
		expect(whyRefused(path, value)).toMatch(why);
	});
	it('has a place of its own for each of several choices, so that two people can add at once', () => {
		expect(placeAt('conditions/growth/grey')).toMatchObject({ kind: 'value' });
		const lines = [aLine(1, 1000, 'conditions/growth/grey', true), aLine(2, 1000, 'conditions/growth/film', true)];
		const folded = fold(lines);
		expect(folded.conflicts).toEqual([]);
		expect(chosen(question('conditions', 'growth'), folded.sheet.conditions).map((c) => c.id)).toEqual([
			'film',
			'grey'
		]);
	});
	it('that was taken back is none', () => {
		const line = aLine(1, 1000, 'conditions/odour/sewage', true);
		const struck = { ...aLine(2, 2000, 'conditions/odour/sewage', 'taken back', line.id), op: 'strike' as const };
		expect(isAnswered(question('conditions', 'odour'), fold([line, struck]).sheet.conditions)).toBe(false);
		expect(isAnswered(question('conditions', 'odour'), { odour: { sewage: false } })).toBe(false);
		expect(isAnswered(question('conditions', 'odour'), undefined)).toBe(false);
	});
});

describe('choices in the order in which a place usually has them', () => {
	const colour = question('conditions', 'colour');
	it('begin with the commonest and keep the others as they are', () => {
		const order = usualFirst(colour, ['muddy', 'clear']).map((c) => c.id);
		expect(order.slice(0, 3)).toEqual(['muddy', 'clear', 'tea']);
		expect(usualFirst(colour, undefined)).toEqual(colour.choices);
	});
	it('are always the same choices, once each, whatever the past says', () => {
		fc.assert(
			fc.property(fc.array(fc.oneof(fc.constantFrom(...colour.choices.map((c) => c.id)), fc.string())), (usual) => {
				const order = usualFirst(colour, usual);
				expect([...order].sort((a, b) => (a.id < b.id ? -1 : 1))).toEqual(
					[...colour.choices].sort((a, b) => (a.id < b.id ? -1 : 1))
				);
				const known = usual.filter((id, i) => usual.indexOf(id) === i && colour.choices.some((c) => c.id === id));
				expect(order.slice(0, known.length).map((c) => c.id)).toEqual(known);
			})
		);
	});
});

describe('as last time', () => {
	const last = {
		weather: 'rain',
		erosion: 'some',
		plants: { trees: true, reeds: true, grass: false },
		upstream: { woods: true }
	};

	it('fills what does not change with the weather, and leaves what was answered today', () => {
		expect(asLastTime('conditions', forms.conditions, { upstream: { houses: true } }, last)).toEqual({
			'conditions/erosion': 'some',
			'conditions/plants/trees': true,
			'conditions/plants/reeds': true
		});
	});

	it('is nothing where nobody was there before, or a choice is known no more', () => {
		expect(asLastTime('conditions', forms.conditions, undefined, {})).toEqual({});
		expect(asLastTime('conditions', forms.conditions, undefined, { erosion: 'as in the old form' })).toEqual({});
	});
});

describe('rain before somebody came', () => {
	it('was much where over 20 mm fell on either day; what nobody knows is not much', () => {
		expect(hasRainedMuch({ rain24: 'much' })).toBe(true);
		expect(hasRainedMuch({ rain24: 'none', rain48: 'much' })).toBe(true);
		expect(hasRainedMuch({ rain24: 'some', rain48: 'unknown' })).toBe(false);
		expect(hasRainedMuch(undefined)).toBe(false);
		const rain = forms.conditions.find((q) => q.id === 'rain24')!;
		expect(rain.choices.map((c) => c.id)).toContain('much');
	});
});
