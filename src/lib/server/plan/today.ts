import { asc, eq, inArray } from 'drizzle-orm';
import { agenda, concerning, type Item, type ProgramFacts } from '../../core/schedule';
import { can, readScope, rolesOf } from '../access';
import type { Db } from '../db/connect';
import type { Membership } from '../db/queries/members';
import { programFacts } from '../db/queries/program-facts';
import { consumable, site, visit } from '../db/schema';
import { dayNumber, dayOfDate, instantAt } from './local-day';
import { samplerTasksOf } from './season';
import { openStorm, rainLately, type RainLately } from './storm';

/** What is due today, and the facts it follows from. */
export interface Today {
	facts: ProgramFacts;
	/** What concerns this person, what is lost next first. */
	items: Item[];
	/** Visits among the items that this person may open. */
	openable: ReadonlySet<string>;
}

export async function todayFor(db: Db, who: Membership, now_ms: number): Promise<Today> {
	const [known, rain, consumables] = await Promise.all([
		programFacts(db, who.programId, now_ms),
		rainLately(db, who, now_ms),
		consumableFacts(db, who)
	]);
	const storms = rain.storms.map((s) => s.day);
	const facts: ProgramFacts = {
		...known,
		consumables,
		samplers: await samplerFacts(db, who, storms),
		storm: stormFacts(rain, known.rounds, who, now_ms)
	};
	const openable = await openableIn(db, who, facts);
	const own = readScope(who) === 'own' ? ownPart(facts, who, openable) : facts;
	// of another team’s visit one is told when nobody heard from it: whoever goes out can look for them
	const items = agenda(own, now_ms).filter((i) => i.kind !== 'open-visit' || i.isOverdue || openable.has(i.visitId));
	return { facts, items: concerning(items, rolesOf(who)), openable };
}

/** The last moment of a day, which still reads as that day. */
const endOf = (day: number, { program: { timeZone } }: Membership) => instantAt(day + 1, 0, timeZone) - 1;

async function consumableFacts(db: Db, who: Membership): Promise<ProgramFacts['consumables']> {
	const rows = await db
		.select()
		.from(consumable)
		.where(eq(consumable.programId, who.programId))
		.orderBy(asc(consumable.what));
	return rows.map(({ what, lot, expiresOn }) => ({ what, lot, expires_ms: endOf(dayOfDate(expiresOn), who) }));
}

async function samplerFacts(db: Db, who: Membership, storms: readonly number[]): Promise<ProgramFacts['samplers']> {
	const tasks = await samplerTasksOf(db, who.programId, storms);
	if (tasks.length === 0) return [];
	const sites = await db
		.select({ id: site.id, name: site.name })
		.from(site)
		.where(inArray(site.id, [...new Set(tasks.map((t) => t.siteId))]));
	const nameOf = new Map(sites.map((s) => [s.id, s.name]));
	return tasks.map(({ samplerId, siteId, what, earliest, latest }) => ({
		label: samplerId,
		site: nameOf.get(siteId) ?? '',
		what,
		from_ms: instantAt(earliest, 0, who.program.timeZone),
		last_ms: endOf(latest, who)
	}));
}

/** The storm after which a round can still go, while none is planned. */
function stormFacts(
	rain: RainLately,
	rounds: Awaited<ReturnType<typeof programFacts>>['rounds'],
	who: Membership,
	now_ms: number
): ProgramFacts['storm'] {
	const { timeZone } = who.program;
	const open = openStorm(rain, dayNumber(now_ms, timeZone));
	if (!open) return null;
	const { storm, last_day } = open;
	if (rounds.some((r) => r.isStorm && r.starts_ms >= instantAt(storm.day, 0, timeZone))) return null;
	return {
		at_ms: endOf(storm.day, who),
		rain_mm: storm.rain_mm,
		last_ms: endOf(last_day, who),
		isSimulated: rain.gauge?.isSimulated ?? false
	};
}

async function openableIn(db: Db, who: Membership, facts: ProgramFacts): Promise<Set<string>> {
	const ids = [...new Set([...facts.clocks, ...facts.openVisits, ...facts.conflicts].map((f) => f.visitId))];
	if (ids.length === 0) return new Set();
	const rows = await db
		.select({ id: visit.id, teamId: visit.teamId, openedBy: visit.openedBy })
		.from(visit)
		.where(inArray(visit.id, ids));
	return new Set(rows.filter((v) => can(who, 'see-visit', { visit: v })).map((v) => v.id));
}

/** What is a monitor's own: the team's visits and rounds, sites they go to or nobody does; whoever is overdue. */
function ownPart(facts: ProgramFacts, who: Membership, openable: ReadonlySet<string>): ProgramFacts {
	const isOwn = ({ visitId }: { visitId: string }) => openable.has(visitId);
	const rounds = facts.rounds.filter((round) => can(who, 'see-round', { round }));
	const others = new Set(facts.rounds.filter((r) => !rounds.includes(r)).flatMap((r) => r.sites));
	return {
		...facts,
		clocks: facts.clocks.filter(isOwn),
		conflicts: facts.conflicts.filter(isOwn),
		rounds,
		sites: facts.sites.filter((s) => !others.has(s.code))
	};
}
