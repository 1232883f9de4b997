import type { LabDeadline } from '../custody';
import { nextGrab, type GrabSpacing, type GrabWindow } from './spacing';

/** What is known of a program at a moment, from which everything that is due follows. Instants in ms since 1970. */
export interface ProgramFacts {
	/** What is running somewhere: bottles to be plated, plates to be read, gear to dry. */
	clocks: {
		kind: string;
		visitId: string;
		label: string;
		site: string;
		start_ms: number;
		due_ms: number;
		last_ms: number;
		/** What sets a bottle's last moment; null where nothing was said. */
		deadline: Pick<LabDeadline, 'because' | 'lab' | 'first' | 'isShut'> | null;
	}[];
	openVisits: {
		visitId: string;
		site: string;
		crew: string[];
		done: number;
		asked: number;
		started_ms: number;
		/** When anything was last heard of it. */
		heard_ms: number;
		/** Who waits for them, and from when on that person asks; null where nobody said. */
		waits: string | null;
		back_ms: number | null;
		isOnPaper: boolean;
	}[];
	/** Hours after which a visit of which nothing is heard counts as overdue. */
	overdue_h: number;
	/** `spacing`: of the circuit that the site is on; the usual one where it is on none. */
	sites: { code: string; name: string; lastGrab_ms: number | null; spacing?: GrabSpacing | undefined }[];
	rounds: {
		id: string;
		name: string;
		starts_ms: number;
		sites: string[];
		teamId: string;
		crewIds: string[];
		isStorm: boolean;
	}[];
	waiting: { results: number; visits: number; oldest_ms: number | null };
	conflicts: { visitId: string; site: string }[];
	calibrations: {
		instrument: string;
		parameter: string;
		last_ms: number | null;
		limit_days: number;
		lastUsed_ms: number;
	}[];
	/** What has a date on its pack. */
	consumables: { what: string; lot: string; expires_ms: number }[];
	/** What stands in the stream and is to be looked at or lifted, between two moments. */
	samplers: { label: string; site: string; what: 'look' | 'lift'; from_ms: number; last_ms: number }[];
	/** A storm after which a round may still go and none is planned. */
	storm: { at_ms: number; rain_mm: number; last_ms: number; isSimulated: boolean } | null;
}

export type Item = { when: 'late' | 'now' | 'later'; at_ms: number } & (
	| ({ kind: 'bottle' | 'plate' | 'tubes' | 'fixed' | 'gear'; isForBacteria: boolean } & Omit<
			ProgramFacts['clocks'][number],
			'kind'
	  >)
	| ({ kind: 'open-visit'; isOverdue: boolean } & ProgramFacts['openVisits'][number])
	| { kind: 'grab'; code: string; name: string; window: GrabWindow; round: { name: string; starts_ms: number } | null }
	| ({ kind: 'round' } & ProgramFacts['rounds'][number])
	| ({ kind: 'review' } & ProgramFacts['waiting'])
	| ({ kind: 'conflict' } & ProgramFacts['conflicts'][number])
	| ({ kind: 'calibration'; days: number | null } & ProgramFacts['calibrations'][number])
	| ({ kind: 'consumable'; isExpired: boolean } & ProgramFacts['consumables'][number])
	| ({ kind: 'sampler' } & ProgramFacts['samplers'][number])
	| ({ kind: 'storm' } & Omit<NonNullable<ProgramFacts['storm']>, 'at_ms'> & { fell_ms: number })
);

const DAY_ms = 86_400_000;
const HOUR_ms = 3_600_000;
const REVIEW_WITHIN_days = 21;
const IN_USE_days = 45;
const SAID_BEFORE_days = 14;
const LAST = 9;

/**
 * What is lost when it is missed, and cannot be done again: a person before a sample before all that only grows late.
 */
function wouldBeLost(item: Item, now_ms: number): number {
	if (item.kind === 'open-visit' && item.isOverdue) return 0;
	const isAtTheBench = item.kind === 'plate' || item.kind === 'tubes' || item.kind === 'fixed';
	const isLosing = isAtTheBench || item.kind === 'bottle' || item.kind === 'sampler' || item.kind === 'storm';
	return isLosing && item.last_ms >= now_ms ? 1 : 2;
}

/** Everything that is due, what is lost next first; then what is late, what is now, and what is to come. */
export function agenda(facts: ProgramFacts, now_ms: number): Item[] {
	const items: Item[] = [
		...facts.clocks.flatMap((clock) => running(clock, now_ms)),
		...facts.openVisits.map((v): Item => {
			const isOverdue = !v.isOnPaper && now_ms > (v.back_ms ?? v.heard_ms + facts.overdue_h * HOUR_ms);
			return {
				kind: 'open-visit',
				when: isOverdue ? 'late' : 'now',
				at_ms: isOverdue ? -Infinity : v.started_ms,
				isOverdue,
				...v
			};
		}),
		...grabs(facts, now_ms),
		...facts.rounds
			.filter((r) => r.starts_ms > now_ms)
			.map((r): Item => ({ kind: 'round', when: 'later', at_ms: r.starts_ms, ...r })),
		...reviews(facts.waiting, now_ms),
		...facts.conflicts.map((c): Item => ({ kind: 'conflict', when: 'now', at_ms: now_ms + DAY_ms, ...c })),
		...calibrations(facts, now_ms),
		...expiring(facts, now_ms),
		...atSamplers(facts, now_ms),
		...afterRain(facts.storm)
	];
	const rank = { late: 0, now: 1, later: 2 };
	const order = (i: Item) => (i.when === 'later' ? LAST : wouldBeLost(i, now_ms));
	return items.sort((a, b) => order(a) - order(b) || rank[a.when] - rank[b.when] || a.at_ms - b.at_ms);
}

const kindOf: Record<string, 'bottle' | 'plate' | 'tubes' | 'fixed' | 'gear'> = {
	'bacteria-holding': 'bottle',
	holding: 'bottle',
	incubation: 'plate',
	tubes: 'tubes',
	fixed: 'fixed',
	drying: 'gear'
};

/** A bottle runs out from the start; a plate and wet gear can wait until their time has come. */
function running({ kind, ...clock }: ProgramFacts['clocks'][number], now_ms: number): Item[] {
	const what = kindOf[kind];
	const isForBacteria = kind === 'bacteria-holding';
	if (!what || (what === 'fixed' && now_ms - clock.last_ms > DAY_ms)) return []; // what nobody titrated is past saving
	const inTime = what === 'bottle' || clock.due_ms <= now_ms ? 'now' : 'later';
	const when = clock.last_ms < now_ms ? 'late' : inTime;
	return [
		{
			kind: what,
			when: what === 'gear' && when === 'late' ? 'now' : when,
			at_ms: when === 'later' ? clock.due_ms : clock.last_ms,
			isForBacteria,
			...clock
		}
	];
}

function grabs({ sites, rounds, openVisits }: ProgramFacts, now_ms: number): Item[] {
	const someoneIsAt = new Set(openVisits.map((v) => v.site));
	const nextRound = new Map<string, ProgramFacts['rounds'][number]>();
	for (const round of [...rounds].sort((a, b) => b.starts_ms - a.starts_ms))
		if (round.starts_ms > now_ms - 12 * HOUR_ms) for (const code of round.sites) nextRound.set(code, round);
	return sites.flatMap(({ code, name, lastGrab_ms, spacing }): Item[] => {
		if (lastGrab_ms === null || someoneIsAt.has(name)) return [];
		const window = nextGrab(lastGrab_ms, now_ms, spacing);
		if (window.state !== 'due' && window.state !== 'late') return [];
		const round = nextRound.get(code);
		return [
			{
				kind: 'grab',
				when: window.state === 'late' ? 'late' : 'now',
				at_ms: window.last_ms,
				code,
				name,
				window,
				round: round ? { name: round.name, starts_ms: round.starts_ms } : null
			}
		];
	});
}

function reviews(waiting: ProgramFacts['waiting'], now_ms: number): Item[] {
	if (waiting.visits === 0) return [];
	const oldest = waiting.oldest_ms ?? now_ms;
	return [
		{
			kind: 'review',
			when: now_ms - oldest > REVIEW_WITHIN_days * DAY_ms ? 'late' : 'now',
			at_ms: oldest + REVIEW_WITHIN_days * DAY_ms,
			...waiting
		}
	];
}

/** An instrument that is in use and whose calibration has run out. */
function calibrations({ calibrations: all }: ProgramFacts, now_ms: number): Item[] {
	return all.flatMap((c): Item[] => {
		if (now_ms - c.lastUsed_ms > IN_USE_days * DAY_ms) return [];
		const days = c.last_ms === null ? null : Math.floor((c.lastUsed_ms - c.last_ms) / DAY_ms);
		if (days !== null && days <= c.limit_days) return [];
		return [{ kind: 'calibration', when: 'late', at_ms: (c.last_ms ?? now_ms) + c.limit_days * DAY_ms, days, ...c }];
	});
}

/** What has passed the date on its pack, and what will before a new one is easily got. */
const expiring = ({ consumables }: ProgramFacts, now_ms: number): Item[] =>
	consumables.flatMap((c): Item[] => {
		const isExpired = c.expires_ms <= now_ms;
		if (c.expires_ms > now_ms + SAID_BEFORE_days * DAY_ms) return [];
		return [{ kind: 'consumable', when: isExpired ? 'late' : 'now', at_ms: c.expires_ms, isExpired, ...c }];
	});

/** What stands in the stream: said from its first day on, and a week before. */
const atSamplers = ({ samplers }: ProgramFacts, now_ms: number): Item[] =>
	samplers.flatMap((s): Item[] => {
		if (s.from_ms > now_ms + 7 * DAY_ms) return [];
		const inTime = s.from_ms <= now_ms ? 'now' : 'later';
		const when = s.last_ms < now_ms ? 'late' : inTime;
		return [{ kind: 'sampler', when, at_ms: when === 'later' ? s.from_ms : s.last_ms, ...s }];
	});

const afterRain = (storm: ProgramFacts['storm']): Item[] =>
	storm === null ? [] : [{ ...storm, kind: 'storm', when: 'now', fell_ms: storm.at_ms, at_ms: storm.last_ms }];
