import { instantOf } from '../../logbook';
import { isUnitOf, parameterOf } from '../../quantity';
import { doubt, type Flag } from '../flags';
import { readingsFound } from '../reading/figure';
import { stepsOf } from '../steps';
import { defineSubject } from '../subject';
import { halfBlock } from './half-block';
import { colourPath, colourWait_s, type KitStep } from './step';

/**
 * Strips and colour kits: a colour held against a chart is known to half a block, and is never averaged with a
 * meter's figure.
 */
export const kit = defineSubject({
	branches: ['readings', 'waits'],
	knows: ['instruments'],
	observe({ sheet, lines, card, context }) {
		const read = stepsOf(card, 'kit').flatMap((step) => {
			const figure = sheet.readings?.[step.parameter]?.[step.id];
			const known = parameterOf(step.parameter, card.own);
			if (figure === undefined || !isUnitOf(known, figure.unit)) return [];
			const half = halfBlock(figure, step, known);
			const readings = {
				parameter: step.parameter,
				way: 'kit',
				place: colourPath(step),
				slots: { [step.id]: figure },
				scale: half === null ? null : { half, basis: 'off a chart, known to half a block' }
			} as const;
			const found = readingsFound(readings, lines, card, context.instruments);
			const timed = colourFlags(step, sheet.waits?.[step.id]?.startedAt, lines.get(colourPath(step))?.live?.at);
			return [{ ...found, flags: [...found.flags, ...timed] }];
		});
		return { findings: read.flatMap((r) => r.finding ?? []), flags: read.flatMap((r) => r.flags) };
	}
});

/** A colour that was read too soon, or so late that it had changed. */
function colourFlags(step: KitStep, startedAt: string | undefined, readAt: string | undefined): Flag[] {
	if (startedAt === undefined || readAt === undefined) return [];
	const after_s = (instantOf(readAt) - Date.parse(startedAt)) / 1000;
	const wait_s = colourWait_s(step);
	const { parameter } = step;
	const at = { path: colourPath(step), parameter };
	if (after_s < 0) return [];
	if (after_s < wait_s) return [doubt('colour-early', at, { parameter, after_s, wait_s })];
	const within_s = wait_s + step.readWithin_s;
	return after_s > within_s ? [doubt('colour-late', at, { parameter, after_s, within_s })] : [];
}
