import { describe, expect, it } from 'vitest';
import { seeded, type Chance } from '../statistics';
import { shippedAnimals } from '../macroinvertebrates';
import { coarserNames, describedAs, nameBy, questions, type Question } from './animal-key';
import data from './animals.json' with { type: 'json' };
import type { Answer } from '.';

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
