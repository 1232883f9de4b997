import { describe, expect, it } from 'vitest';
import { aLine } from '../../../../../tests/a-line';
import { fold, type Entry } from '../../logbook';
import { pickAdvice, shippedAnimals } from '../../macroinvertebrates';
import { limitsOf, shippedCards, type MethodCard } from '../../method';
import { evaluate } from '../../visit';
import type { Context } from '../context';
import { flagSentence } from '../flags';
import { isTool } from '../steps';
import { drawnOrder, sortedSquares } from './grid';
import { kindsIn, minutesOfPick, lastTapIn, nextUnnamed, photosIn, pickedIn, tapsIn } from './compartments';

const card = shippedCards.find((c) => c.code === 'animals')!;
const now_ms = Date.UTC(2026, 4, 14, 10);
const context: Context = { now_ms, site: { elevation_m: 100, usual: {} }, instruments: {} };
let n = 0;
const set = (path: string, value: unknown, at_ms = now_ms + n) => aLine(++n, at_ms, path, value);
const tap = (code: string, value = 1, at_ms = now_ms + n): Entry => ({
	...aLine(++n, at_ms, `tallies/sort/taxa/${code}`, value),
	op: 'add'
});
const strike = (entry: Entry): Entry => ({
	...aLine(++n, now_ms + n, entry.path, 'one too many'),
	op: 'strike',
	was: entry.id
});
const see = (entries: Entry[], on = card) => evaluate(fold(entries), on, context);

describe('a tray that is counted', () => {
	const entries = [
		tap('Baetidae', 30),
		tap('Heptageniidae', 10),
		tap('Hydropsychidae', 20),
		tap('Asellidae', 40),
		set('trays/sort/endedAt', new Date(now_ms).toISOString())
	];
	it('says how many kinds, and how sure the index is', () => {
		const { results, steps } = see(entries);
		const of = (parameter: string) => results.find((r) => r.parameter === parameter);
		expect(of('taxa-richness')).toMatchObject({ figure: { value: 4 }, way: 'tray', basis: '100 animals of 4 kinds' });
		expect(of('ept-richness')!.figure).toMatchObject({ value: 3 });
		expect(of('biotic-index')!.figure).toMatchObject({ value: expect.closeTo(5.6, 12) as number });
		expect(of('biotic-index')!.uncertainty).toBeCloseTo(0.394, 3);
		expect(of('rarefied-richness')!.figure).toMatchObject({ value: expect.closeTo(4, 9) as number });
		expect(steps.find((s) => s.id === 'sort')?.state).toBe('done');
	});
	it('is the same whatever the order of taps, however often each is told', () => {
		const shuffled = [...entries.slice(2), ...entries, ...entries.slice(0, 3)];
		expect(see(shuffled).results).toEqual(see(entries).results);
	});
	it('is as before when a tap is struck', () => {
		const slip = tap('Perlidae');
		const { sheet } = fold([...entries, slip, strike(slip)]);
		expect(kindsIn(sheet, 'sort', shippedAnimals).map((k) => [k.code, k.count])).toEqual([
			['Asellidae', 40],
			['Baetidae', 30],
			['Heptageniidae', 10],
			['Hydropsychidae', 20]
		]);
		expect(tapsIn(fold([...entries, slip, strike(slip)]).lines, 'sort')).toHaveLength(4);
	});
	it('knows the last tap of one hand that stands, whatever others tap', () => {
		const by = (who: string, entry: Entry): Entry => ({ ...entry, by: who });
		const [first, later, others] = [by('a', tap('Baetidae')), by('a', tap('Asellidae')), by('b', tap('Asellidae'))];
		const lastOf = (who: string, lines: Entry[]) => lastTapIn(fold(lines).lines, 'sort', (x) => x === who)?.entry.id;
		expect(lastOf('a', [first, later, others])).toBe(later.id);
		expect(lastOf('a', [first, later, others, strike(later)])).toBe(first.id);
		expect(lastOf('b', [first, later, others])).toBe(others.id);
		expect(lastOf('b', [first, later])).toBeUndefined();
	});
	it('counts one that got its name later under that name', () => {
		const { sheet } = fold([tap('Baetidae', 2), tap('unknown-1', 3), set('trays/sort/names/unknown-1', 'Baetidae')]);
		expect(kindsIn(sheet, 'sort', shippedAnimals)).toMatchObject([{ code: 'Baetidae', count: 5 }]);
	});
	it('has photos of a kind, also those that were taken before it had its name', () => {
		const photo = (id: string, compartment: string, more = '') => [
			set(`photos/${id}/tray`, 'sort'),
			set(`photos/${id}/compartment`, compartment),
			set(`photos/${id}/sha256`, id.repeat(64) + more)
		];
		const struck = set(`photos/c/sha256`, 'c'.repeat(64));
		const { sheet } = fold([
			...photo('a', 'unknown-1'),
			...photo('b', 'Asellidae'),
			...photo('c', 'unknown-1').slice(0, 2),
			struck,
			strike(struck),
			set('trays/sort/names/unknown-1', 'Baetidae')
		]);
		const seen = (code: string) => photosIn(sheet, 'sort', code, shippedAnimals).map((p) => p.id);
		expect([seen('Baetidae'), seen('unknown-1'), seen('Asellidae'), seen('Perlidae')]).toEqual([
			['a'],
			['a'],
			['b'],
			[]
		]);
		expect(photosIn(sheet, 'other', 'Baetidae', shippedAnimals)).toEqual([]);
	});
	it('with few animals is no poor stream, and says how many more would tell', () => {
		const few = [tap('Asellidae', 12), tap('Baetidae', 8), set('trays/sort/endedAt', new Date(now_ms).toISOString())];
		const flag = see(few).flags.find((f) => f.code === 'few-animals')!;
		expect(flagSentence(flag)).toMatch(/^20 animals cannot tell good from fair; about \d+ more would\./);
	});
	it('asks for names, and doubts one tolerant kind', () => {
		const { flags } = see([
			tap('Oligochaeta', 60),
			tap('unknown-1', 50),
			set('trays/sort/endedAt', new Date(now_ms).toISOString())
		]);
		expect(flags.map((f) => f.code)).toEqual(expect.arrayContaining(['many-unnamed', 'only-tolerant']));
	});
	it('says where its counts came from, where a file brought them', () => {
		const { flags } = see([...entries, set('trays/sort/countedElsewhere', 'a table in Ostrel')]);
		expect(flagSentence(flags.find((f) => f.code === 'counted-elsewhere')!)).toContain('a table in Ostrel');
		expect(see(entries).flags.some((f) => f.code === 'counted-elsewhere')).toBe(false);
	});
	it('has nothing to say of an empty tray, nor of more strikes than taps', () => {
		expect(see([]).results).toEqual([]);
		expect(see([tap('Baetidae', -3)]).results).toEqual([]);
	});
});

describe('what two hands cannot name', () => {
	it('goes to compartments of their own, and each next one to a new one', () => {
		const { sheet } = fold([tap('unknown-IQ-1', 2), tap('unknown-SO-1', 1)]);
		expect(nextUnnamed(sheet, 'sort', 'IQ')).toBe('unknown-IQ-2');
		expect(nextUnnamed(sheet, 'sort', 'OT')).toBe('unknown-OT-1');
		expect(kindsIn(sheet, 'sort', shippedAnimals).map((k) => [k.code, k.count])).toEqual([
			['unknown-IQ-1', 2],
			['unknown-SO-1', 1]
		]);
	});
});

describe('squares of a grid', () => {
	const grid: MethodCard = {
		...card,
		steps: card.steps.map((s) => (isTool(s, 'tray') ? { ...s, school: 'squares', squares: 30, enough: 50 } : s))
	};
	const done = (square: number, at_ms: number) =>
		set(`trays/sort/squares/${square}/doneAt`, new Date(at_ms).toISOString(), at_ms);
	const slip = tap('Perlidae', 1, now_ms + 5_000);
	const entries = [
		tap('Baetidae', 20, now_ms),
		done(7, now_ms + 1_000),
		tap('Baetidae', 10, now_ms + 2_000),
		tap('unknown-1', 20, now_ms + 3_000),
		done(22, now_ms + 4_000),
		slip,
		strike(slip),
		tap('Asellidae', 40, now_ms + 6_000),
		done(3, now_ms + 7_000)
	];

	it('gives each square what was tapped before it was done, and scales up with its doubt', () => {
		const { sheet, lines } = fold(entries);
		expect(sortedSquares(sheet, lines, 'sort')).toEqual([
			{ square: 7, animals: 20 },
			{ square: 22, animals: 30 },
			{ square: 3, animals: 40 }
		]);
		const all = see(entries, grid).results.find((r) => r.parameter === 'animals-in-sample')!;
		expect(all).toMatchObject({ figure: { value: 900 }, basis: '3 squares of 30, scaled up' });
		expect(all.uncertainty).toBeCloseTo(60 * Math.sqrt(30), 6);
	});
	it('does so too where the clock of the logbook runs ahead of the hand', () => {
		const late = [tap('Baetidae', 20, now_ms + 90_000), done(7, now_ms)];
		const { sheet, lines } = fold(late);
		expect(sortedSquares(sheet, lines, 'sort')).toEqual([{ square: 7, animals: 20 }]);
	});
	it('knows the shares of the kinds as a full count does', () => {
		expect(see(entries, grid).results.map((r) => r.parameter)).toContain('biotic-index');
	});
	it('are drawn once for a visit, all of them, and otherwise for another', () => {
		const order = drawnOrder('visit-a', 'sort', 30);
		expect([...order].sort((a, b) => a - b)).toEqual(Array.from({ length: 30 }, (_, i) => i + 1));
		expect(drawnOrder('visit-a', 'sort', 30)).toEqual(order);
		expect(drawnOrder('visit-b', 'sort', 30)).not.toEqual(order);
	});
});

describe('a live pick', () => {
	const pick: MethodCard = {
		...card,
		steps: card.steps.map((s) => (isTool(s, 'tray') ? { ...s, school: 'pick' } : s))
	};
	const begun_ms = now_ms - 50 * 60_000;
	const minute = (m: number) => begun_ms + m * 60_000;
	const iso = (m: number) => new Date(minute(m)).toISOString();
	const entries = [
		set('trays/sort/begunAt', iso(0), minute(0)),
		tap('Baetidae', 1, minute(3)),
		tap('Perlidae', 1, minute(12)),
		set('trays/sort/pauses/a/from', iso(20), minute(20)),
		set('trays/sort/pauses/a/to', iso(28), minute(28)),
		tap('Asellidae', 1, minute(46))
	];
	it('counts minutes without its breaks, over a phone that died', () => {
		const { sheet, lines } = fold(entries);
		expect(minutesOfPick(sheet, 'sort', minute(24))).toBe(20);
		expect(minutesOfPick(sheet, 'sort', now_ms)).toBe(42);
		const picked = pickedIn(sheet, lines, 'sort', shippedAnimals);
		expect(picked.map((p) => [p.taxon, p.minute])).toEqual([
			['Baetidae', 3],
			['Perlidae', 12],
			['Asellidae', 38]
		]);
		// a new kind at minute 38 of 40: on until 45
		expect(pickAdvice({ picked, now_min: 42, ...limitsOf(pick) })).toMatchObject({ until_min: 45, isOver: false });
	});
	it('knows kinds and no shares of animals', () => {
		const { results } = see(entries, pick);
		expect(results.map((r) => r.parameter).sort()).toEqual(['ept-richness', 'score-per-taxon', 'taxa-richness']);
	});
});
