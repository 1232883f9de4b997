/** A point on the earth, degrees. */
export interface Position {
	latitude: number;
	longitude: number;
}

/**
 * How a program guesses a drive that nobody has timed: road is longer than the straight line, and parking takes a
 * while.
 */
export interface DriveGuess {
	/** Road length over straight-line distance. */
	detour: number;
	speed_km_h: number;
	parking_min: number;
}

export const usualDriveGuess: DriveGuess = { detour: 1.4, speed_km_h: 45, parking_min: 3 };

const EARTH_RADIUS_km = 6371.0088; // mean radius, IUGG

/** Straight-line distance over the earth's surface in km, by the haversine formula. */
export function distance_km(a: Position, b: Position): number {
	const rad = Math.PI / 180;
	const across = Math.sin(((b.latitude - a.latitude) * rad) / 2) ** 2;
	const along = Math.sin(((b.longitude - a.longitude) * rad) / 2) ** 2;
	const h = across + Math.cos(a.latitude * rad) * Math.cos(b.latitude * rad) * along;
	return 2 * EARTH_RADIUS_km * Math.asin(Math.min(1, Math.sqrt(h)));
}

/** Minutes by road between two points as guessed from their positions: to be marked as a guess wherever it is shown. */
export function guessedDrive_min(a: Position, b: Position, guess: DriveGuess = usualDriveGuess): number {
	return Math.round(((distance_km(a, b) * guess.detour) / guess.speed_km_h) * 60 + guess.parking_min);
}

export interface Drive {
	minutes: number;
	isGuess: boolean;
}

/** A drive as it was entered, in either direction where only one is known; else guessed. */
export function driveBetween(
	a: Position & { id: string },
	b: Position & { id: string },
	entered: ReadonlyMap<string, number>,
	guess: DriveGuess = usualDriveGuess
): Drive {
	if (a.id === b.id) return { minutes: 0, isGuess: false };
	const known = entered.get(`${a.id} ${b.id}`) ?? entered.get(`${b.id} ${a.id}`);
	return known === undefined
		? { minutes: guessedDrive_min(a, b, guess), isGuess: true }
		: { minutes: known, isGuess: false };
}
