import type { Position } from '$lib/core/subjects/arrival/branch';

const WAIT_ms = 12_000;

interface Place {
	latitude: number;
	longitude: number;
}

/**
 * Where this phone is; null where it cannot tell, or may not. In the demo a stand-in near the site answers then,
 * marked so: an invented place confirms no real one.
 */
export async function findPosition(near: Place, isDemo: boolean): Promise<Position | null> {
	const found = await new Promise<GeolocationPosition | null>((done) => {
		if (!('geolocation' in navigator)) return done(null);
		navigator.geolocation.getCurrentPosition(done, () => done(null), {
			enableHighAccuracy: true,
			timeout: WAIT_ms,
			maximumAge: 30_000
		});
	});
	if (!found && !isDemo) return null;
	if (!found)
		return {
			latitude: round(near.latitude + 0.0002),
			longitude: round(near.longitude - 0.0001),
			accuracy_m: 12,
			isSimulated: true
		};
	const { latitude, longitude, accuracy } = found.coords;
	return {
		latitude: round(latitude),
		longitude: round(longitude),
		accuracy_m: Math.min(100_000, Math.round(accuracy)),
		isSimulated: false
	};
}

const round = (degrees: number) => Number(degrees.toFixed(6));
