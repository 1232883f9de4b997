import type { Context } from '../src/lib/core/subjects/context';
import type { Entry } from '../src/lib/core/logbook';
import { parameterCodes, parameters } from '../src/lib/core/quantity';
import { aLine } from '../tests/a-line';

const start = Date.UTC(2026, 4, 14, 9);
export const context: Context = { now_ms: start + 3_600_000, site: { elevation_m: 200, usual: {} }, instruments: {} };

/** A visit of 200 lines with 30 verticals and 12 parameters in replicate. */
export function fullSheet(): Entry[] {
	const lines: [string, unknown][] = [
		['arrival/depth_m', 0.25],
		['arrival/access', 'wade'],
		['gaugings/main/edges/startDistance_m', 0],
		['gaugings/main/edges/endDistance_m', 6.2]
	];
	for (const code of parameterCodes.slice(0, 12)) {
		const [low, high] = parameters[code].plausible;
		for (const [i, slot] of ['left', 'middle', 'right'].entries())
			lines.push([
				`readings/${code}/${slot}`,
				{ value: low + ((high - low) * (i + 4)) / 12, unit: parameters[code].unit }
			]);
	}
	for (let i = 1; i <= 30; i++) {
		const place = `gaugings/main/verticals/v${String(i)}`;
		lines.push(
			[`${place}/distance_m`, i / 5],
			[`${place}/depth_m`, 0.1 + 0.3 * Math.sin((Math.PI * i) / 31)],
			[`${place}/velocity_m_s`, 0.1 + 0.4 * Math.sin((Math.PI * i) / 31)]
		);
	}
	while (lines.length < 200) lines.push([`remarks/r${String(lines.length)}`, 'something was seen']);
	return lines.map(([path, value], i) => aLine(i, start + i * 1000, path, value));
}
