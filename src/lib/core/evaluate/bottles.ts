import { heldFor_h, holdingTime } from '../custody';
import type { MethodCard } from '../method';
import type { Sheet } from '../logbook';
import type { Flag } from '../quality';
import { parameters, figureIn, type Figure, type ParameterCode } from '../quantity';
import type { Context } from './context';
import type { RunningClock } from './outcome';
import type { Finding } from './outcome';

/** The clocks of filled bottles, doubts about how they were held, and what the lab found in them. */
export function bottleFindings(sheet: Sheet, card: MethodCard, context: Context): { findings: Finding[]; flags: Flag[]; clocks: RunningClock[] } {
	const findings: Finding[] = [];
	const flags: Flag[] = [];
	const clocks: RunningClock[] = [];
	for (const [id, bottle] of Object.entries(sheet.bottles ?? {})) {
		const label = bottle.label ?? id;
		const path = `bottles/${id}`;
		if (bottle.kind === 'bacteria' && bottle.filledAt !== undefined) {
			const filledAt_ms = Date.parse(bottle.filledAt);
			const limit_h = card.holding.bacteria_h;
			const handedOver_ms = bottle.atLabAt === undefined ? lastPoured_ms(sheet, id) : Date.parse(bottle.atLabAt);
			const ended_ms = handedOver_ms ?? context.now_ms;
			const held_h = heldFor_h(filledAt_ms, ended_ms);
			if (held_h > limit_h) flags.push({ code: 'held-too-long', path, parameter: 'e-coli', evidence: { label, held_h, limit_h } });
			const warm_h = heldFor_h(filledAt_ms, bottle.onIceAt === undefined ? ended_ms : Date.parse(bottle.onIceAt));
			if (warm_h > card.holding.withoutIce_h) flags.push({ code: 'not-on-ice', path, parameter: 'e-coli', evidence: { label, after_h: warm_h } });
			if (handedOver_ms === null) {
				const { due_ms, last_ms } = holdingTime(filledAt_ms, limit_h);
				clocks.push({ id: path, kind: 'bacteria-holding', label, start_ms: filledAt_ms, due_ms, last_ms });
			}
		}
		// a blank says nothing of the stream, and a duplicate stands beside its partner
		if (bottle.role !== undefined && bottle.role !== 'routine') continue;
		for (const [code, found] of Object.entries(bottle.results ?? {}) as [ParameterCode, Figure][]) {
			const figure = figureIn(found, parameters[code].unit);
			findings.push({ parameter: code, figure, uncertainty: null, readings: 1, source: 'lab', basis: `lab, bottle ${label}`, working: null });
		}
	}
	return { findings, flags, clocks };
}

/** When the last of a bottle's plates was poured by the crew's own bench; null where none was. */
function lastPoured_ms({ plates }: Sheet, bottle: string): number | null {
	const poured = Object.values(plates ?? {}).flatMap((p) => (p.bottle === bottle && p.pouredAt !== undefined ? [Date.parse(p.pouredAt)] : []));
	return poured.length === 0 ? null : Math.max(...poured);
}
