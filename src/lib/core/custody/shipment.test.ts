import { describe, expect, it } from 'vitest';
import { bagsOf, isForLab, tooOldAt, whatLacks, type BottleToSend } from '.';

const bottle = (more: Partial<BottleToSend> = {}): BottleToSend => ({
	label: 'TE1-260514-N',
	kind: 'nutrients',
	filledAt: '2026-05-14T09:00:00Z',
	asked: 'acid',
	preserved: 'acid',
	isFilterAsked: false,
	filteredAt: null,
	onIceAt: '2026-05-14T09:05:00Z',
	keeps_h: 672,
	...more
});

describe('a bottle before it is sent', () => {
	it('lacks nothing where all is said', () => expect(whatLacks(bottle())).toEqual([]));
	it.each([
		['label', { label: null }],
		['preservative', { preserved: null }],
		['ice', { onIceAt: null }],
		['time', { filledAt: null }],
		['filter', { isFilterAsked: true }]
	] as const)('lacks its %s', (lack, more) => expect(whatLacks(bottle(more))).toEqual([lack]));
	it('needs no acid where its card asks for none', () =>
		expect(whatLacks(bottle({ asked: null, preserved: null }))).toEqual([]));

	it('is too old where it stands longer than it keeps', () => {
		const fresh = bottle({ keeps_h: 48 });
		expect(tooOldAt(fresh, Date.parse('2026-05-16T09:00:00Z'))).toBeNull();
		expect(tooOldAt(fresh, Date.parse('2026-05-16T10:00:00Z'))).toEqual({ of: 'held', held_h: 49, limit_h: 48 });
		expect(tooOldAt(bottle({ filledAt: null }), Date.parse('2036-05-16T10:00:00Z'))).toBeNull();
	});

	it('goes into a bag with its like', () => {
		const bags = bagsOf([bottle(), bottle({ label: 'TE1-260514-F', asked: null, preserved: null }), bottle()]);
		expect(bags.map((b) => [b.holds, b.bottles.length])).toEqual([
			[null, 1],
			['acid', 2]
		]);
	});

	it('goes to a lab that has a use for it', () => {
		expect(isForLab('fresh', ['nutrients'])).toBe(true);
		expect(isForLab('bacteria', ['nutrients'])).toBe(false);
		expect(isForLab('bacteria', [])).toBe(true);
	});
});
