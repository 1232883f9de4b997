import { titrationOxygen } from '../oxygen';
import { limitsOf, type MethodCard } from '../method';
import { instantOf, type Folded } from '../logbook';
import { coverage, type Flag } from '../quality';
import { exactly, meanOf, type Step, type Working } from '../quantity';
import { mean, standardDeviation } from '../statistics';
import { finding as found } from './finding';
import type { Finding } from './outcome';

type Bottle = NonNullable<Folded['sheet']['titrations']>[string];

/**
 * Oxygen of one titrated bottle. The colour went somewhere within the last drop, so half a drop comes off, unless a blank that was
 * titrated the same way takes it off already.
 */
export function titrated({
	drops,
	blankDrops,
	mgLPerDrop
}: {
	drops: number;
	blankDrops?: number | undefined;
	mgLPerDrop: number;
}): {
	dissolvedOxygen_mgL: number;
	belowBlank: boolean;
	working: Working | null;
} {
	const counted = blankDrops === undefined ? Math.max(0, drops - 0.5) : drops;
	return titrationOxygen({ mode: 'drops', drops: counted, mgLPerDrop, blankDrops: blankDrops ?? 0 });
}

/** Oxygen by titration: the mean of the bottles, each drop known to half of one. Where a meter was read too, its figure stands beside. */
export function titrationFindings({ sheet, lines }: Folded, card: MethodCard): { findings: Finding[]; flags: Flag[] } {
	const flags: Flag[] = [];
	const steps: Step[] = [];
	const drop_mgL: number[] = [];
	let isBlanked = false;
	const limits = limitsOf(card);
	const step = card.steps.find((s) => s.tool === 'titration');
	for (const [id, bottle] of Object.entries(sheet.titrations ?? {})) {
		const at = { path: `titrations/${id}`, parameter: 'dissolved-oxygen' };
		if (bottle.hasBubble) {
			flags.push({ ...at, code: 'titration-bubble', evidence: { bottle: id } });
			continue;
		}
		if (step?.tool === 'titration')
			flags.push(...clockFlags(at, id, bottle, step, lines.get(`titrations/${id}/drops`)?.live?.at));
		const { drops, blankDrops, mgLPerDrop } = bottle;
		if (drops === undefined || mgLPerDrop === undefined) continue;
		const { belowBlank, working } = titrated({ drops, blankDrops, mgLPerDrop });
		if (belowBlank) flags.push({ ...at, code: 'below-blank', evidence: { drops, blankDrops: blankDrops ?? 0 } });
		else {
			steps.push(working!.step);
			drop_mgL.push(mgLPerDrop);
			isBlanked ||= blankDrops !== undefined;
		}
	}
	if (steps.length === 0) return { findings: [], flags };
	flags.push(...apart(steps, limits.titrations_mgL));
	const middle = meanOf(steps as [Step, ...Step[]]);
	return {
		findings: [
			found({
				parameter: 'dissolved-oxygen',
				way: 'titration',
				figure: exactly(middle.number, 'mg_L'),
				uncertainty: howSure(steps, mean(drop_mgL)!, limits.drop_percent),
				readings: steps.length,
				source: 'field',
				basis: `${steps.length === 1 ? 'one titration' : `mean of ${steps.length} titrations`}${isBlanked ? ', less the blank' : ', half a drop taken off each'}`,
				working: { step: middle, unit: 'mg/L' },
				place: 'titrations'
			})
		],
		flags
	};
}

/** The end point lies within one drop (uniform), bottles differ, and strength and drop size shift all of them alike. JCGM 100:2008. */
function howSure(bottles: readonly Step[], drop_mgL: number, off_percent: number): number {
	const numbers = bottles.map((s) => s.number);
	const n = numbers.length;
	const spread = standardDeviation(numbers) ?? 0;
	const fromSpread = spread ** 2 / n;
	const variance = fromSpread + drop_mgL ** 2 / 12 / n + ((off_percent / 100) * mean(numbers)!) ** 2 / 3;
	return coverage(fromSpread === 0 ? Infinity : (variance / fromSpread) ** 2 * (n - 1)) * Math.sqrt(variance);
}

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
	if (after_h !== null && after_h > within_h)
		flags.push({ ...at, code: 'titrated-late', evidence: { bottle: id, after_h, limit_h: within_h } });
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
