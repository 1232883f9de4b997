import { doubt } from '../flags';
import { defineSubject } from '../subject';
import { isTool } from '../steps';
import { workedAt } from './step';

/** How much a net worked: nothing is measured yet, but less than was asked for catches less. */
export const net = defineSubject({
	branches: ['nets'],
	knows: [],
	observe({ sheet, card }) {
		const flags = card.steps.flatMap((step) => {
			if (!isTool(step, 'net') || sheet.nets?.[step.id]?.endedAt === undefined) return [];
			const [worked, asked] = [workedAt(step, sheet), step.school === 'kick' ? step.places : step.metres];
			return worked < asked
				? [doubt('little-effort', { path: `nets/${step.id}`, parameter: null }, { school: step.school, worked, asked })]
				: [];
		});
		return { flags };
	}
});
