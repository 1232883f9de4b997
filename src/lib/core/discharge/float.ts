import { SURFACE_COEFFICIENT } from './float-coefficient';
import {
	atLeast,
	given,
	inRange,
	listOf,
	meanOf,
	orDefault,
	over,
	positive,
	times,
	type Given,
	type Step,
	type Working
} from '../quantity';
import { mean, standardDeviation } from '../statistics';

/**
 * Discharge from floats timed over a known length: surface speed, reduced by a coefficient, times the mean area.
 * The runs are averaged as times or as velocities (the schools differ). RangeError for no run, no area, or a time of 0.
 * ISO 748:2007, 7.1.5.
 */
export function floatDischarge(run: {
	length_m: number;
	runTimes_s: readonly number[];
	areas_m2: readonly number[];
	coefficient?: number | null;
	averaging?: 'times' | 'velocities' | null;
}) {
	const length = positive('length_m', run.length_m);
	const runTimes = listOf('runTimes_s', run.runTimes_s, positive);
	const areas = listOf('areas_m2', run.areas_m2, (place, a) => atLeast(place, a, 0));
	if (runTimes.length === 0 || areas.length === 0)
		throw new RangeError('a float gauging needs at least one run and one area');
	const coefficient = inRange(
		'coefficient',
		positive('coefficient', orDefault(run.coefficient, SURFACE_COEFFICIENT)),
		0,
		1
	);
	const averaging = orDefault(run.averaging, 'times');
	if (averaging !== 'times' && averaging !== 'velocities')
		throw new RangeError(`averaging must be times or velocities: ${String(averaging)}`);
	const velocities = runTimes.map((t) => length / t);
	const runs = runTimes.map((t) => given(t, 's')) as [Given, ...Given[]];
	const surface =
		averaging === 'times'
			? over(given(length, 'm'), meanOf(runs))
			: meanOf(runs.map((t) => over(given(length, 'm'), t)) as [Step, ...Step[]]);
	const meanVelocity = times(surface, given(coefficient));
	const step = times(meanVelocity, meanOf(areas.map((a) => given(a, 'm²')) as [Given, ...Given[]]));
	return {
		surfaceVelocity_m_s: surface.number,
		runVelocitySd_m_s: standardDeviation(velocities),
		meanVelocity_m_s: meanVelocity.number,
		area_m2: mean(areas)!,
		discharge_m3_s: step.number,
		working: { step, unit: 'm³/s' } satisfies Working
	};
}
