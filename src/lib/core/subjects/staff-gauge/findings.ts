import { convert } from '../../quantity';
import { doubt } from '../flags';
import { readingsFound } from '../reading/figure';
import { stepsOf } from '../steps';
import { defineSubject } from '../subject';
import { levelSpoilers } from './branch';

const at = { path: 'readings/water-level', parameter: 'water-level' };

/** The water level on a fixed board, known to half a mark. */
export const staffGauge = defineSubject({
	branches: ['readings', 'staff'],
	knows: ['instruments'],
	observe({ sheet, lines, card, context }) {
		const slots = sheet.readings?.['water-level'];
		if (slots === undefined) return {};
		const [step] = stepsOf(card, 'staff');
		const half = step && (convert(step.mark, step.unit, 'm') - convert(0, step.unit, 'm')) / 2;
		const scale = half === undefined ? null : { half, basis: 'on the board, known to half a mark' };
		const readings = { parameter: 'water-level', way: 'staff', place: at.path, slots, scale } as const;
		const read = readingsFound(readings, lines, card, context.instruments);
		const spoilers = levelSpoilers.filter((s) => sheet.staff?.spoilers?.[s]);
		return {
			findings: read.finding ? [read.finding] : [],
			flags: [...read.flags, ...(spoilers.length ? [doubt('level-disturbed', at, { spoilers })] : [])]
		};
	}
});
