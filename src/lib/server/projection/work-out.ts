import { setImmediate } from 'node:timers/promises';
import { evaluate, type Outcome } from '../../core/visit';
import { type Context } from '../../core/subjects/context';
import { fold, SKEW_WORTH_SAYING_ms } from '../../core/logbook';
import { doubt, type Flag } from '../../core/subjects/flags';
import type { VisitFacts } from './facts';

const MINUTE_ms = 60_000;

export interface Worked {
	visit: VisitFacts;
	outcome: Outcome;
}

const AT_ONCE_ms = 5;
/**
 * What follows from the entries of visits, before it is held against the history of their sites. Other work, and what
 * is on its way to the database, gets its turn in between.
 */
export async function workedOut(facts: readonly VisitFacts[], now_ms: number): Promise<Worked[]> {
	const worked: Worked[] = [];
	let since_ms = performance.now();
	for (const visit of facts) {
		worked.push({ visit, outcome: outcomeOf(visit, null, now_ms) });
		if (performance.now() - since_ms < AT_ONCE_ms) continue;
		await setImmediate();
		since_ms = performance.now();
	}
	return worked;
}

/** A visit's outcome as the server sees it: what `evaluate` says, and doubts about the clocks of the devices. */
export function outcomeOf(visit: VisitFacts, usual: Context['site']['usual'], now_ms: number): Outcome {
	const context: Context = {
		now_ms,
		timeZone: visit.timeZone,
		site: {
			code: visit.siteCode,
			elevation_m: visit.elevation_m,
			latitude: visit.latitude,
			wadingDepth_m: visit.wadingDepth_m,
			usual
		},
		instruments: visit.instruments,
		animals: visit.animals,
		trip: visit.trip,
		labelsElsewhere: visit.labelsElsewhere,
		duplicatesBefore: visit.duplicatesBefore,
		blanksBefore: visit.blanksBefore,
		reportTo: visit.reportTo
	};
	const outcome = evaluate(fold(visit.entries), visit.card, context);
	return { ...outcome, flags: [...outcome.flags, ...skewFlags(visit)] };
}

const skewFlags = ({ skew_ms }: VisitFacts): Flag[] =>
	Object.entries(skew_ms)
		.filter(([, skew]) => Math.abs(skew) > SKEW_WORTH_SAYING_ms)
		.map(([device, skew]) =>
			doubt('clock-skew', { path: 'opening', parameter: null }, { device, minutes: Math.round(skew / MINUTE_ms) })
		);
