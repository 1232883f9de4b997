import {
	heldBeforeAnalysis,
	heldFor_h,
	holdingTime,
	labDeadline,
	nutrientHolding_h,
	ruleFor,
	whyNotFrom
} from '../../custody';
import type { Sheet } from '../../logbook';
import type { MethodCard } from '../../method';
import { convert, figureOf, isFromStandIn, parameterOf, type Unit } from '../../quantity';
import type { Context } from '../context';
import { finding, type Clock, type Finding } from '../determination';
import { doubt, type Flag } from '../flags';
import type { Preservative } from './branch';
import { foundIn } from './found';
import type { BottleStep } from './step';

export type BottleSheet = NonNullable<Sheet['bottles']>[string];
type BottleSheets = Pick<Sheet, 'bottles' | 'plates'>;
type BottleContext = Pick<Context, 'now_ms' | 'trip'>;
const MINUTE_ms = 60_000;

/** What a lab found in a bottle. */
export const labFindings = (id: string, bottle: BottleSheet, { own }: Pick<MethodCard, 'own'>): Finding[] =>
	foundIn(bottle).flatMap(({ parameter, figure: given, report }) => {
		const known = parameterOf(parameter, own);
		const figure = figureOf(known, given);
		if (figure === null) return [];
		const inBottle = `bottle ${bottle.label ?? id}`;
		return finding({
			parameter,
			way: 'lab',
			figure,
			uncertainty: report?.uncertainty === undefined ? null : spreadIn(known.unit, given.unit, report.uncertainty),
			readings: 1,
			source: 'lab',
			basis: report === null ? `lab, ${inBottle}` : `${report.lab}, report ${report.report}, ${inBottle}`,
			working: null,
			place: report === null ? `bottles/${id}` : `bottles/${id}/reports`,
			isSimulated: isFromStandIn(given) || report?.isSimulated === true
		});
	});

/** An uncertainty in another unit of its dimension: a width, which no zero of a scale shifts. */
const spreadIn = (to: Unit, from: Unit, width: number): number => convert(width, from, to) - convert(0, from, to);

export interface Held {
	flags: Flag[];
	clocks: Clock[];
}

const bacteriaHolding_h = (card: Pick<MethodCard, 'holding'>, trip: Context['trip']): number =>
	Math.min(card.holding.bacteria_h, trip?.holding_h ?? Infinity);
const nutrientsHolding_h = ({ preservedWith }: BottleSheet, step: BottleStep | undefined): number =>
	nutrientHolding_h(preservedWith ?? step?.bottle.preserved ?? null);

/** Hours that a bottle keeps: by its card, its lab where that is stricter, and what is in it. */
export const keepsFor_h = (
	bottle: BottleSheet,
	step: BottleStep | undefined,
	card: Pick<MethodCard, 'holding'>,
	trip: Context['trip']
): number => (bottle.kind === 'bacteria' ? bacteriaHolding_h(card, trip) : nutrientsHolding_h(bottle, step));

/**
 * Bacteria are held until the last plate is poured. When that was, and nobody said, is asked about; it spoils nothing
 * by itself.
 */
export function heldBacteria(
	id: string,
	bottle: BottleSheet,
	sheet: BottleSheets,
	card: MethodCard,
	context: BottleContext
): Held {
	const none: Held = { flags: [], clocks: [] };
	if (bottle.filledAt === undefined) return none;
	const at = { path: `bottles/${id}`, parameter: 'e-coli' };
	const label = bottle.label ?? id;
	const filled_ms = Date.parse(bottle.filledAt);
	const limit_h = bacteriaHolding_h(card, context.trip);
	const { plated_ms, isSure, isKnown } = platedAt(id, bottle, sheet, context);
	const flags: Flag[] = [];
	const held_h = plated_ms === null ? null : heldFor_h(filled_ms, plated_ms);
	if (held_h !== null && held_h > limit_h) flags.push(doubt('held-too-long', at, { label, held_h, limit_h }));
	else if (isKnown && !isSure) flags.push(doubt('plating-unsaid', at, { label, limit_h }));
	const isRunningOut = !isKnown && context.now_ms > holdingTime(filled_ms, limit_h).last_ms;
	if (isRunningOut) flags.push(doubt('plating-unsaid', at, { label, limit_h }));
	const warmUntil_ms =
		bottle.onIceAt === undefined ? offIceUntil(bottle, plated_ms, context) : Date.parse(bottle.onIceAt);
	const warm_h = warmUntil_ms === null ? 0 : heldFor_h(filled_ms, warmUntil_ms);
	if (warm_h > card.holding.withoutIce_h) flags.push(doubt('not-on-ice', at, { label, after_h: warm_h }));
	if (isKnown) return { flags, clocks: [] };
	const { due_ms, last_ms, ...deadline } = labDeadline(filled_ms, limit_h, context.trip ?? null);
	return {
		flags,
		clocks: [{ id: at.path, kind: 'bacteria-holding', label, start_ms: filled_ms, due_ms, last_ms, deadline }]
	};
}

/** Until when a bottle that never went on ice stood warm, as far as anybody knows. */
function offIceUntil(bottle: BottleSheet, plated_ms: number | null, { now_ms }: BottleContext): number | null {
	if (plated_ms !== null) return plated_ms;
	return foundIn(bottle).length === 0 ? now_ms : null;
}

/**
 * When the last plate was poured, as far as anybody said. `isKnown`: the bottle is out of the crew's hands; `isSure`:
 * it was in time or not for sure.
 */
function platedAt(
	id: string,
	bottle: BottleSheet,
	{ plates }: BottleSheets,
	{ trip }: BottleContext
): { plated_ms: number | null; isSure: boolean; isKnown: boolean } {
	const poured = Object.values(plates ?? {}).flatMap((p) =>
		p.bottle === id && p.pouredAt !== undefined ? [Date.parse(p.pouredAt)] : []
	);
	const said = bottle.platedAt === undefined ? poured : [...poured, Date.parse(bottle.platedAt)];
	if (said.length > 0) return { plated_ms: Math.max(...said), isSure: true, isKnown: true };
	if (bottle.atLabAt !== undefined) {
		const door_ms = Date.parse(bottle.atLabAt);
		return trip
			? { plated_ms: door_ms + trip.bench_min * MINUTE_ms, isSure: true, isKnown: true }
			: { plated_ms: door_ms, isSure: false, isKnown: true };
	}
	return { plated_ms: null, isSure: false, isKnown: foundIn(bottle).length > 0 };
}

/** Nutrients keep as long as what is in the bottle lets them; cold, and until the lab has them. */
export function heldNutrients(id: string, bottle: BottleSheet, step: BottleStep | undefined): Held {
	if (bottle.filledAt === undefined || bottle.kind === undefined) return { flags: [], clocks: [] };
	const label = bottle.label ?? id;
	const start_ms = Date.parse(bottle.filledAt);
	const limit_h = nutrientsHolding_h(bottle, step);
	const { due_ms, last_ms } = holdingTime(start_ms, limit_h);
	if (bottle.atLabAt !== undefined) {
		const held_h = heldFor_h(start_ms, Date.parse(bottle.atLabAt));
		const isLate = held_h > limit_h;
		const at = { path: `bottles/${id}`, parameter: null };
		return { flags: isLate ? [doubt('held-too-long', at, { label, held_h, limit_h })] : [], clocks: [] };
	}
	if (foundIn(bottle).length > 0) return { flags: [], clocks: [] };
	return { flags: [], clocks: [{ id: `bottles/${id}`, kind: 'holding', label, start_ms, due_ms, last_ms }] };
}

/** What is in a bottle to keep it: what was said, or where only the time was noted, what its card asks for. */
export const preservedIn = (
	{ preservedWith, preservedAt }: Pick<BottleSheet, 'preservedWith' | 'preservedAt'>,
	step: BottleStep | undefined
): Preservative | null => preservedWith ?? (preservedAt === undefined ? null : (step?.bottle.preserved ?? null));

/** Figures that this bottle cannot give, for what was put in or for want of a filter. */
export function otherwiseKept(id: string, bottle: BottleSheet, step: BottleStep | undefined): Flag[] {
	const label = bottle.label ?? id;
	const preserved = preservedIn(bottle, step);
	return foundIn(bottle).flatMap(({ parameter, report }): Flag[] => {
		const at = { path: `bottles/${id}`, parameter };
		const because = whyNotFrom(parameter, preserved);
		if (because !== null)
			return [doubt('not-from-this-bottle', at, { label, parameter, with: preserved ?? 'nothing', because })];
		const rule = ruleFor(parameter);
		const late = rule ? heldBeforeAnalysis(rule, bottle.filledAt, report?.analysedOn) : null;
		if (late !== null) return [doubt('analysed-late', at, { label, parameter, ...late })];
		const within_min = rule?.filteredWithin_min;
		if (within_min === undefined || bottle.filledAt === undefined) return [];
		const after_min =
			bottle.filteredAt === undefined
				? null
				: (Date.parse(bottle.filteredAt) - Date.parse(bottle.filledAt)) / MINUTE_ms;
		if (after_min !== null && after_min <= within_min) return [];
		return [doubt('not-filtered', at, { label, parameter, after_min, within_min })];
	});
}
