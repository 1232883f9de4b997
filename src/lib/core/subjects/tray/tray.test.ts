import { describe, expect, it } from 'vitest';
import { aLine } from '../../../../../tests/a-line';
import { fold, type Entry } from '../../logbook';
import { pickAdvice } from '../../macroinvertebrates';
import { limitsOf, shippedCards, type MethodCard } from '../../method';
import { evaluate } from '../../visit';
import type { Context } from '../context';
import { flagSentence } from '../flags';
import { isTool } from '../steps';
import { kindsIn, minutesOfPick, pickedIn, tapsIn } from './compartments';

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
		expect(kindsIn(sheet, 'sort').map((k) => [k.code, k.count])).toEqual([
			['Asellidae', 40],
			['Baetidae', 30],
			['Heptageniidae', 10],
			['Hydropsychidae', 20]
		]);
		expect(tapsIn(fold([...entries, slip, strike(slip)]).lines, 'sort')).toHaveLength(4);
	});
	it('counts one that got its name later under that name', () => {
		const { sheet } = fold([tap('Baetidae', 2), tap('unknown-1', 3), set('trays/sort/names/unknown-1', 'Baetidae')]);
		expect(kindsIn(sheet, 'sort')).toMatchObject([{ code: 'Baetidae', count: 5 }]);
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
	it('has nothing to say of an empty tray, nor of more strikes than taps', () => {
		expect(see([]).results).toEqual([]);
		expect(see([tap('Baetidae', -3)]).results).toEqual([]);
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
		const picked = pickedIn(sheet, lines, 'sort');
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
