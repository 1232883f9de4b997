import { and, eq, inArray, isNull } from 'drizzle-orm';
import type { Db } from '../db/connect';
import type { Membership } from '../db/queries/members';
import { member, place, round, site } from '../db/schema';
import type { Changed, RoundChange } from './asked-change';
import { dayNumber, instantAt, minuteOfDay } from './local-day';
import { hasBegun, note, roundKey, takeOff, type RoundRow } from './kept-round';

/** What a change makes of a round, and how it is said; or why it cannot be made. */
type After = { after: Partial<RoundRow>; said: string } | { why: string };

const REFUSED = 'This date was refused and keeps its place. Lift the refusal, or plan another.';

/** Changes one round that has not begun, with its line in the audit. */
export async function changeRound(tx: Db, who: Membership, change: RoundChange, now_ms: number): Promise<Changed> {
	const { programId } = who;
	const key = roundKey(programId, change.roundId);
	const [there] = await tx.select().from(round).where(key).for('update');
	if (!there) return { ok: false, why: 'There is no such round any more.' };
	if (await hasBegun(tx, programId, there.id))
		return { ok: false, why: 'This round has begun: its visits stand in the logbook.' };
	if (there.refusedBecause !== null && change.change !== 'lift') return { ok: false, why: REFUSED };
	if (change.change === 'remove') {
		await takeOff(tx, programId, there.id);
		return { ok: true, said: `${there.name} is taken off.`, audited: [await note(tx, who, there, null, now_ms)] };
	}
	const done = await afterChange(tx, who, there, change, now_ms);
	if ('why' in done) return { ok: false, why: done.why };
	await tx.update(round).set(done.after).where(key);
	const audited = await note(tx, who, there, { ...there, ...done.after }, now_ms);
	return { ok: true, said: done.said, audited: [audited] };
}

async function afterChange(
	tx: Db,
	who: Membership,
	there: RoundRow,
	change: Exclude<RoundChange, { change: 'remove' }>,
	now_ms: number
): Promise<After> {
	const { timeZone } = who.program;
	const day = dayNumber(+there.startsAt, timeZone);
	const minute = minuteOfDay(+there.startsAt, timeZone);
	const today = dayNumber(now_ms, timeZone);
	const anew = `${there.name} is planned anew.`;
	switch (change.change) {
		case 'move':
			return change.day < today
				? { why: 'That day has gone by.' }
				: { after: { startsAt: new Date(instantAt(change.day, minute, timeZone)) }, said: anew };
		case 'refuse':
			return { after: { refusedBecause: change.reason }, said: `${there.name}: the date is refused.` };
		case 'lift':
			if (there.refusedBecause === null) return { why: 'This date is not refused.' };
			return day < today
				? { why: 'That day has gone by.' }
				: { after: { refusedBecause: null }, said: `${there.name} goes after all.` };
		case 'start':
			return [...change.siteIds].sort().join() === [...there.siteIds].sort().join()
				? {
						after: { startsAt: new Date(instantAt(day, change.minute, timeZone)), siteIds: change.siteIds },
						said: anew
					}
				: { why: 'The round has other sites by now. Load the page again.' };
		case 'sites':
			return otherSites(tx, who, there, change.siteIds);
		case 'crew':
			return otherCrew(tx, who, there, change.crew);
		case 'lab':
			return otherLab(tx, who, there, change.labId);
		case 'quality':
			return otherQuality(there, change.quality);
	}
}

/**
 * A round goes to other sites than its circuit does: this once. What was to be duplicated at a site left out is not.
 */
async function otherSites(tx: Db, who: Membership, there: RoundRow, siteIds: readonly string[]): Promise<After> {
	const known = await tx
		.select({ id: site.id })
		.from(site)
		.where(and(eq(site.programId, who.programId), inArray(site.id, [...siteIds]), isNull(site.retiredOn)));
	if (known.length !== new Set(siteIds).size || known.length !== siteIds.length)
		return { why: 'One of these sites is not visited any more, or is named twice.' };
	return {
		after: { siteIds: [...siteIds], quality: there.quality.filter((q) => siteIds.includes(q.siteId)) },
		said: `${there.name} goes to ${siteIds.length} ${siteIds.length === 1 ? 'site' : 'sites'}.`
	};
}

async function otherCrew(tx: Db, who: Membership, there: RoundRow, crew: readonly string[]): Promise<After> {
	const known = crew.length
		? await tx
				.select({ id: member.id, initials: member.initials })
				.from(member)
				.where(and(eq(member.programId, who.programId), inArray(member.id, [...crew]), isNull(member.removedAt)))
		: [];
	if (known.length !== crew.length || new Set(crew).size !== crew.length)
		return { why: 'One of these people is not in the program any more, or is named twice.' };
	const names = known.map((k) => k.initials).sort();
	return {
		after: { crewIds: [...crew] },
		said: `${there.name}: ${names.length ? `${names.join(', ')} go` : 'nobody goes yet'}.`
	};
}

async function otherLab(tx: Db, who: Membership, there: RoundRow, labId: string | null): Promise<After> {
	if (labId === null) return { after: { labId: null }, said: `${there.name} hands in where its circuit does.` };
	const [lab] = await tx
		.select({ name: place.name })
		.from(place)
		.where(and(eq(place.programId, who.programId), eq(place.id, labId), eq(place.kind, 'lab')));
	return lab
		? { after: { labId }, said: `${there.name} hands in at ${lab.name}.` }
		: { why: 'There is no such lab any more.' };
}

function otherQuality(there: RoundRow, quality: RoundRow['quality']): After {
	if (quality.some((q) => !there.siteIds.includes(q.siteId)))
		return { why: 'The round does not go to one of these sites.' };
	const keys = quality.map((q) => `${q.kind} ${q.siteId}`);
	if (new Set(keys).size !== keys.length) return { why: 'One site has the same sample twice.' };
	return {
		after: { quality },
		said: `${there.name}: ${quality.length === 0 ? 'no duplicate and no blank' : 'duplicates and blanks are as you chose'}.`
	};
}
