import { titrationOxygen } from '../../oxygen';
import { limitsOf } from '../../method';
import { instantOf, type Sheet } from '../../logbook';
import { coverage } from '../../quality';
import { exactly, meanOf, type Step, type Working } from '../../quantity';
import { mean, standardDeviation } from '../../statistics';
import { finding, type Clock } from '../determination';
import { doubt, type Flag } from '../flags';
import { timesInTurn } from '../moments';
import { stepsOf } from '../steps';
import { defineSubject } from '../subject';
import type { TitrationStep } from './step';

type Bottle = NonNullable<Sheet['titrations']>[string];
const HOUR_ms = 3_600_000;

/** Oxygen by titration: the mean of the bottles, each drop known to half of one. */
export const titration = defineSubject({
	branches: ['titrations'],
	knows: [],
	observe({ sheet, lines, card }) {
		const limits = limitsOf(card);
		const asked = stepsOf(card, 'titration');
		const stepOf = (id: string) => asked.find((s) => s.bottles.some((b) => b.id === id)) ?? asked[0];
		const bottles = Object.entries(sheet.titrations ?? {});
		const whole = bottles.filter(([, b]) => !b.hasBubble);
		const flags = bottles.flatMap(([id, bottle]): Flag[] => [
			...timesInTurn('bottle', id, at(id), { 'titration-fixed-acid': [bottle.fixedAt, bottle.acidAt] }),
			...(bottle.hasBubble ? [doubt('titration-bubble', at(id), { bottle: id })] : [])
		]);
		const steps: Step[] = [];
		const drop_mgL: number[] = [];
		let isBlanked = false;
		for (const [id, bottle] of whole) {
			const step = stepOf(id);
			if (step) flags.push(...clockFlags(id, bottle, step, lines.get(`titrations/${id}/drops`)?.live?.at));
			const { drops, blankDrops, mgLPerDrop } = bottle;
			if (drops === undefined || mgLPerDrop === undefined) continue;
			const { belowBlank, working } = titrated({ drops, blankDrops, mgLPerDrop });
			if (belowBlank || !working) {
				flags.push(doubt('below-blank', at(id), { drops, blankDrops: blankDrops ?? 0 }));
				continue;
			}
			steps.push(working.step);
			drop_mgL.push(mgLPerDrop);
			isBlanked ||= blankDrops !== undefined;
		}
		const clocks = whole.flatMap(([id, bottle]) => settling(id, bottle, stepOf(id)));
		const [first, ...others] = steps;
		if (!first) return { flags, clocks };
		const middle = meanOf([first, ...others]);
		const found = finding({
			parameter: 'dissolved-oxygen',
			way: 'titration',
			figure: exactly(middle.number, 'mg_L'),
			uncertainty: howSure(steps, mean(drop_mgL)!, limits.drop_percent),
			readings: steps.length,
			source: 'field',
			basis: `${steps.length === 1 ? 'one titration' : `mean of ${steps.length} titrations`}${isBlanked ? ', less the blank' : ', half a drop taken off each'}`,
			working: { step: middle, unit: 'mg/L' },
			place: 'titrations'
		});
		return { findings: [found], flags: [...flags, ...apart(steps, limits.titrations_mgL)], clocks };
	}
});

const at = (id: string) => ({ path: `titrations/${id}`, parameter: 'dissolved-oxygen' });

/**
 * Oxygen of one titrated bottle. The colour went somewhere within the last drop, so half a drop comes off, unless a
 * blank that was titrated the same way takes it off already.
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

/**
 * Expanded uncertainty of the mean of some titrated bottles, mg/L: the end point lies within one drop (uniform),
 * bottles differ, and strength and drop size shift all of them alike. JCGM 100:2008, 4.3.7 and G.4.
 */
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
	id: string,
	{ fixedAt, acidAt }: Bottle,
	{ settle_s, within_h }: TitrationStep,
	titratedAt: string | undefined
): Flag[] {
	if (fixedAt === undefined) return [];
	const flags: Flag[] = [];
	const after_s = acidAt === undefined ? null : (Date.parse(acidAt) - Date.parse(fixedAt)) / 1000;
	if (after_s !== null && after_s >= 0 && after_s < settle_s)
		flags.push(doubt('floc-unsettled', at(id), { bottle: id, after_s, settle_s }));
	const after_h = titratedAt === undefined ? null : (instantOf(titratedAt) - Date.parse(fixedAt)) / HOUR_ms;
	if (after_h !== null && after_h > within_h)
		flags.push(doubt('titrated-late', at(id), { bottle: id, after_h, limit_h: within_h }));
	return flags;
}

function apart(steps: readonly Step[], limit_mgL: number): Flag[] {
	const numbers = steps.map((s) => s.number);
	const [lowest_mgL, highest_mgL] = [Math.min(...numbers), Math.max(...numbers)];
	if (highest_mgL - lowest_mgL <= limit_mgL + 1e-9) return [];
	const whole = { path: 'titrations', parameter: 'dissolved-oxygen' };
	return [doubt('titrations-apart', whole, { lowest_mgL, highest_mgL, limit_mgL })];
}

/** The floc of a fixed bottle, until it is titrated. */
function settling(id: string, { fixedAt, drops }: Bottle, step: TitrationStep | undefined): Clock[] {
	if (!step || fixedAt === undefined || drops !== undefined) return [];
	const { settle_s, within_h } = step;
	const start_ms = Date.parse(fixedAt);
	const due_ms = start_ms + settle_s * 1000;
	const last_ms = Math.max(due_ms, start_ms + within_h * HOUR_ms);
	return [{ id: `titrations/${id}`, kind: 'wait', label: `floc settles, bottle ${id}`, start_ms, due_ms, last_ms }];
}
