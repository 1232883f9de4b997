import { describe, expect, it } from 'vitest';
import { seeded, type Chance } from '../statistics';
import { OwnAnimal, shippedAnimals } from '../macroinvertebrates';
import { animalKey, coarserNames, questions } from './animal-key';
import data from './animals.json' with { type: 'json' };
import type { Answer, Question } from '.';

const { nameBy, describedAs } = animalKey();

type Chances = Record<string, Record<string, number>>;
const drawState = ({ id, states }: Question, chances: Chances, chance: Chance): string => {
	if (chance.uniform() < 0.05) return chance.pick(states).id; // a slip of the eye
	let left = chance.uniform();
	return states.find((s) => (left -= chances[id]?.[s.id] ?? 0) < 0)?.id ?? states[0]!.id;
};

/** Names an animal as a person would: answers what is asked, with slips, until the key has had enough. */
function named(code: string, chance: Chance): { likeliest: string[]; asked: number } {
	const animal = data.taxa.find((t) => t.code === code)! as unknown as {
		chances: Chances;
		forms?: { share: number; chances: Chances }[];
	};
	let left = chance.uniform();
	const form = animal.forms?.find((f) => (left -= f.share) < 0) ?? animal.forms?.[0];
	const chances = { ...animal.chances, ...form?.chances };
	const answers: Answer[] = [];
	for (;;) {
		const { next, likeliest } = nameBy(answers);
		if (next === null) return { likeliest: likeliest.map((l) => l.code), asked: answers.length };
		answers.push({ character: next.id, state: drawState(next, chances, chance) });
	}
}

describe('the key to the animals', () => {
	it('describes kinds that a tray knows', () => {
		for (const { code } of data.taxa) expect(shippedAnimals.of(code), code).not.toBeNull();
		expect(describedAs('Baetidae')!.tell).not.toBe('');
	});
	it('has the right one among its first three for most animals, in a dozen questions', () => {
		const chance = seeded(140);
		const codes = data.taxa.map((t) => t.code);
		const trials = Array.from({ length: 150 }, () => {
			const code = chance.pick(codes);
			const { likeliest, asked } = named(code, chance);
			return { isAmong: likeliest.includes(code), asked };
		});
		// seen: 145 of 150, 5.1 questions; the margin is for chance
		expect(trials.filter((t) => t.isAmong).length / trials.length).toBeGreaterThan(0.88);
		expect(trials.reduce((sum, t) => sum + t.asked, 0) / trials.length).toBeLessThan(12);
	});
	it('takes “cannot see” for nothing, and answers in any order for the same', () => {
		const answers: Answer[] = [
			{ character: 'legs', state: 'six' },
			{ character: 'tails', state: 'three-bare' },
			{ character: 'gill-place', state: 'hind-sides' }
		];
		const chances = (a: Answer[]) => nameBy(a).likeliest.map((l) => [l.code, Number(l.chance.toFixed(9))]);
		expect(chances([...answers].reverse())).toEqual(chances(answers));
		expect(chances([...answers, { character: 'colour', state: null }])).toEqual(chances(answers));
		expect(shippedAnimals.of(nameBy(answers).likeliest[0]!.code)!.order).toBe('Ephemeroptera');
	});
	it('is not locked by a wrong answer', () => {
		const right: Answer[] = [
			{ character: 'body', state: 'shrimp' },
			{ character: 'movement', state: 'on-side' }
		];
		expect(nameBy([...right, { character: 'legs', state: 'none' }]).likeliest.map((l) => l.code)).toContain(
			'Gammaridae'
		);
	});
	it('does not ask what is settled', () => {
		for (let answers: Answer[] = [{ character: 'legs', state: 'none' }]; ;) {
			const { next } = nameBy(answers);
			if (next === null) break;
			expect(['leg-form', 'claws']).not.toContain(next.id);
			answers = [...answers, { character: next.id, state: next.states[0]!.id }];
		}
	});
	it('stops at the name that the evidence allows, and says why', () => {
		const cannotSee = (asked: string[]) =>
			questions.filter((q) => !asked.includes(q.id)).map((q) => ({ character: q.id, state: null }));
		const seen: Answer[] = [
			{ character: 'legs', state: 'six' },
			{ character: 'tail-end', state: 'leaves' }
		];
		const { next, coarser } = nameBy([...seen, ...cannotSee(['legs', 'tail-end'])]);
		expect(next).toBeNull();
		expect(coarser).toMatchObject({ name: 'Three-leaf damselfly', code: 'Odonata' });
		expect(coarser!.leave).toContain('with a lens');
	});
	it('says that it is none of them when no animal shows all that was seen', () => {
		const strange: Answer[] = [
			{ character: 'legs', state: 'none' },
			{ character: 'tail-end', state: 'leaves' },
			{ character: 'shell', state: 'right' },
			{ character: 'suckers', state: 'both-ends' }
		];
		expect(nameBy(strange)).toMatchObject({ isNone: true, isSure: false });
		expect(nameBy(strange).none).toBeGreaterThan(0.8);
		expect(nameBy(strange.slice(0, 1)).none).toBeLessThan(0.2);
	});
	it('has a coarser name for the tray, whatever it is called in words', () => {
		for (const { name, order, code } of coarserNames)
			expect(shippedAnimals.of(code), `${name}, ${order}`).not.toBeNull();
	});
});

describe('kinds of a program’s own in the key', () => {
	const own = (said: object) => OwnAnimal.parse({ name: 'of ours', rank: 'genus', partOf: 'Baetidae', ...said });
	const twoTails = own({
		code: 'Twotail',
		tell: 'Two tails.',
		shows: [{ character: 'tails', state: 'two-long' }]
	});
	const key = animalKey([twoTails, own({ code: 'Untold' })]);
	const seen = (...answers: [string, string][]) => answers.map(([character, state]) => ({ character, state }));
	const baetid = seen(
		['body', 'slim'],
		['movement', 'darts'],
		['claws', 'one'],
		['gill-place', 'hind-sides'],
		['gill-shape', 'plates'],
		['feelers', 'long']
	);
	const chanceOf = (answers: Answer[], code: string) =>
		key.nameBy(answers).likeliest.find((l) => l.code === code)?.chance ?? 0;

	it('are named by what sets them apart, and share the place of their family', () => {
		const withTwo = [...baetid, ...seen(['tails', 'two-long'])];
		const withThree = [...baetid, ...seen(['tails', 'three-bare'])];
		// two long tails: 0.926 of Twotail, 0.26 of the rest of the family, slips of five in a hundred among seven states
		const slip = (p: number) => 0.95 * p + 0.05 / 7;
		const odds = slip(0.9 + 0.1 * 0.26) / slip(0.26);
		expect(chanceOf(withTwo, 'Twotail') / chanceOf(withTwo, 'Baetidae')).toBeCloseTo(odds, 9);
		expect(chanceOf(withThree, 'Baetidae')).toBeGreaterThan(5 * chanceOf(withThree, 'Twotail'));
		expect(key.described.filter((t) => ['Baetidae', 'Twotail'].includes(t.code)).map((t) => t.share)).toEqual([
			0.5, 0.5
		]);
		const family = animalKey().nameBy(baetid).likeliest[0]!;
		expect(family.code).toBe('Baetidae');
		expect(chanceOf(baetid, 'Baetidae') + chanceOf(baetid, 'Twotail')).toBeCloseTo(family.chance, 9);
	});
	it('are left at their family where what was seen does not tell them apart', () => {
		const { coarser, isSure, next } = key.nameBy(baetid);
		expect(isSure).toBe(false);
		expect(coarser).toMatchObject({ code: 'Baetidae', leave: expect.stringContaining('its kinds') as string });
		expect(next?.id).toBe('tails');
	});
	it('have the family’s drawing and size, their own words, and stay out where nothing sets them apart', () => {
		expect(key.describedAs('Twotail')).toMatchObject({
			drawing: describedAs('Baetidae')!.drawing,
			size_mm: describedAs('Baetidae')!.size_mm,
			tell: 'Two tails.'
		});
		expect(key.describedAs('Untold')).toBeUndefined();
	});
	it('stand beside the families where they are part of an order alone', () => {
		const caddis = own({
			code: 'Newcaddis',
			rank: 'family',
			partOf: 'Trichoptera',
			shows: [{ character: 'case-form', state: 'winged' }]
		});
		const { described } = animalKey([caddis]);
		expect(described.find((t) => t.code === 'Newcaddis')).toMatchObject({ share: 1, where: '' });
		const { likeliest } = animalKey([caddis]).nameBy(seen(['legs', 'six'], ['case-form', 'winged'], ['case', 'sand']));
		expect(likeliest.map((l) => l.code)).toContain('Newcaddis');
	});
	it('are not there once they are joined to another, and what is said of a shipped kind takes the place of its words', () => {
		const joined = { ...twoTails, countsAs: 'Baetidae' };
		const said = own({ code: 'Perlidae', rank: 'family', partOf: null, tell: 'Ours is golden.' });
		const changed = animalKey([joined, said]);
		expect(changed.describedAs('Twotail')).toBeUndefined();
		expect(changed.describedAs('Perlidae')!.tell).toBe('Ours is golden.');
		expect(changed.describedAs('Baetidae')!.share).toBe(1);
	});
});
