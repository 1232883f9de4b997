import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { nextQuestions, posterior, surprise, type Key } from '.';

const gills = { id: 'gills', states: ['leaves', 'threads', 'none'], chance: [[0.8, 0.1, 0.1], [0.1, 0.8, 0.1], null] };
const tails = {
	id: 'tails',
	states: ['two', 'three'],
	chance: [
		[0.1, 0.9],
		[0.95, 0.05],
		[0.5, 0.5]
	]
};
const key = (answers: Key['answers'], more: Partial<Key> = {}): Key => ({
	prior: [2, 1, 1],
	characters: [gills, tails],
	errorRate: 0.05,
	answers,
	...more
});

/** A key of some taxa and characters, and a way to answer some of them. */
const anyKey: fc.Arbitrary<Key> = fc
	.record({
		taxa: fc.integer({ min: 1, max: 6 }),
		sizes: fc.array(fc.integer({ min: 1, max: 4 }), { minLength: 1, maxLength: 5 }),
		numbers: fc.infiniteStream(fc.double({ min: 0.01, max: 1, noNaN: true })),
		errorRate: fc.double({ min: 0.01, max: 0.5, noNaN: true })
	})
	.map(({ taxa, sizes, numbers, errorRate }) => {
		const next = () => numbers.next().value as number;
		const row = (m: number) => {
			const raw = Array.from({ length: m }, next);
			const sum = raw.reduce((a, b) => a + b, 0);
			return raw.map((n) => n / sum);
		};
		const characters = sizes.map((m, i) => ({
			id: `c${i}`,
			states: Array.from({ length: m }, (_, s) => `s${s}`),
			chance: Array.from({ length: taxa }, () => row(m))
		}));
		const answers = characters
			.filter(() => next() > 0.5)
			.map((c) => ({
				character: c.id,
				state: next() > 0.8 ? null : c.states[Math.floor(next() * c.states.length * 0.99)]!
			}));
		return { prior: Array.from({ length: taxa }, next), characters, errorRate, answers };
	});

describe('a key to animals', () => {
	it('names what the answers point to, and forgives one that is wrong', () => {
		const right = posterior(key([{ character: 'gills', state: 'leaves' }])).posterior!;
		expect(right[0]).toBeGreaterThan(0.7);
		const withSlip = posterior(
			key([
				{ character: 'gills', state: 'leaves' },
				{ character: 'tails', state: 'two' }
			])
		).posterior!;
		expect(Math.min(...withSlip)).toBeGreaterThan(0);
	});

	it('adds up to one, in whatever order it is answered, and “cannot tell” says nothing', () => {
		fc.assert(
			fc.property(anyKey, (asked) => {
				const { posterior: chances } = posterior(asked);
				expect(chances!.reduce((a, b) => a + b, 0)).toBeCloseTo(1, 9);
				const turned = posterior({ ...asked, answers: [...asked.answers].reverse() }).posterior!;
				turned.forEach((p, i) => expect(p).toBeCloseTo(chances![i]!, 9));
				const told = posterior({ ...asked, answers: asked.answers.filter((a) => a.state !== null) }).posterior!;
				told.forEach((p, i) => expect(p).toBeCloseTo(chances![i]!, 9));
			})
		);
	});

	it('asks next for what takes most away, never more than there is, and nothing twice', () => {
		fc.assert(
			fc.property(anyKey, (asked) => {
				const { entropy, questions } = nextQuestions(asked);
				const gains = questions.map((q) => q.gain);
				expect([...gains].sort((a, b) => b - a)).toEqual(gains);
				for (const gain of gains) {
					expect(gain).toBeGreaterThanOrEqual(0);
					expect(gain).toBeLessThanOrEqual(entropy! + 1e-9);
				}
				expect(questions.filter((q) => asked.answers.some((a) => a.character === q.id))).toEqual([]);
			})
		);
	});

	it('says when the answers are too strange for every taxon', () => {
		const plain = surprise(key([{ character: 'tails', state: 'three' }]));
		const strange = surprise(
			key(
				[
					{ character: 'gills', state: 'none' },
					{ character: 'tails', state: 'two' }
				],
				{ prior: [1, 0, 0], errorRate: 0.02 }
			)
		);
		expect(strange.noneChance).toBeGreaterThan(plain.noneChance);
		expect(strange.tail).toBeLessThan(0.05);
	});

	it('refuses a key that is none, and says where', () => {
		expect(() => posterior(key([{ character: 'wings', state: 'two' }]))).toThrow(
			/answers\[0\]\.character is not known: wings/
		);
		expect(() => posterior(key([], { prior: [0, 0, 0] }))).toThrow(/a taxon that can be/);
		expect(() => posterior(key([], { characters: [gills, gills] }))).toThrow(/“gills” stands there twice/);
	});
});
