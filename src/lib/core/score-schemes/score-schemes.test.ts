import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { animalList, communityOf, OwnAnimal, taxa, shippedAnimals, type Kind } from '../macroinvertebrates';
import { seeded } from '../statistics';
import {
	type Checked,
	confusionOf,
	exampleSchemes,
	namingRecord,
	objectionsToScheme,
	rowsOfScheme,
	schemeFromRows,
	schemeInterval,
	scoreBy,
	scoreSampling
} from '.';

const [tolerance, score] = exampleSchemes as [(typeof exampleSchemes)[0], (typeof exampleSchemes)[0]];
const kindsOf = (counts: Record<string, number>): Kind[] =>
	Object.entries(counts).map(([code, count]) => ({ code, count, taxon: shippedAnimals.of(code) }));
const asFile = (scheme = tolerance) => rowsOfScheme(scheme).map((cells, i) => ({ line: i + 2, cells }));

const families = taxa.filter((t) => t.rank === 'family').map((t) => t.code);
const sample = fc.dictionary(fc.constantFrom(...families), fc.integer({ min: 1, max: 40 }), {
	minKeys: 1,
	maxKeys: 12
});

describe('a scheme', () => {
	it('as an example says the same as the formulas', () => {
		fc.assert(
			fc.property(sample, (counts) => {
				const kinds = kindsOf(counts);
				const said = communityOf(kinds, 100);
				expect(scoreBy(tolerance, kinds)?.figure ?? null).toEqual(
					said.index === null ? null : expect.closeTo(said.index.value, 9)
				);
				expect(scoreBy(score, kinds)?.figure ?? null).toEqual(
					said.score === null ? null : expect.closeTo(said.score.value, 9)
				);
			})
		);
	});

	it('adds by animals, by kinds, or all kinds up; says what has no value', () => {
		const values = { Baetidae: 4, Asellidae: 8 };
		const kinds = kindsOf({ Baetidae: 30, Asellidae: 10, Tipulidae: 5 });
		expect(scoreBy({ adding: 'animals', values }, kinds)).toEqual({
			figure: 5, // (30 × 4 + 10 × 8) / 40
			kinds: 2,
			animals: 40,
			without: ['Tipulidae']
		});
		expect(scoreBy({ adding: 'kinds', values }, kinds)!.figure).toBe(6);
		expect(scoreBy({ adding: 'sum', values }, kinds)!.figure).toBe(12);
		expect(scoreBy({ adding: 'sum', values: { Perlidae: 10 } }, kinds)).toBeNull();
	});

	it('comes back from its file as it went', () => {
		for (const scheme of exampleSchemes)
			expect(schemeFromRows(asFile(scheme), shippedAnimals)).toEqual({ scheme: { ...scheme, isExample: false } });
	});

	it.each([
		['a gap', { from: 4.5, to: 6.25 }, { from: 5, to: 6.25 }, 'Nothing is said of figures between 4.5 and 5.'],
		['an overlap', { from: 4.5, to: 6.25 }, { from: 4, to: 6.25 }, 'The classes good and fair overlap.'],
		['an end', { from: 6.25, to: null }, { from: 6.25, to: 10 }, 'Nothing is said of figures over 10, where poor ends.']
	])('with %s in its classes is refused with the place', (_, was, is, why) => {
		const classes = tolerance.classes.map((c) => (c.from === was.from && c.to === was.to ? { ...c, ...is } : c));
		expect(objectionsToScheme({ ...tolerance, classes }, shippedAnimals)).toContain(why);
	});

	it('with an animal nobody knows, a word for a number, a row too many is refused, each with its line', () => {
		const broken = asFile().map((r) =>
			r.cells.name === 'Baetidae' ? { ...r, cells: { ...r.cells, name: 'Bluebottle', number: 'four' } } : r
		);
		const read = schemeFromRows([...broken, { line: 99, cells: { says: 'hint', name: 'x' } }], shippedAnimals);
		const why = 'why' in read ? read.why.join(' ') : '';
		expect(why).toContain('“four” is no number');
		expect(why).toContain('Line 99: “hint” says nothing here');
		expect(schemeFromRows([], shippedAnimals)).toHaveProperty('why');
		expect(objectionsToScheme({ ...tolerance, values: { Bluebottle: 4 } }, shippedAnimals)[0]).toContain('Bluebottle');
	});
});

describe('how sure a score is', () => {
	it('counts what was named wrongly before: few checks lean on those of all names', () => {
		const checked = [
			...Array.from({ length: 8 }, () => ({ counted: 'Baetidae', is: 'Baetidae' })),
			{ counted: 'Baetidae', is: 'Leptophlebiidae' },
			{ counted: 'Nemouridae', is: 'Leuctridae' }
		];
		const confusion = confusionOf(['Baetidae', 'Nemouridae', 'Gammaridae'], checked, shippedAnimals);
		const errs = 2.5 / 11;
		expect(confusion.get('Baetidae')).toEqual({
			right: expect.closeTo(8 + 4 * (1 - errs), 9) as number,
			wrong: expect.closeTo(1 + 4 * errs, 9) as number,
			instead: ['Leptophlebiidae'],
			isSeen: true
		});
		// never checked: the errors of all names, and the other families of its order
		const gammaridae = confusion.get('Gammaridae');
		expect(gammaridae?.isSeen ?? false).toBe(false);
		expect(confusionOf(['Baetidae'], [], shippedAnimals).size).toBe(0);
	});

	it('goes by whoever counted: what others called so counts as much as four checks, and no more', () => {
		const right = { counted: 'Baetidae', is: 'Baetidae' };
		const wrong = { counted: 'Baetidae', is: 'Leptophlebiidae' };
		const times = (n: number, what: Checked) => Array.from({ length: n }, () => what);
		const other = (what: Checked): Checked => ({ ...what, isByOther: true });
		const errsOf = (checked: Checked[]) => {
			const { right: r, wrong: w } = confusionOf(['Baetidae'], checked, shippedAnimals).get('Baetidae')!;
			return w / (r + w);
		};
		// a careful hand among careless ones, and the other way round
		const careful = errsOf([...times(20, right), ...times(20, other(wrong))]);
		const careless = errsOf([...times(20, wrong), ...times(20, other(right))]);
		expect(careful).toBeLessThan(0.2);
		expect(careless).toBeGreaterThan(0.8);
		// nobody looked again at what this hand named: it is taken to be as good as the others, and is known less surely
		const unchecked = confusionOf(
			['Baetidae'],
			[...times(90, other(right)), ...times(10, other(wrong))],
			shippedAnimals
		);
		const { right: r, wrong: w, instead } = unchecked.get('Baetidae')!;
		expect(r + w).toBeCloseTo(4, 9);
		expect(w / (r + w)).toBeCloseTo(0.1, 1);
		expect(new Set(instead)).toEqual(new Set(['Leptophlebiidae']));
		// by hand: all 0.5/2; theirs (0 + 4 · 0.25)/(0 + 4); of this name by others (0 + 4 · 0.25)/(1 + 4)
		expect(errsOf([other(right)])).toBeCloseTo(0.2, 12);
	});

	it('takes no name for wrong that only goes less far, or further, than what was found', () => {
		const baetis = { code: 'Baetis', name: 'small dark mayfly', rank: 'genus', partOf: 'Baetidae' };
		const cloeon = { code: 'Cloeon', name: 'pond mayfly', rank: 'genus', partOf: 'Baetidae', countsAs: 'Baetis' };
		const split = animalList([baetis, cloeon].map((said) => OwnAnimal.parse(said)));
		const checked = [
			...Array.from({ length: 10 }, () => ({ counted: 'Baetidae', is: 'Baetis' })),
			{ counted: 'Ephemeroptera', is: 'Baetidae' },
			{ counted: 'Baetidae', is: 'Ephemeroptera' },
			{ counted: 'Cloeon', is: 'Baetis' },
			{ counted: 'Baetidae', is: 'Leptophlebiidae' }
		];
		expect(namingRecord(checked, split)).toMatchObject({ checked: 14, right: 13 });
		const known = confusionOf(['Baetidae'], checked, split).get('Baetidae')!;
		// one of fourteen names is wrong; of this one, one of twelve
		const errs = 1.5 / 15;
		expect(known.right).toBeCloseTo(11 + 4 * (1 - errs), 9);
		expect(known.wrong).toBeCloseTo(1 + 4 * errs, 9);
		expect(known.instead).toEqual(['Leptophlebiidae']);
	});

	it('is not told of a sample whose animals nobody counted', () => {
		const kinds = kindsOf({ Baetidae: 1, Asellidae: 1 });
		const present = { kinds, knowsShares: false };
		expect(scoreSampling(tolerance, { sampling: present, checked: [], animals: [] })).toMatchObject({
			needsShares: true,
			scored: null,
			counting: null
		});
		expect(scoreSampling(score, { sampling: present, checked: [], animals: [] })).toMatchObject({
			needsShares: false,
			counting: null,
			both: null
		});
		const counted = scoreSampling(score, {
			sampling: { kinds, knowsShares: true },
			checked: [{ counted: 'Baetidae', is: 'Baetidae' }],
			animals: []
		});
		expect(counted.scored!.figure).toBe((score.values['Baetidae']! + score.values['Asellidae']!) / 2);
		expect(counted.counting).not.toBeNull();
		expect(counted.both).not.toBeNull();
	});

	it('is wider with the names than with counting alone, and its chances sum to 1', () => {
		const kinds = kindsOf({ Leptophlebiidae: 30, Baetidae: 20, Gammaridae: 25, Asellidae: 12 });
		const checked = Array.from({ length: 12 }, (_, i) => ({
			counted: 'Leptophlebiidae',
			is: i % 2 ? 'Caenidae' : 'Leptophlebiidae'
		}));
		const draws = { draws: 800, seed: 3 };
		const counting = schemeInterval(tolerance, kinds, new Map(), shippedAnimals, draws)!;
		const both = schemeInterval(
			tolerance,
			kinds,
			confusionOf(['Leptophlebiidae'], checked, shippedAnimals),
			shippedAnimals,
			draws
		)!;
		expect(both.upper - both.lower).toBeGreaterThan(counting.upper - counting.lower);
		expect(both.chances.reduce((sum, c) => sum + c.chance, 0)).toBeCloseTo(1, 9);
		expect(schemeInterval(tolerance, kindsOf({ 'unknown-IQ-1': 3 }), new Map(), shippedAnimals, draws)).toBeNull();
	});

	it('covers a model’s truth in 95 of 100 samples, give or take 3', () => {
		const shares = [
			['Baetidae', 0.3],
			['Gammaridae', 0.3],
			['Chironomidae', 0.25],
			['Perlodidae', 0.15]
		] as const;
		const truth = shares.reduce((sum, [code, share]) => sum + share * tolerance.values[code]!, 0);
		const chance = seeded(20_611);
		const SAMPLES = 500;
		let covered = 0;
		for (let s = 0; s < SAMPLES; s++) {
			const counts: Record<string, number> = {};
			for (let i = 0; i < 120; i++) {
				let left = chance.uniform();
				const [code] = shares.find(([, share]) => (left -= share) < 0) ?? shares[0];
				counts[code] = (counts[code] ?? 0) + 1;
			}
			const { lower, upper } = schemeInterval(tolerance, kindsOf(counts), new Map(), shippedAnimals, {
				draws: 400,
				seed: s + 1
			})!;
			if (lower <= truth && truth <= upper) covered++;
		}
		expect(covered / SAMPLES).toBeGreaterThanOrEqual(0.92);
		expect(covered / SAMPLES).toBeLessThanOrEqual(0.98);
	});
});
