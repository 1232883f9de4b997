/** A place of a round on the map. */
export interface RoutePoint {
	name: string;
	about: string;
	latitude: number;
	longitude: number;
}

export const escapedXml = (text: string): string => text.replace(/[&<>"']/g, (c) => `&#${c.charCodeAt(0)};`);

/** A round as GPX 1.1: its stops as waypoints, and the way between them as a route. */
export function routeAsGpx(name: string, points: readonly RoutePoint[]): string {
	const point = (tag: 'wpt' | 'rtept', p: RoutePoint) =>
		`<${tag} lat="${p.latitude}" lon="${p.longitude}"><name>${escapedXml(p.name)}</name><desc>${escapedXml(p.about)}</desc></${tag}>`;
	return [
		'<?xml version="1.0" encoding="UTF-8"?>',
		'<gpx version="1.1" creator="Keen Riffle" xmlns="http://www.topografix.com/GPX/1/1">',
		...points.map((p) => point('wpt', p)),
		`<rte><name>${escapedXml(name)}</name>${points.map((p) => point('rtept', p)).join('')}</rte>`,
		'</gpx>',
		''
	].join('\n');
}

/** A round as GeoJSON (RFC 7946): a point for each stop, numbered in order, and the line through them. */
export function routeAsGeoJson(name: string, points: readonly RoutePoint[]) {
	const at = (p: RoutePoint) => [p.longitude, p.latitude];
	return {
		type: 'FeatureCollection' as const,
		features: [
			...points.map((p, i) => ({
				type: 'Feature' as const,
				geometry: { type: 'Point' as const, coordinates: at(p) },
				properties: { name: p.name, about: p.about, stop: i + 1 }
			})),
			...(points.length > 1
				? [
						{
							type: 'Feature' as const,
							geometry: { type: 'LineString' as const, coordinates: points.map(at) },
							properties: { name }
						}
					]
				: [])
		]
	};
}
