import { instantOf, type Folded } from '../../logbook';
import { stepsOf } from '../steps';
import type { MethodCard } from '../../method';
import { readingUncertainty } from '../../quality';
import {
	amount,
	figureIn,
	given,
	isFromStandIn,
	meanFigure,
	meanOf,
	parameterOf,
	units,
	type Figure,
	type ParameterCode,
	type Step,
	type Way
} from '../../quantity';
import { instrumentOf, type Context } from '../context';
import { finding, type Finding } from '../determination';
import { doubt, type Flag } from '../flags';
import { doubtsOf } from './doubts';

/** Readings of one parameter that belong together, and how they were made. */
export interface Readings {
	parameter: ParameterCode;
	way: Way;
	/** Where in the sheet they stand: of the parameter, or of one test of it. */
	place: string;
	/** By the place or the test that gave them. */
	slots: Readonly<Record<string, Figure | undefined>>;
	/** How far off a figure may be where a scale bounds it, in the parameter's own unit; null where nothing does. */
	scale: { half: number; basis: string } | null;
}

interface Read {
	finding: Finding | null;
	flags: Flag[];
}

/** The mean of some readings of one parameter with how sure it is, and what is doubtful about them. */
export function readingsFound(
	{ parameter, way, place, slots, scale }: Readings,
	lines: Folded['lines'],
	card: MethodCard,
	instruments: Context['instruments']
): Read {
	const known = parameterOf(parameter, card.own);
	const { unit } = known;
	const figures = Object.values(slots).filter((f) => f !== undefined);
	const flags = onceEach([
		...Object.entries(slots).flatMap(([slot, figure]) => {
			if (!figure) return [];
			const path = `readings/${parameter}/${slot}`;
			const written = lines.get(path)?.live?.at;
			return doubtsOf(parameter, known, path, figure, written === undefined ? 0 : instantOf(written), instruments);
		}),
		...apart(parameter, figures, card)
	]);
	const figure = meanFigure(figures, unit);
	if (figure === null) {
		const at = { path: `readings/${parameter}`, parameter };
		return { finding: null, flags: figures.length ? [...flags, doubt('open-both-ways', at, { parameter })] : flags };
	}
	const steps = figures.map((f) => given(amount(figureIn(f, unit)).number));
	const instrument = figures[0]?.instrument;
	const facts = instrumentOf(instruments, instrument)?.measures[parameter];
	const numbers = steps.map((s) => s.number);
	const { expanded, isAccuracyUnknown } = readingUncertainty(numbers, facts ?? {});
	const replicates = figures.length === 1 ? 'one reading' : `mean of ${figures.length} readings`;
	const unknown = isAccuracyUnknown ? `; how far ${instrument ?? 'the instrument'} may be off is not known` : '';
	const isMean = figures.length > 1 && amount(figure).qualifier === null;
	const found = finding({
		parameter,
		way,
		figure,
		uncertainty: scale?.half ?? expanded,
		readings: figures.length,
		source: 'field',
		basis: scale ? `${replicates} ${scale.basis}` : `${replicates}${unknown}`,
		working: isMean ? { step: meanOf(steps as [Step, ...Step[]]), unit: units[unit].symbol } : null,
		place,
		isSimulated: figures.some(isFromStandIn)
	});
	return { finding: found, flags };
}

/** Three readings with one meter are one doubt about it. */
function onceEach(flags: readonly Flag[]): Flag[] {
	const said = new Set<string>();
	return flags.filter((flag) => {
		const same = JSON.stringify([flag.code, flag.evidence]);
		if (said.has(same)) return false;
		said.add(same);
		return true;
	});
}

function apart(parameter: ParameterCode, figures: readonly Figure[], card: MethodCard): Flag[] {
	const step = stepsOf(card, 'reading').find((s) => s.parameter === parameter);
	if (step?.spreadLimit === undefined || figures.length < 2) return [];
	const { unit } = parameterOf(parameter, card.own);
	const numbers = figures.map((f) => amount(figureIn(f, unit)).number);
	const spread = Math.max(...numbers) - Math.min(...numbers);
	if (spread <= step.spreadLimit) return [];
	const at = { path: `readings/${parameter}`, parameter };
	const isByPlace = step.slots.length > 1;
	const evidence = { parameter, spread, limit: step.spreadLimit, readings: figures.length, isByPlace };
	return [doubt('replicates-apart', at, evidence)];
}
