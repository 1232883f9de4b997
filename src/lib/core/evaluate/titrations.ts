import { titrationOxygen } from '../oxygen';
import { limitsOf, type MethodCard } from '../method';
import { instantOf, type Folded } from '../logbook';
import type { Flag } from '../quality';
import { exactly, meanOf, type Step } from '../quantity';
import { mean, standardDeviation } from '../statistics';
import type { Finding } from './outcome';

/** Oxygen by titration: the mean of the bottles, each drop known to half of one. Where a meter was read too, its figure stands beside. */
export function titrationFindings({ sheet, lines }: Folded, card: MethodCard): { findings: Finding[]; flags: Flag[] } {
	const flags: Flag[] = [];
	const steps: Step[] = [];
	const drop_mgL: number[] = [];
	const step = card.steps.find((s) => s.tool === 'titration');
	for (const [id, bottle] of Object.entries(sheet.titrations ?? {})) {
		const at = { path: `titrations/${id}`, parameter: 'dissolved-oxygen' };
		if (bottle.hasBubble) {
			flags.push({ ...at, code: 'titration-bubble', evidence: { bottle: id } });
			continue;
		}
		if (step?.tool === 'titration') flags.push(...clockFlags(at, id, bottle, step, lines.get(`titrations/${id}/drops`)?.live?.at));
		const { drops, blankDrops, mgLPerDrop } = bottle;
		if (drops === undefined || mgLPerDrop === undefined) continue;
		const { belowBlank, working } = titrationOxygen({ mode: 'drops', drops, mgLPerDrop, blankDrops: blankDrops ?? 0 });
		if (belowBlank) flags.push({ ...at, code: 'below-blank', evidence: { drops, blankDrops: blankDrops ?? 0 } });
		else {
			steps.push(working!.step);
			drop_mgL.push(mgLPerDrop);
		}
	}
	if (steps.length === 0) return { findings: [], flags };
	flags.push(...apart(steps, limitsOf(card).titrations_mgL));
	const middle = meanOf(steps as [Step, ...Step[]]);
	const spread = standardDeviation(steps.map((s) => s.number)) ?? 0;
	// the end point lies somewhere within the last drop: uniform, as any reading within one step
	const uncertainty = 2 * Math.sqrt(spread ** 2 / steps.length + mean(drop_mgL)! ** 2 / 12);
	const finding: Finding = {
		parameter: 'dissolved-oxygen',
		figure: exactly(middle.number, 'mg_L'),
		uncertainty,
		readings: steps.length,
		source: 'field',
		basis: steps.length === 1 ? 'one titration' : `mean of ${steps.length} titrations`,
		working: { step: middle, unit: 'mg/L' }
	};
	return { findings: [finding], flags };
}

type Bottle = NonNullable<Folded['sheet']['titrations']>[string];

/** Acid before the floc has settled, and a bottle that stood too long. */
function clockFlags(
	at: { path: string; parameter: string },
	id: string,
	{ fixedAt, acidAt }: Bottle,
	{ settle_s, within_h }: { settle_s: number; within_h: number },
	titratedAt: string | undefined
): Flag[] {
	if (fixedAt === undefined) return [];
	const flags: Flag[] = [];
	const settled_s = acidAt === undefined ? null : (Date.parse(acidAt) - Date.parse(fixedAt)) / 1000;
	if (settled_s !== null && settled_s >= 0 && settled_s < settle_s)
		flags.push({ ...at, code: 'floc-unsettled', evidence: { bottle: id, after_s: settled_s, settle_s } });
	const after_h = titratedAt === undefined ? null : (instantOf(titratedAt) - Date.parse(fixedAt)) / 3_600_000;
	if (after_h !== null && after_h > within_h) flags.push({ ...at, code: 'titrated-late', evidence: { bottle: id, after_h, limit_h: within_h } });
	return flags;
}

function apart(steps: readonly Step[], limit_mgL: number): Flag[] {
	const numbers = steps.map((s) => s.number);
	const [lowest, highest] = [Math.min(...numbers), Math.max(...numbers)];
	if (highest - lowest <= limit_mgL + 1e-9) return [];
	const say = (n: number) => `${n.toFixed(1)} mg/L`;
	return [
		{
			code: 'titrations-apart',
			path: 'titrations',
			parameter: 'dissolved-oxygen',
			evidence: { lowest: say(lowest), highest: say(highest), limit: say(limit_mgL) }
		}
	];
}
