import { analysisRules, heldFor_h, holdingTime, labDeadline, nutrientHolding_h, whyNotFrom } from '../custody';
import type { MethodCard } from '../method';
import type { Sheet } from '../logbook';
import type { Flag } from '../quality';
import { figureIn, isFromStandIn, parameters, type Figure, type ParameterCode } from '../quantity';
import type { Context } from './context';
import { finding } from './finding';
import type { Finding, RunningClock } from './outcome';

type BottleSheet = NonNullable<Sheet['bottles']>[string];
type BottleStep = Extract<MethodCard['steps'][number], { tool: 'bottle' }>;
const MINUTE_ms = 60_000;

/** The clocks of filled bottles, doubts about how they were held, and what the lab found in them. */
export function bottleFindings(
	sheet: Sheet,
	card: MethodCard,
	context: Context
): { findings: Finding[]; flags: Flag[]; clocks: RunningClock[] } {
	const all = Object.entries(sheet.bottles ?? {}).map(([id, bottle]) => {
		const step = card.steps.find(
			(s): s is BottleStep => s.tool === 'bottle' && (s.bottle.id === id || id.startsWith(`${s.bottle.id}-`))
		);
		const held =
			bottle.kind === 'bacteria' ? heldBacteria(id, bottle, sheet, card, context) : heldNutrients(id, bottle, step);
		// a blank says nothing of the stream, and a duplicate stands beside its partner
		const isRoutine = bottle.role === undefined || bottle.role === 'routine';
		return {
			...held,
			flags: [...held.flags, ...otherwiseKept(id, bottle, step)],
			findings: isRoutine ? labFindings(id, bottle) : []
		};
	});
	return {
		findings: all.flatMap((b) => b.findings),
		flags: all.flatMap((b) => b.flags),
		clocks: all.flatMap((b) => b.clocks)
	};
}

function labFindings(id: string, bottle: BottleSheet): Finding[] {
	return (Object.entries(bottle.results ?? {}) as [ParameterCode, Figure][]).map(([parameter, found]) =>
		finding({
			parameter,
			way: 'lab',
			figure: figureIn(found, parameters[parameter].unit),
			uncertainty: null,
			readings: 1,
			source: 'lab',
			basis: `lab, bottle ${bottle.label ?? id}`,
			working: null,
			place: `bottles/${id}`,
			isSimulated: isFromStandIn(found)
		})
	);
}

interface Held {
	flags: Flag[];
	clocks: RunningClock[];
}

/** Bacteria are held until the last plate is poured. When that was, and nobody said, is asked about; it spoils nothing by itself. */
function heldBacteria(id: string, bottle: BottleSheet, sheet: Sheet, card: MethodCard, context: Context): Held {
	const none: Held = { flags: [], clocks: [] };
	if (bottle.filledAt === undefined) return none;
	const at = { path: `bottles/${id}`, parameter: 'e-coli' };
	const label = bottle.label ?? id;
	const filled_ms = Date.parse(bottle.filledAt);
	const limit_h = Math.min(card.holding.bacteria_h, context.trip?.holding_h ?? Infinity);
	const { plated_ms, isSure, isKnown } = platedAt(id, bottle, sheet, context);
	const flags: Flag[] = [];
	const held_h = plated_ms === null ? null : heldFor_h(filled_ms, plated_ms);
	if (held_h !== null && held_h > limit_h)
		flags.push({ ...at, code: 'held-too-long', evidence: { label, held_h, limit_h } });
	else if (isKnown && !isSure) flags.push({ ...at, code: 'plating-unsaid', evidence: { label, limit_h } });
	const isRunningOut = !isKnown && context.now_ms > holdingTime(filled_ms, limit_h).last_ms;
	if (isRunningOut) flags.push({ ...at, code: 'plating-unsaid', evidence: { label, limit_h } });
	const warmUntil_ms =
		bottle.onIceAt === undefined
			? (plated_ms ?? (bottle.results === undefined ? context.now_ms : null))
			: Date.parse(bottle.onIceAt);
	const warm_h = warmUntil_ms === null ? 0 : heldFor_h(filled_ms, warmUntil_ms);
	if (warm_h > card.holding.withoutIce_h)
		flags.push({ ...at, code: 'not-on-ice', evidence: { label, after_h: warm_h } });
	if (isKnown) return { flags, clocks: [] };
	const { due_ms, last_ms, ...deadline } = labDeadline(filled_ms, limit_h, context.trip ?? null);
	return {
		flags,
		clocks: [{ id: at.path, kind: 'bacteria-holding', label, start_ms: filled_ms, due_ms, last_ms, deadline }]
	};
}

/** When the last plate was poured, as far as anybody said. `isKnown`: the bottle is out of the crew's hands; `isSure`: it was in time or not for sure. */
function platedAt(
	id: string,
	bottle: BottleSheet,
	{ plates }: Sheet,
	{ trip }: Context
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
	return { plated_ms: null, isSure: false, isKnown: Object.keys(bottle.results ?? {}).length > 0 };
}

/** Nutrients keep as long as what is in the bottle lets them; cold, and until the lab has them. */
function heldNutrients(id: string, bottle: BottleSheet, step: BottleStep | undefined): Held {
	if (bottle.filledAt === undefined || bottle.kind === undefined) return { flags: [], clocks: [] };
	const label = bottle.label ?? id;
	const start_ms = Date.parse(bottle.filledAt);
	const limit_h = nutrientHolding_h(bottle.preservedWith ?? step?.bottle.preserved ?? null);
	const { due_ms, last_ms } = holdingTime(start_ms, limit_h);
	if (bottle.atLabAt !== undefined) {
		const held_h = heldFor_h(start_ms, Date.parse(bottle.atLabAt));
		return {
			flags:
				held_h > limit_h
					? [{ code: 'held-too-long', path: `bottles/${id}`, parameter: null, evidence: { label, held_h, limit_h } }]
					: [],
			clocks: []
		};
	}
	if (Object.keys(bottle.results ?? {}).length > 0) return { flags: [], clocks: [] };
	return { flags: [], clocks: [{ id: `bottles/${id}`, kind: 'holding', label, start_ms, due_ms, last_ms }] };
}

/** Figures that this bottle cannot give, for what was put in or for want of a filter. */
function otherwiseKept(id: string, bottle: BottleSheet, step: BottleStep | undefined): Flag[] {
	const label = bottle.label ?? id;
	const path = `bottles/${id}`;
	const preserved =
		bottle.preservedWith ?? (bottle.preservedAt === undefined ? null : (step?.bottle.preserved ?? null));
	return (Object.keys(bottle.results ?? {}) as ParameterCode[]).flatMap((parameter): Flag[] => {
		const name = parameters[parameter].name;
		const because = whyNotFrom(parameter, preserved);
		if (because !== null)
			return [
				{
					code: 'not-from-this-bottle',
					path,
					parameter,
					evidence: { label, parameter: name, with: preserved ?? 'nothing', because }
				}
			];
		const within_min = analysisRules[parameter]?.filteredWithin_min;
		if (within_min === undefined || bottle.filledAt === undefined) return [];
		const after_min =
			bottle.filteredAt === undefined
				? null
				: (Date.parse(bottle.filteredAt) - Date.parse(bottle.filledAt)) / MINUTE_ms;
		if (after_min !== null && after_min <= within_min) return [];
		return [{ code: 'not-filtered', path, parameter, evidence: { label, parameter: name, after_min, within_min } }];
	});
}
