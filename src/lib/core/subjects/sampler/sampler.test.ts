import { describe, expect, it } from 'vitest';
import { aLine } from '../../../../../tests/a-line';
import { fold, type Entry } from '../../logbook';
import { contradictions, shippedCards } from '../../method';
import { evaluate } from '../../visit';
import { flagSentence } from '../flags';

const card = shippedCards.find((c) => c.code === 'plate-stack')!;
const now_ms = Date.UTC(2026, 4, 14, 10);
let n = 0;
const set = (path: string, value: unknown) => aLine(++n, now_ms + n, path, value);
const tap = (code: string, value: number): Entry => ({ ...set(`tallies/sort/taxa/${code}`, value), op: 'add' });
const animals = () => [tap('Baetidae', 80), tap('Asellidae', 60)];
const see = (entries: Entry[]) =>
	evaluate(fold(entries), card, { now_ms, site: { elevation_m: 100, usual: {} }, instruments: {} });
const lifted = (setOn: string) => [
	set('samplers/stack/setOn', setOn),
	set('samplers/stack/state', 'found'),
	set('samplers/stack/liftedAt', new Date(now_ms).toISOString())
];
const stateOf = (entries: Entry[]) => see(entries).steps.find((s) => s.id === 'stack')!.state;

describe('a sampler that is lifted', () => {
	it('is done once it is in the tub, and quiet where it stood as long as it should', () => {
		expect(stateOf(lifted('2026-04-02').slice(0, 2))).not.toBe('done');
		expect(stateOf(lifted('2026-04-02'))).toBe('done');
		expect(see(lifted('2026-04-02')).flags.filter((f) => f.path === 'samplers/stack')).toEqual([]);
	});
	it('asks where it stood too short, too long, or was set after it was lifted', () => {
		const said = (setOn: string) =>
			see(lifted(setOn)).flags.flatMap((f) => (f.code === 'sampler-soak' ? [flagSentence(f)] : []));
		expect(said('2026-05-01')[0]).toContain('stood 13 days in the water, not 35 to 50');
		expect(said('2026-01-01')[0]).toContain('stood 133 days');
		expect(said('2026-05-16')[0]).toContain('after it was lifted');
	});
	it('gives an index like any sample that was counted', () => {
		const { results } = see([...lifted('2026-04-02'), ...animals()]);
		expect(results.map((r) => r.parameter)).toContain('biotic-index');
	});
	it('that is lost leaves a qualitative sample: kinds, no shares, and everywhere called so', () => {
		const { results, flags, steps } = see([set('samplers/stack/state', 'lost'), ...animals()]);
		expect(results.map((r) => r.parameter)).not.toContain('biotic-index');
		expect(results.find((r) => r.parameter === 'taxa-richness')!.basis).toMatch(/^qualitative sample/);
		expect(flagSentence(flags.find((f) => f.code === 'sampler-gone')!)).toContain('Sweep every habitat instead');
		expect(steps.find((s) => s.id === 'stack')!.state).toBe('done');
	});
	it('cannot be asked to stand longer than it may', () => {
		const wrong = { ...card, steps: card.steps.map((s) => (s.id === 'stack' ? { ...s, least_days: 60 } : s)) };
		expect(JSON.stringify(contradictions(wrong))).toContain('that is never');
	});
});
