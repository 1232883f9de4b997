/** A place of a round on the map. */
export interface RoutePoint {
	name: string;
	about: string;
	latitude: number;
	longitude: number;
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
