import { describe, expect, it } from 'vitest';
import { aLine } from '../../../../../tests/a-line';
import { fold, type Entry } from '../../logbook';
import { shippedAnimals } from '../../macroinvertebrates';
import { shippedCards } from '../../method';
import { evaluate } from '../../visit';
import { flagSentence } from '../flags';
import { agreedName, standingOf } from './agreed-name';

const card = shippedCards.find((c) => c.code === 'animals')!;
const now_ms = Date.UTC(2026, 4, 14, 10);
let n = 0;
const set = (path: string, value: unknown) => aLine(++n, now_ms + n, path, value);
const tap = (code: string, value: number): Entry => ({ ...set(`tallies/sort/taxa/${code}`, value), op: 'add' });

const counted = [
	tap('Baetidae', 30),
	tap('Heptageniidae', 10),
	set('vouchers/v1/tray', 'sort'),
	set('vouchers/v1/taxon', 'Baetidae'),
	set('vouchers/v1/label', 'TE3-260514-V1')
];
const see = (entries: Entry[]) =>
	evaluate(fold(entries), card, { now_ms, site: { elevation_m: 100, usual: {} }, instruments: {} });
const valueOf = (entries: Entry[], parameter: string) => {
	const { figure } = see(entries).results.find((r) => r.parameter === parameter)!;
	return 'value' in figure ? figure.value : null;
};
const richness = (entries: Entry[]) => valueOf(entries, 'taxa-richness');
const indexOf = (entries: Entry[]) => valueOf(entries, 'biotic-index');

describe('a voucher that is looked at again', () => {
	it('changes nothing while nobody has looked, or whoever did agrees', () => {
		expect(indexOf(counted)).toBe(4);
		const agreed = [...counted, set('opinions/v1/kes', 'Baetidae'), set('opinions/v1/ada', 'Ephemeroptera')];
		expect(see(agreed).flags.filter((f) => f.path === 'vouchers/v1')).toEqual([]);
		expect(indexOf(agreed)).toBe(4);
	});
	it('takes its compartment with it when those who looked agree on another name, and says so', () => {
		const renamed = [...counted, set('opinions/v1/kes', 'Leptophlebiidae')];
		// 30 of tolerance 2 beside 10 of tolerance 4
		expect(indexOf(renamed)).toBe(2.5);
		const flag = see(renamed).flags.find((f) => f.code === 'voucher-renamed')!;
		expect(flagSentence(flag)).toBe(
			'Voucher TE3-260514-V1 was counted as Baetidae and is Leptophlebiidae by those who looked again: its ' +
				'compartment counts as Leptophlebiidae.'
		);
		// back again when the opinion changes
		expect(indexOf([...renamed, set('opinions/v1/kes', 'Baetidae')])).not.toBe(2.5);
	});
	it('is counted together with those that had the name before', () => {
		expect(richness([...counted, set('opinions/v1/kes', 'Heptageniidae')])).toBe(1);
	});
	it('stays as it was counted while two who looked differ, and asks', () => {
		const disputed = [...counted, set('opinions/v1/kes', 'Leptophlebiidae'), set('opinions/v1/ada', 'Siphlonuridae')];
		expect(indexOf(disputed)).toBe(4);
		const flag = see(disputed).flags.find((f) => f.code === 'voucher-disputed')!;
		expect(flagSentence(flag)).toContain('called Leptophlebiidae and Siphlonuridae by those who looked');
	});
	it('stays at its family where those who looked only say the order', () => {
		expect(indexOf([...counted, set('opinions/v1/kes', 'Ephemeroptera')])).toBe(4);
	});
	it('stands as new, disputed, renamed or agreed', () => {
		const standing = (said: Record<string, string>) =>
			standingOf(agreedName({ opinions: { v1: said } }, 'v1', shippedAnimals), 'Baetidae', shippedAnimals);
		expect(standing({})).toBe('new');
		expect(standing({ kes: 'Baetidae', ada: 'Ephemeroptera' })).toBe('agreed');
		expect(standing({ kes: 'Siphlonuridae' })).toBe('renamed');
		expect(standing({ kes: 'Siphlonuridae', ada: 'Baetidae' })).toBe('disputed');
	});
});
