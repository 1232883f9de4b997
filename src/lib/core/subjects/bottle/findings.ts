import { isoDay } from '../../wording';
import { limitsOf } from '../../method';
import { stepsOf } from '../steps';
import { defineSubject } from '../subject';
import { coolerFlags, handlingFlags, labelFlags } from './handling';
import { heldBacteria, heldNutrients, labFindings, otherwiseKept } from './held';
import { pairFlags } from './pairs';
import { receivedFlags } from './received';
import { stepOfBottle } from './step';

/**
 * The bottles of a visit: their clocks, how they were handled and held, what the lab found in them, what duplicates
 * and blanks say.
 */
export const bottle = defineSubject({
	branches: ['bottles', 'custody', 'plates', 'opening'],
	knows: ['now_ms', 'trip', 'site', 'timeZone', 'labelsElsewhere', 'duplicatesBefore', 'blanksBefore'],
	observe({ sheet, card, context }) {
		const bottles = sheet.bottles ?? {};
		const steps = stepsOf(card, 'bottle');
		const { cooler_C } = limitsOf(card);
		const where = {
			siteCode: context.site.code,
			// asked only where a label names a day: to write one takes long
			day: () => sheet.opening && isoDay(Date.parse(sheet.opening.startedAt), context.timeZone ?? 'UTC'),
			elsewhere: context.labelsElsewhere ?? {}
		};
		const all = Object.entries(bottles).map(([id, one]) => {
			const step = stepOfBottle(id, steps);
			const held = one.kind === 'bacteria' ? heldBacteria(id, one, sheet, card, context) : heldNutrients(id, one, step);
			// a blank says nothing of the stream, and a duplicate stands beside its partner
			const isRoutine = one.role === undefined || one.role === 'routine';
			return {
				findings: isRoutine ? labFindings(id, one, card) : [],
				clocks: held.clocks,
				flags: [
					...held.flags,
					...otherwiseKept(id, one, step),
					...receivedFlags(id, one, cooler_C),
					...labelFlags(id, one, bottles, where),
					...handlingFlags(id, one, step)
				]
			};
		});
		return {
			findings: all.flatMap((b) => b.findings),
			clocks: all.flatMap((b) => b.clocks),
			flags: [...all.flatMap((b) => b.flags), ...coolerFlags(sheet, cooler_C), ...pairFlags(sheet, card, context)]
		};
	}
});
