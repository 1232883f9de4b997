import { titrationOxygen } from '../oxygen';
import type { Sheet } from '../logbook';
import type { Flag } from '../quality';
import { exactly, meanOf, type Step } from '../quantity';
import { mean, standardDeviation } from '../statistics';
import type { Finding } from './readings';

/** Oxygen by titration: the mean of the bottles, each drop known to half of one. Where a meter was read too, its figure stands beside. */
export function titrationFindings({ titrations }: Sheet): { findings: Finding[]; flags: Flag[] } {
	const flags: Flag[] = [];
	const steps: Step[] = [];
	const drop_mgL: number[] = [];
	for (const [id, { drops, blankDrops, mgLPerDrop }] of Object.entries(titrations ?? {})) {
		if (drops === undefined || mgLPerDrop === undefined) continue;
		const { belowBlank, working } = titrationOxygen({ mode: 'drops', drops, mgLPerDrop, blankDrops: blankDrops ?? 0 });
		if (belowBlank)
			flags.push({ code: 'below-blank', path: `titrations/${id}`, parameter: 'dissolved-oxygen', evidence: { drops, blankDrops: blankDrops ?? 0 } });
		else {
			steps.push(working!.step);
			drop_mgL.push(mgLPerDrop);
		}
	}
	if (steps.length === 0) return { findings: [], flags };
	const step = meanOf(steps as [Step, ...Step[]]);
	const spread = standardDeviation(steps.map((s) => s.number)) ?? 0;
	// the end point lies somewhere within the last drop: uniform, as any reading within one step
	const uncertainty = 2 * Math.sqrt(spread ** 2 / steps.length + mean(drop_mgL)! ** 2 / 12);
	const finding: Finding = {
		parameter: 'dissolved-oxygen',
		figure: exactly(step.number, 'mg_L'),
		uncertainty,
		readings: steps.length,
		source: 'field',
		basis: steps.length === 1 ? 'one titration' : `mean of ${steps.length} titrations`,
		working: { step, unit: 'mg/L' }
	};
	return { findings: [finding], flags };
}
