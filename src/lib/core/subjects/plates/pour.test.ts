import { describe, expect, it } from 'vitest';
import { limitsOf, streamVisit } from '../../method';
import { fold } from '../../logbook';
import { aLine } from '../../../../../tests/a-line';
import { advisedPlates, advisedVolumes, pouring, type ToPour } from './pour';

const limits = { ...limitsOf(streamVisit), plateReplicates: 2, plateBlanks: 1 };
const bottle = (over: Partial<ToPour> = {}): ToPour => ({
	label: 'EB2-B',
	isBlank: false,
	taken: [],
	usual: null,
	limits,
	...over
});

describe('what is poured of a bottle', () => {
	it('is the card’s plates and blanks, of the least volume where nobody knows the site', () => {
		expect(advisedPlates(bottle())).toEqual([
			{ key: 'plate 0', name: 'EB2-B-1', isBlank: false, volume_mL: limits.plateLeast_mL },
			{ key: 'plate 1', name: 'EB2-B-2', isBlank: false, volume_mL: limits.plateLeast_mL },
			{ key: 'blank 0', name: 'EB2-B-3', isBlank: true, volume_mL: limits.plateLeast_mL }
		]);
	});
	it('can be counted on a clean day and on a foul one where the site is known', () => {
		const usual = { low: 100, high: 4000, visits: 9 };
		const { volumes_mL } = advisedVolumes({ isBlank: false, usual, limits });
		const counts = [(usual.low * volumes_mL[0]!) / 100, (usual.high * volumes_mL.at(-1)!) / 100];
		expect(volumes_mL[0]).toBeGreaterThanOrEqual(volumes_mL.at(-1)!);
		expect(counts[1]).toBeLessThanOrEqual(limits.plateManyColonies);
		expect(advisedPlates(bottle({ usual })).map((p) => p.volume_mL)[0]).toBe(volumes_mL[0]);
	});
	it('of a blank is one plate; names go on after those that are there', () => {
		expect(advisedPlates(bottle({ isBlank: true, taken: ['EB2-B-1', 'TE1-B-1'] }))).toMatchObject([
			{ name: 'EB2-B-2', isBlank: true }
		]);
		expect(advisedPlates(bottle(), { replicates: 1, blanks: 0 })).toHaveLength(1);
	});
	it('is written as plates of that bottle, poured at that time', () => {
		const at = '2026-05-14T11:20:00Z';
		let n = 0;
		const lines = Object.entries(pouring('bacteria', advisedPlates(bottle()), at)).map(([path, value]) =>
			aLine(++n, Date.parse(at) + n, path, value)
		);
		const { sheet } = fold(lines);
		expect(sheet.bottles?.['bacteria']?.platedAt).toBe(at);
		expect(Object.keys(sheet.plates!)).toEqual(['EB2-B-1', 'EB2-B-2', 'EB2-B-3']);
		expect(sheet.plates!['EB2-B-3']).toMatchObject({ bottle: 'bacteria', isBlank: true, pouredAt: at });
		expect(sheet.plates!['EB2-B-1']!.isBlank).toBeUndefined();
	});
});
