import { doubt, type Flag } from '../flags';
import { defineSubject } from '../subject';
import { isTool } from '../steps';
import { soaked_days } from './step';

/** A sampler that was lifted: nothing is measured yet, but what became of it decides what its animals can say. */
export const sampler = defineSubject({
	branches: ['samplers'],
	knows: ['now_ms'],
	observe({ sheet, card, context }) {
		const flags = card.steps.flatMap((step): Flag[] => {
			if (!isTool(step, 'sampler')) return [];
			const there = sheet.samplers?.[step.id];
			if (there?.state === undefined) return [];
			const at = { path: `samplers/${step.id}`, parameter: null };
			if (there.state !== 'found') return [doubt('sampler-gone', at, { kind: step.kind, state: there.state })];
			const days = soaked_days(there, context.now_ms);
			const { kind, least_days, most_days } = step;
			return days === null || (days >= least_days && days <= most_days)
				? []
				: [doubt('sampler-soak', at, { kind, days, least_days, most_days })];
		});
		return { flags };
	}
});
