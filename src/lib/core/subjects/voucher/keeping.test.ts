import { describe, expect, it } from 'vitest';
import { keepingOf, notKept, type Kept } from './keeping';

const lot = (over: Partial<Kept> = {}): Kept => ({
	keptIn: 'ethanol',
	keptAt: '2025-05-14T10:00:00Z',
	shelf: null,
	toppedUpOn: null,
	loans: null,
	...over
});

describe('the keeping of a voucher', () => {
	it('asks for ethanol a year after it was last seen to, counted in whole months', () => {
		expect(keepingOf(lot(), '2026-05-13')).toMatchObject({ months: 11, wantsTopUp: false });
		expect(keepingOf(lot(), '2026-05-14')).toMatchObject({ months: 12, wantsTopUp: true });
		expect(keepingOf(lot({ toppedUpOn: '2026-01-20' }), '2026-05-14')).toMatchObject({ months: 3, wantsTopUp: false });
	});
	it('asks for none where there is none', () => {
		for (const keptIn of ['dry', 'photo', null] as const)
			expect(keepingOf(lot({ keptIn }), '2030-01-01')).toMatchObject({ months: null, wantsTopUp: false });
	});
	it('says who has it until it is back; of two at once the later', () => {
		const first = { to: 'N. Sorrel', lentOn: '2026-01-03', backOn: undefined };
		const later = { to: 'a museum', lentOn: '2026-03-01', backOn: undefined };
		expect(keepingOf(lot({ loans: { a: first } }), '2026-05-14').lent).toEqual({
			id: 'a',
			to: 'N. Sorrel',
			on: '2026-01-03'
		});
		expect(keepingOf(lot({ loans: { a: first, b: later } }), '2026-05-14').lent?.to).toBe('a museum');
		const back = { ...later, backOn: '2026-04-01' };
		expect(keepingOf(lot({ loans: { a: { ...first, backOn: '2026-02-01' }, b: back } }), '2026-05-14').lent).toBe(null);
	});
	it('of the kinds that were counted names once those that nobody kept', () => {
		expect(notKept(['Baetidae', 'Perlidae', 'Baetidae', 'Asellidae'], ['Perlidae'])).toEqual(['Baetidae', 'Asellidae']);
	});
});
