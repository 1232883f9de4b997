import { SURFACE_COEFFICIENT } from './float-coefficient';
import { finite, orDefault } from '../quantity';

const schools = ['onePoint', 'twoPoint', 'threePoint', 'fivePoint', 'surface'] as const;

export interface PointReadings {
	method: (typeof schools)[number];
	velocity02_m_s?: number | null;
	velocity06_m_s?: number | null;
	velocity08_m_s?: number | null;
	velocitySurface_m_s?: number | null;
	velocityBed_m_s?: number | null;
	coefficient?: number | null;
}

/**
 * Mean velocity in a vertical (m/s) from readings at parts of its depth, and the number of points it rests on.
 * ISO 748:2007; the surface school reduces one reading by a coefficient (0.85 where none is given).
 * Negative readings count. RangeError when a reading the school needs is missing, or the school is unknown.
 */
export function verticalVelocity(readings: PointReadings): { velocity_m_s: number; points: number } {
	const at = (place: '02' | '06' | '08' | 'Surface' | 'Bed') =>
		finite(`velocity${place}_m_s`, readings[`velocity${place}_m_s`]);
	switch (readings.method) {
		case 'onePoint':
			return { velocity_m_s: at('06'), points: 1 };
		case 'twoPoint':
			return { velocity_m_s: (at('02') + at('08')) / 2, points: 2 };
		case 'threePoint':
			return { velocity_m_s: (at('02') + 2 * at('06') + at('08')) / 4, points: 3 };
		case 'fivePoint':
			return {
				velocity_m_s: 0.1 * (at('Surface') + 3 * at('02') + 3 * at('06') + 2 * at('08') + at('Bed')),
				points: 5
			};
		case 'surface':
			return {
				velocity_m_s: at('Surface') * finite('coefficient', orDefault(readings.coefficient, SURFACE_COEFFICIENT)),
				points: 1
			};
		default:
			throw new RangeError(`method must be one of ${schools.join(', ')}: ${String(readings.method)}`);
	}
}
