import { describe, expect, it } from 'vitest';
import { coursesOf, extentOf } from './courses';

const site = (id: string, streamId: string, river_km: number, latitude: number, longitude: number) => ({
	...{ id, streamId, river_km, latitude, longitude }
});
const main = { id: 'm', name: 'Main', joins: null };
const brook = { id: 'b', name: 'Brook', joins: { streamId: 'm', at_km: 5 } };
const sites = [site('1', 'm', 10, 50, 10), site('2', 'm', 0, 49, 11), site('3', 'b', 2, 50, 11)];

describe('the courses of streams', () => {
	it('go from site to site downstream, and end where they join, between its sites', () => {
		expect(coursesOf([main, brook], sites)).toEqual([
			{ name: 'Main', points: [sites[0], sites[1]].map((s) => ({ latitude: s!.latitude, longitude: s!.longitude })) },
			{
				name: 'Brook',
				points: [
					{ latitude: 50, longitude: 11 },
					{ latitude: 49.5, longitude: 10.5 }
				]
			}
		]);
	});

	it('are not made up: a brook that joins beyond all sites ends at its own last one', () => {
		const high = { ...brook, joins: { streamId: 'm', at_km: 12 } };
		expect(coursesOf([main, high], sites).map((c) => c.name)).toEqual(['Main']);
		expect(coursesOf([main, brook], sites.slice(0, 2)).map((c) => c.name)).toEqual(['Main']);
	});
});

describe('the stretch of ground that is drawn', () => {
	it('holds everything with a margin, and is as wide on the screen as on the ground', () => {
		const { west, east, south, north, ratio, width_km } = extentOf(sites);
		for (const { latitude, longitude } of sites) {
			expect(longitude > west && longitude < east).toBe(true);
			expect(latitude > south && latitude < north).toBe(true);
		}
		expect(((east - west) * Math.cos((49.5 * Math.PI) / 180)) / (north - south)).toBeCloseTo(ratio, 9);
		expect(width_km).toBeGreaterThan(85);
		expect(width_km).toBeLessThan(125);
	});

	it('has a width of its own around one site', () => {
		const { west, east } = extentOf(sites.slice(0, 1));
		expect(east - west).toBeGreaterThan(0.01);
	});
});
