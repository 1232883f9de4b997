import { describe, expect, it } from 'vitest';
import { routeAsGeoJson } from '.';

const points = [
	{ name: 'Quarl 1', about: 'below <the> "works" & lane', latitude: 48.3, longitude: -27.2 },
	{ name: 'Tessel 4', about: '', latitude: 48.31, longitude: -27.21 }
];

describe('a round on the map', () => {
	it('is GeoJSON with longitude first, stops numbered, and a line where there are two', () => {
		const all = routeAsGeoJson('Lower', points);
		expect(all.features.map((f) => f.geometry.type)).toEqual(['Point', 'Point', 'LineString']);
		expect(all.features[0]).toMatchObject({ geometry: { coordinates: [-27.2, 48.3] }, properties: { stop: 1 } });
		expect(routeAsGeoJson('one', points.slice(0, 1)).features).toHaveLength(1);
	});
});
