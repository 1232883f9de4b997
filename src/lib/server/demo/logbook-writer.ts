import { tick, type Entry } from '../../core/logbook';
import type { MethodCard } from '../../core/method';
import type { Chance } from '../../core/statistics';
import { v7 } from 'uuid';
import type { DemoSite } from './catchment';
import type { DemoPerson } from './people';
import type { Truth } from './water-model';

const MINUTE_ms = 60_000;

export type Writer = DemoPerson & { id: string };

export interface VisitPlan {
	id: string;
	site: DemoSite & { id: string };
	cardVersion: { id: string; card: MethodCard };
	roundId: string;
	startedAt_ms: number;
	crew: readonly [Writer, Writer];
	kit: number;
	truth: Truth;
	/** How much the oxygen probe reads low, as a share. */
	oxygenDrift: number;
	/** Stop after this many minutes: a visit that is still going on. */
	stopAfter_min?: number;
	/** When they mean to be back, minutes after the visit began. */
	backAfter_min: number;
	/** Its nets and boots are entered as wet, to dry before they go elsewhere. */
	leavesGearWet?: boolean;
	incident?: 'ice' | 'depth-in-dm' | 'two-values' | 'late-to-lab';
}

/** Ids and clock readings for entries made at given minutes of a visit, from seeded chance. */
export function logbookWriter(plan: Pick<VisitPlan, 'id' | 'startedAt_ms'>, chance: Chance) {
	const entries: Entry[] = [];
	let last: string | null = null;
	const write = (
		by: Writer,
		minute: number,
		path: string,
		value: Entry['value'],
		more: Partial<Pick<Entry, 'op' | 'was'>> = {}
	): Entry => {
		const now_ms = Math.round(plan.startedAt_ms + minute * MINUTE_ms);
		last = tick(last, now_ms);
		const entry: Entry = {
			id: seededId(now_ms, chance),
			visitId: plan.id,
			at: last,
			by: by.id,
			device: `phone-${by.initials.toLowerCase()}`,
			path,
			op: 'set',
			value,
			was: null,
			...more
		};
		entries.push(entry);
		return entry;
	};
	return { entries, write };
}

export const seededId = (at_ms: number, chance: Chance): string =>
	v7({
		msecs: at_ms,
		seq: Math.floor(chance.uniform() * 2 ** 31),
		random: Uint8Array.from({ length: 16 }, () => Math.floor(chance.uniform() * 256))
	});
