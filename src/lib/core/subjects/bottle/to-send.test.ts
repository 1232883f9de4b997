import { expect, it } from 'vitest';
import { asPacked, bottlesWaiting } from './to-send';

const filled = { kind: 'nutrients', filledAt: '2026-05-14T09:00:00Z' } as const;

it('a bottle waits once it is filled, and until a bench or a lab has it', () => {
	const bottles = {
		a: filled,
		b: { kind: 'nutrients' as const },
		c: { ...filled, atLabAt: '2026-05-15T09:00:00Z' },
		d: { ...filled, kind: 'bacteria' as const },
		e: { ...filled, platedAt: '2026-05-14T12:00:00Z' },
		f: { ...filled, results: {} }
	};
	expect(bottlesWaiting({ bottles })).toEqual(['a', 'd']);
	expect(bottlesWaiting({ bottles, plates: { P1: { bottle: 'd' } } })).toEqual(['a']);
	expect(bottlesWaiting({ bottles, growthTubes: { T1: { bottle: 'd' } } })).toEqual(['a']);
	expect(bottlesWaiting({})).toEqual([]);
});

it('a bottle is packed as its card and its sheet know it', () => {
	const card = { holding: { bacteria_h: 6, withoutIce_h: 1 } };
	const known = { visitId: 'v', site: 'Tessel 3', id: 'a', card, step: undefined };
	expect(asPacked({ ...known, bottle: { ...filled, label: 'TE3-N' } })).toMatchObject({
		label: 'TE3-N',
		kind: 'nutrients',
		asked: null,
		keeps_h: 48,
		isReported: false
	});
	expect(asPacked({ ...known, bottle: { ...filled, kind: 'bacteria' } }).keeps_h).toBe(6);
});
