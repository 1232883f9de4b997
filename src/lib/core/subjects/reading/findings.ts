import { amount, codesWith, isUnitOf, parameterOf, type Figure, type ParameterCode, type Way } from '../../quantity';
import { doubt } from '../flags';
import { stepsOf } from '../steps';
import { defineSubject } from '../subject';
import { readingsFound } from './figure';

/** Percent above which water cannot hold its oxygen for long. */
const SUPERSATURATED_PERCENT = 130;

/** What is read off an instrument: the mean of each parameter's readings, and what is doubtful about them. */
export const reading = defineSubject({
	branches: ['readings'],
	knows: ['instruments'],
	observe({ sheet, lines, card, context }) {
		const kits = stepsOf(card, 'kit');
		const isKit = (code: ParameterCode, slot: string) => kits.some((s) => s.parameter === code && s.id === slot);
		const read = codesWith(card.own).flatMap((code) => {
			const all = Object.entries(sheet.readings?.[code] ?? {}) as [string, Figure][];
			// the edge of the logbook knows no parameter of a program's own: a unit of another kind is met here
			const fits = ([, figure]: [string, Figure]) => isUnitOf(parameterOf(code, card.own), figure.unit);
			const slots = Object.fromEntries(all.filter(fits).filter(([slot]) => !isKit(code, slot)));
			if (parameterOf(code, card.own).hasOwnSubject || Object.keys(slots).length === 0) return [];
			const readings = { parameter: code, way: wayOf(code), place: `readings/${code}`, slots, scale: null };
			return [readingsFound(readings, lines, card, context.instruments)];
		});
		return { findings: read.flatMap((r) => r.finding ?? []), flags: read.flatMap((r) => r.flags) };
	},
	relate: ({ determinations }) =>
		determinations
			.filter((d) => d.parameter === 'oxygen-saturation' && amount(d.figure).number > SUPERSATURATED_PERCENT)
			.map(({ figure, parameter }) =>
				doubt('supersaturated', { path: 'readings/dissolved-oxygen', parameter }, { percent: amount(figure).number })
			)
});

const wayOf = (code: ParameterCode): Way => (code.endsWith('-temperature') ? 'thermometer' : 'meter');
