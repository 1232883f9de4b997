import { exampleThresholds } from '../../core/library';
import { streamVisit, streamVisit1 } from '../../core/method';
import { seeded, type Chance } from '../../core/statistics';
import type { Member } from '../access';
import type { Db } from '../db/connect';
import {
	calibration,
	instrument,
	logbookTip,
	member,
	methodCard,
	methodCardVersion,
	program,
	site,
	stream,
	team,
	threshold
} from '../db/schema';
import { siteNotes, sites, streams, type DemoSite } from './catchment';
import { instruments, kitOf } from './instruments';
import { seededId, type VisitPlan, type Writer } from './logbook-writer';
import { people } from './people';
import { dateIn, placesAndCircuits, seasonOf } from './plan';
import { FORGOTTEN_PROBE_days, roundDays, SECOND_VERSION_days, teams, type Team } from './season';

const MINUTE_ms = 60_000;
const HOUR_ms = 60 * MINUTE_ms;
const DAY_ms = 24 * HOUR_ms;
export const SEED = 20_260_514;

/** Who and what the demo's visits are made with. */
export interface Cast {
	programId: string;
	writers: Map<string, Writer & { member: Member }>;
	sites: (DemoSite & { id: string })[];
	cards: { id: string; card: VisitPlan['cardVersion']['card'] }[];
	teamIds: Record<Team, string>;
	circuitIds: Record<Team, string>;
	chance: Chance;
	now_ms: number;
}

/** A round leaves at 08:40; today's was timed so that its second visit is going on now. */
export const roundStart = (now_ms: number, daysAgo: number): number =>
	daysAgo === 0
		? now_ms - 130 * MINUTE_ms
		: Math.floor((now_ms - daysAgo * DAY_ms) / DAY_ms) * DAY_ms + 8 * HOUR_ms + 40 * MINUTE_ms;

const notesOf = (code: string, now_ms: number) => {
	const { permissionUntil_days, ...notes } = siteNotes[code] ?? {};
	return {
		...notes,
		...(permissionUntil_days === undefined ? {} : { permissionUntil: dateIn(now_ms, permissionUntil_days) })
	};
};

interface Setting {
	tx: Db;
	programId: string;
	/** Ids in the order in which they are asked for: the same demo has the same ids. */
	id: () => string;
	now_ms: number;
}

export async function referenceData(tx: Db, userIds: Map<string, string>, now_ms: number): Promise<Cast> {
	const chance = seeded(SEED);
	const id = () => seededId(now_ms - 1200 * DAY_ms, chance);
	const setting: Setting = { tx, programId: id(), id, now_ms };
	const { programId } = setting;
	await beginProgram(setting);
	const { teamIds, writers } = await teamsAndPeople(setting, userIds);
	const { streamIds, placed } = await streamsAndSites(setting);
	const { cardId, cards } = await methodCards(setting);
	const circuitIds = await placesAndCircuits(tx, {
		programId,
		newId: id,
		sites: placed,
		streamIds,
		teamIds,
		cardId,
		now_ms
	});
	await calibratedInstruments(setting, writers.get('OT')!.id);
	return { programId, writers, sites: placed, cards, teamIds, circuitIds, chance, now_ms };
}

async function beginProgram({ tx, programId, now_ms }: Setting): Promise<void> {
	await tx.insert(program).values({
		id: programId,
		code: 'tessel',
		name: 'Tessel Stream Watch',
		timeZone: 'Etc/UTC',
		settings: { season: seasonOf(now_ms), reportTo: 'the coordinator, by telephone, at once' },
		isDemo: true
	});
	await tx.insert(logbookTip).values({ programId });
	const chance = seeded(SEED + 1); // of its own: what is put on this shelf changes nothing else
	await tx
		.insert(threshold)
		.values(exampleThresholds.map((row) => ({ ...row, programId, id: seededId(now_ms - 1200 * DAY_ms, chance) })));
}

async function teamsAndPeople(
	{ tx, programId, id, now_ms }: Setting,
	userIds: Map<string, string>
): Promise<Pick<Cast, 'teamIds' | 'writers'>> {
	const teamIds = Object.fromEntries(teams.map((name) => [name, id()])) as Record<Team, string>;
	await tx.insert(team).values(teams.map((name) => ({ programId, id: teamIds[name], name })));
	const members = people.map((p) => ({
		programId,
		id: id(),
		userId: userIds.get(p.initials)!,
		role: p.role,
		alsoRoles: [],
		name: p.name,
		initials: p.initials,
		teamId: p.team ? teamIds[p.team] : null,
		skills: p.skills ?? [],
		trainedUntil: p.trainedFor_days === undefined ? null : dateIn(now_ms, p.trainedFor_days),
		away: p.away ? [{ from: dateIn(now_ms, p.away[0]), to: dateIn(now_ms, p.away[1]) }] : [],
		removedAt: null
	}));
	await tx.insert(member).values(members);
	const writers = new Map(people.map((p, i) => [p.initials, { ...p, id: members[i]!.id, member: members[i]! }]));
	return { teamIds, writers };
}

async function streamsAndSites({
	tx,
	programId,
	id,
	now_ms
}: Setting): Promise<{ streamIds: Map<string, string>; placed: Cast['sites'] }> {
	const streamIds = new Map(streams.map((s) => [s.name, id()]));
	await tx.insert(stream).values(
		streams.map((s) => ({
			programId,
			id: streamIds.get(s.name)!,
			name: s.name,
			length_km: s.length_km,
			joinsStreamId: s.joins ? streamIds.get(s.joins.stream)! : null,
			joinsAt_km: s.joins?.at_km ?? null
		}))
	);
	const placed = sites.map((s) => ({ ...s, id: id() }));
	await tx.insert(site).values(
		placed.map((s, i) => ({
			programId,
			id: s.id,
			streamId: streamIds.get(s.stream)!,
			code: s.code,
			name: s.name,
			about: s.about,
			hazards: s.hazards,
			river_km: s.river_km,
			elevation_m: s.elevation_m,
			...notesOf(s.code, now_ms),
			latitude: 48.4 - 0.011 * i,
			longitude: -27.3 + 0.008 * (i % 4)
		}))
	);
	return { streamIds, placed };
}

/** Both versions of the card: trained crews, for whom depth and speed together decide. */
async function methodCards({ tx, programId, id, now_ms }: Setting): Promise<{ cardId: string; cards: Cast['cards'] }> {
	const cardId = id();
	await tx.insert(methodCard).values({ programId, id: cardId, code: streamVisit.code });
	const cards = [streamVisit1, streamVisit].map((card) => ({
		id: id(),
		card: { ...card, wading: { school: 'product' as const, product_m2_s: 0.6 } }
	}));
	await tx.insert(methodCardVersion).values(
		cards.map(({ id: versionId, card }, i) => ({
			programId,
			id: versionId,
			cardId,
			version: card.version,
			body: card,
			inUseSince: new Date(now_ms - [1200, SECOND_VERSION_days][i]! * DAY_ms)
		}))
	);
	return { cardId, cards };
}

/** Instruments, calibrated before each round of the team that carries them; one probe has been forgotten. */
async function calibratedInstruments({ tx, programId, id, now_ms }: Setting, byMemberId: string): Promise<void> {
	for (const tool of instruments) {
		const instrumentId = id();
		await tx.insert(instrument).values({
			programId,
			id: instrumentId,
			code: tool.code,
			kind: tool.kind,
			serialNumber: tool.serialNumber,
			measures: tool.measures,
			batteryChangedAt: tool.code === 'M-3' ? new Date(now_ms - 3 * DAY_ms) : null
		});
		const days = teams.filter((t) => tool.code.endsWith(`-${kitOf[t]}`)).flatMap((t) => roundDays(t, now_ms));
		const isDone = (parameter: string, ago: number) =>
			tool.calibrated !== 'forgotten' || parameter !== 'dissolved-oxygen' || ago >= FORGOTTEN_PROBE_days;
		const rows = Object.entries(tool.measures).flatMap(([parameter, m]) => {
			if (m?.calibrationDays === undefined) return [];
			return days
				.filter((ago) => isDone(parameter, ago))
				.map((ago) => ({
					programId,
					id: id(),
					instrumentId,
					parameter,
					at: new Date(roundStart(now_ms, ago) - 50 * MINUTE_ms),
					byMemberId,
					passed: true,
					note: ''
				}));
		});
		if (rows.length) await tx.insert(calibration).values(rows);
	}
}
