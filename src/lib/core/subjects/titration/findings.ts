import { limitsOf } from '../../method';
import { instantOf } from '../../logbook';
import { coverage } from '../../quality';
import { exactly, meanOf, type Step } from '../../quantity';
import { mean, standardDeviation } from '../../statistics';
import { finding, type Clock } from '../determination';
import { doubt, type Flag } from '../flags';
import { timesInTurn } from '../moments';
import { stepsOf } from '../steps';
import { defineSubject } from '../subject';
import { isTitrated, stepOfTitration, type TitrationStep } from './step';
import { normalityOf, oxygenOf, type TitrantChecks, type TitrationBottle } from './strength';

const HOUR_ms = 3_600_000;

/** Oxygen by titration: the mean of the bottles, each drop known to half of one. */
export const titration = defineSubject({
	branches: ['titrations', 'titrantChecks'],
	knows: [],
	observe({ sheet, lines, card }) {
		const limits = limitsOf(card);
		const asked = stepsOf(card, 'titration');
		const stepOf = (id: string) => stepOfTitration(id, asked);
		const bottles = Object.entries(sheet.titrations ?? {});
		const whole = bottles.filter(([, b]) => !b.hasBubble);
		const flags = bottles.flatMap(([id, bottle]): Flag[] => [
			...timesInTurn('bottle', id, at(id), { 'titration-fixed-acid': [bottle.fixedAt, bottle.acidAt] }),
			...(bottle.hasBubble ? [doubt('titration-bubble', at(id), { bottle: id })] : [])
		]);
		const steps: Step[] = [];
		const grains_mgL: number[] = [];
		let isBlanked = false;
		for (const [id, bottle] of whole) {
			const step = stepOf(id);
			const [byBurette, byDrops] = ['titrant_mL', 'drops'].map((n) => lines.get(`titrations/${id}/${n}`)?.live?.at);
			if (step) flags.push(...clockFlags(id, bottle, step, byBurette ?? byDrops));
			flags.push(...titrantFlags(id, bottle, sheet.titrantChecks, limits.drop_percent));
			const oxygen = oxygenOf(bottle, sheet.titrantChecks, step);
			if (oxygen === null) continue;
			if (oxygen.belowBlank || !oxygen.working) {
				flags.push(belowBlank(id, bottle));
				continue;
			}
			steps.push(oxygen.working.step);
			grains_mgL.push(oxygen.grain_mgL);
			isBlanked ||= oxygen.isBlanked;
		}
		const clocks = whole.flatMap(([id, bottle]) => settling(id, bottle, stepOf(id)));
		const [first, ...others] = steps;
		if (!first) return { flags, clocks };
		const middle = meanOf([first, ...others]);
		const found = finding({
			parameter: 'dissolved-oxygen',
			way: 'titration',
			figure: exactly(middle.number, 'mg_L'),
			uncertainty: howSure(steps, mean(grains_mgL)!, limits.drop_percent),
			readings: steps.length,
			source: 'field',
			basis: basisOf(
				steps.length,
				isBlanked,
				whole.map(([, b]) => b)
			),
			working: { step: middle, unit: 'mg/L' },
			place: 'titrations'
		});
		return { findings: [found], flags: [...flags, ...apart(steps, limits.titrations_mgL)], clocks };
	}
});

const at = (id: string) => ({ path: `titrations/${id}`, parameter: 'dissolved-oxygen' });

function basisOf(n: number, isBlanked: boolean, bottles: readonly TitrationBottle[]): string {
	const ways = [
		...(bottles.some((b) => b.titrant_mL === undefined && b.drops !== undefined) ? ['drops'] : []),
		...(bottles.some((b) => b.titrant_mL !== undefined) ? ['burette'] : [])
	];
	const by = ways.includes('burette') ? ` by ${ways.join(' and ')}` : '';
	const which = `${n === 1 ? 'one titration' : `mean of ${n} titrations`}${by}`;
	if (isBlanked) return `${which}, less the blank`;
	return ways.includes('drops') ? `${which}, half a drop taken off each` : which;
}

const belowBlank = (id: string, { drops, blankDrops, titrant_mL, blank_mL }: TitrationBottle): Flag =>
	titrant_mL === undefined
		? doubt('below-blank', at(id), { drops: drops ?? 0, blankDrops: blankDrops ?? 0 })
		: doubt('burette-below-blank', at(id), { titrant_mL, blank_mL: blank_mL ?? 0 });

/** A titrant whose check found another strength than its label says. */
function titrantFlags(
	id: string,
	{ normality_N }: TitrationBottle,
	checks: TitrantChecks,
	limit_percent: number
): Flag[] {
	const found_N = normalityOf(undefined, checks);
	if (normality_N === undefined || found_N === null) return [];
	if (Math.abs(found_N / normality_N - 1) * 100 <= limit_percent) return [];
	return [doubt('titrant-off', at(id), { label_N: normality_N, found_N, limit_percent })];
}

/**
 * Expanded uncertainty of the mean of some titrated bottles, mg/L: the end point lies within one drop or mark of the
 * burette (uniform), bottles differ, and strength and drop size shift all of them alike. JCGM 100:2008, 4.3.7 and G.4.
 */
function howSure(bottles: readonly Step[], grain_mgL: number, off_percent: number): number {
	const numbers = bottles.map((s) => s.number);
	const n = numbers.length;
	const spread = standardDeviation(numbers) ?? 0;
	const fromSpread = spread ** 2 / n;
	const variance = fromSpread + grain_mgL ** 2 / 12 / n + ((off_percent / 100) * mean(numbers)!) ** 2 / 3;
	return coverage(fromSpread === 0 ? Infinity : (variance / fromSpread) ** 2 * (n - 1)) * Math.sqrt(variance);
}

/** Acid before the floc has settled, and a bottle that stood too long. */
function clockFlags(
	id: string,
	{ fixedAt, acidAt }: TitrationBottle,
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
function settling(id: string, bottle: TitrationBottle, step: TitrationStep | undefined): Clock[] {
	const { fixedAt } = bottle;
	if (!step || fixedAt === undefined || isTitrated(bottle)) return [];
	const { settle_s, within_h, bottles } = step;
	const name = bottles.find((b) => b.id === id)?.label ?? id;
	const start_ms = Date.parse(fixedAt);
	const due_ms = start_ms + settle_s * 1000;
	const last_ms = Math.max(due_ms, start_ms + within_h * HOUR_ms);
	return [{ id: `titrations/${id}`, kind: 'fixed', label: `${name} oxygen bottle`, start_ms, due_ms, last_ms }];
}
