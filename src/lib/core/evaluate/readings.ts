import type { MethodCard } from '../method';
import { instantOf, type Folded } from '../logbook';
import { readingUncertainty, type Flag, type Way } from '../quality';
import {
	amount,
	exactly,
	figureIn,
	isFromStandIn,
	isImplausible,
	meanFigure,
	parameters,
	plausibleRange,
	units,
	writeFigure,
	type Figure,
	type ParameterCode,
	given,
	meanOf,
	type Step
} from '../quantity';
import { instrumentOf, type Context } from './context';
import { finding as found } from './finding';
import type { Finding } from './outcome';
import { remembered } from './remember';

const DAY_ms = 86_400_000;

/** The mean of each parameter's readings, and what is doubtful about them. */
export function readingFindings(
	{ sheet, lines }: Folded,
	card: MethodCard,
	{ instruments }: Context
): { findings: Finding[]; flags: Flag[] } {
	const findings: Finding[] = [];
	const flags: Flag[] = [];
	const said = new Set<string>();
	for (const [code, slots] of Object.entries(sheet.readings ?? {}) as [ParameterCode, Slots][]) {
		for (const group of byWay(slots, code, card)) {
			const written = Object.keys(group).map((slot) => lines.get(`readings/${code}/${slot}`)!.live!.at);
			const seen = readingsOf(group, code, written.join(' '), card, instruments);
			if (seen.finding) findings.push(seen.finding);
			for (const doubt of seen.flags) {
				const same = JSON.stringify([doubt.code, doubt.evidence]); // three readings with one meter are one doubt about it
				if (!said.has(same)) flags.push(doubt);
				said.add(same);
			}
		}
	}
	return { findings, flags };
}

type Slots = Record<string, Figure>;

const isKitSlot = (slot: string, code: ParameterCode, card: MethodCard) =>
	card.steps.some((s) => s.tool === 'kit' && s.parameter === code && s.id === slot);

/** Readings that belong together: what a colour kit showed is not averaged with what an instrument says. */
function byWay(slots: Slots, code: ParameterCode, card: MethodCard): Slots[] {
	const [kits, others] = [true, false].map((kit) =>
		Object.entries(slots).filter(([slot]) => isKitSlot(slot, code, card) === kit)
	);
	return [
		...(others!.length ? [Object.fromEntries(others!)] : []),
		...kits!.map(([slot, figure]) => ({ [slot]: figure }))
	];
}

/** One parameter's readings; `written`: the clock readings at which each was, with a space between. */
const readingsOf = remembered(findingOf);

function findingOf(
	slots: Slots,
	code: ParameterCode,
	written: string,
	card: MethodCard,
	instruments: Context['instruments']
) {
	const at = written.split(' ');
	const figures = Object.values(slots);
	const flags = Object.entries(slots).flatMap(([slot, figure], i) =>
		doubts(code, `readings/${code}/${slot}`, figure, instantOf(at[i]!), instruments)
	);
	flags.push(...apart(code, figures, card));
	const figure = meanFigure(figures, parameters[code].unit);
	if (figure === null) {
		if (figures.length)
			flags.push({
				code: 'open-both-ways',
				path: `readings/${code}`,
				parameter: code,
				evidence: { parameter: parameters[code].name }
			});
		return { finding: null, flags };
	}
	const steps = figures.map((f) => given(amount(figureIn(f, parameters[code].unit)).number));
	const code_ = figures[0]?.instrument;
	const facts = instrumentOf(instruments, code_)?.measures[code];
	const numbers = steps.map((s) => s.number);
	const { expanded, isAccuracyUnknown } = readingUncertainty(numbers, facts ?? {});
	/** The kit's step, where it was read off one. */
	const off = Object.keys(slots).find((slot) => isKitSlot(slot, code, card));
	const block = off === undefined ? null : blockOf(code, figures, card);
	const replicates = figures.length === 1 ? 'one reading' : `mean of ${figures.length} readings`;
	const finding = found({
		parameter: code,
		way: wayOf(code, off !== undefined),
		figure,
		uncertainty: block ?? expanded,
		readings: figures.length,
		source: 'field',
		basis:
			block !== null
				? `${replicates} off a chart, known to half a block`
				: isAccuracyUnknown
					? `${replicates}; how far ${code_ ?? 'the instrument'} may be off is not known`
					: replicates,
		working:
			figures.length > 1 && amount(figure).qualifier === null
				? { step: meanOf(steps as [Step, ...Step[]]), unit: units[parameters[code].unit].symbol }
				: null,
		place: off === undefined ? `readings/${code}` : `readings/${code}/${off}`,
		isSimulated: figures.some(isFromStandIn)
	});
	return { finding, flags };
}

/** How a reading was made: off a chart, by eye down a tube or a disc, or with an instrument, whether it was named or not. */
function wayOf(code: ParameterCode, isOffChart: boolean): Way {
	if (isOffChart) return 'kit';
	if (code === 'tube-depth') return 'tube';
	if (code === 'disc-depth') return 'disc';
	return code.endsWith('-temperature') ? 'thermometer' : 'meter';
}

/** Half of the wider step to a neighbouring block of the card's chart, in the parameter's own unit; null where the figure is not off a chart. */
function blockOf(code: ParameterCode, figures: readonly Figure[], card: MethodCard): number | null {
	const step = card.steps.find((s) => s.tool === 'kit' && s.parameter === code);
	const [only, ...others] = figures;
	if (step?.tool !== 'kit' || !only || others.length > 0 || only.instrument !== undefined) return null;
	const { number, qualifier } = amount(figureIn(only, step.unit));
	if (qualifier !== null) return null;
	const blocks = step.chart.map((b) => b.value);
	const below = blocks.findLast((b) => b < number);
	const above = blocks.find((b) => b > number);
	const half =
		Math.max(above === undefined ? 0 : above - number, below === undefined ? 0 : number - below) /
		(blocks.includes(number) ? 2 : 1);
	const own = (n: number) => amount(figureIn(exactly(n, step.unit), parameters[code].unit)).number;
	return half === 0 ? null : Math.abs(own(half) - own(0));
}

/** What is doubtful about one reading by itself and by its instrument as it stood when it was read. */
function doubts(
	code: ParameterCode,
	path: string,
	figure: Figure,
	read_ms: number,
	instruments: Context['instruments']
): Flag[] {
	const flags: Flag[] = [];
	const name = parameters[code].name;
	if (isImplausible(code, figure))
		flags.push({
			code: 'implausible',
			path,
			parameter: code,
			evidence: { parameter: name, seen: writeFigure(figure), usual: plausibleRange(code) }
		});
	const instrument = instrumentOf(instruments, figure.instrument);
	const measures = instrument?.measures[code];
	if (!instrument || !measures) return flags;
	const { number } = amount(figureIn(figure, parameters[code].unit));
	if (number < measures.low || number > measures.high)
		flags.push({
			code: 'beyond-meter',
			path,
			parameter: code,
			evidence: {
				parameter: name,
				seen: writeFigure(figure),
				instrument: instrument.code,
				low: String(measures.low),
				high: `${measures.high} ${units[parameters[code].unit].symbol}`
			}
		});
	if (measures.resolution !== undefined && isFiner(figure, code, measures.resolution))
		flags.push({
			code: 'finer-than-instrument',
			path,
			parameter: code,
			evidence: {
				parameter: name,
				seen: writeFigure(figure),
				instrument: instrument.code,
				step: `${measures.resolution} ${units[parameters[code].unit].symbol}`
			}
		});
	if (measures.calibrationDays !== undefined)
		flags.push(...calibrationDoubt(code, path, instrument, measures.calibrationDays, read_ms));
	return flags;
}

/** Whether a figure, read in the parameter's own unit, falls between the marks of its instrument. */
function isFiner(figure: Figure, code: ParameterCode, step: number): boolean {
	if (figure.unit !== parameters[code].unit) return false; // what another unit leaves behind the point is no fault of the reader
	const { number, qualifier } = amount(figure);
	if (qualifier !== null) return false; // a limit says where a method ends, not what was read
	const marks = number / step;
	return Math.abs(marks - Math.round(marks)) > 1e-6;
}

function calibrationDoubt(
	code: ParameterCode,
	path: string,
	instrument: Context['instruments'][string],
	limit_days: number,
	at_ms: number
): Flag[] {
	const last = instrument.calibratedAt[code];
	const evidence = { instrument: instrument.code, parameter: parameters[code].name };
	if (last === undefined) return [{ code: 'calibration-missing', path, parameter: code, evidence }];
	const days = Math.floor((at_ms - Date.parse(last)) / DAY_ms);
	return days > limit_days
		? [{ code: 'calibration-old', path, parameter: code, evidence: { ...evidence, days, limit_days } }]
		: [];
}

function apart(code: ParameterCode, figures: readonly Figure[], card: MethodCard): Flag[] {
	const limit = card.steps.find((s) => s.tool === 'reading' && s.parameter === code);
	const isByPlace = limit?.tool === 'reading' && limit.slots.length > 1;
	if (limit?.tool !== 'reading' || limit.spreadLimit === undefined || figures.length < 2) return [];
	const numbers = figures.map((f) => amount(figureIn(f, parameters[code].unit)).number);
	const spread = Math.max(...numbers) - Math.min(...numbers);
	if (spread <= limit.spreadLimit) return [];
	const { name, unit, decimals } = parameters[code];
	const say = (n: number) => `${n.toFixed(decimals)} ${units[unit].symbol}`;
	return [
		{
			code: 'replicates-apart',
			path: `readings/${code}`,
			parameter: code,
			evidence: {
				parameter: name,
				spread: say(spread),
				limit: say(limit.spreadLimit),
				readings: figures.length,
				isByPlace
			}
		}
	];
}
