import { and, eq, ne } from 'drizzle-orm';
import type { Objection, Role, Row, Span } from '../../core/library';
import type { Member } from '../access';
import { lastAccess, noteAccess, type AccessEvent } from '../auth/access-events';
import { addUser, joinToken, shutOut } from '../auth/library';
import type { Db } from '../db/connect';
import { member, user } from '../db/schema';

const DAY_ms = 86_400_000;

interface PersonRow extends Row {
	name: string;
	initials: string;
	email: string;
	role: Role;
	alsoRoles: Role[];
	teamId: string | null;
	skills: string[];
	trainedUntil: string | null;
	weekdays: number[];
	away: Span[];
	leftOn: string | null;
}

/**
 * Keeps a person: whoever is new gets a user without a known password, and a link to choose one is made when asked
 * for.
 */
export async function keepPerson(
	tx: Db,
	programId: string,
	old: Row | null,
	row: Row,
	now_ms: number
): Promise<Objection | null> {
	const person = row as PersonRow;
	const email = person.email.toLowerCase();
	const [user_] = await tx.select({ id: user.id }).from(user).where(eq(user.email, email));
	const columns = {
		role: person.role,
		alsoRoles: person.alsoRoles.filter((r) => r !== person.role),
		name: person.name,
		initials: person.initials,
		teamId: person.teamId,
		skills: person.skills,
		trainedUntil: person.trainedUntil,
		weekdays: person.weekdays,
		away: person.away,
		...(person.leftOn === (old?.['leftOn'] ?? null)
			? {}
			: { removedAt: person.leftOn === null ? null : new Date(Math.min(now_ms, Date.parse(person.leftOn) + DAY_ms)) })
	};
	if (old === null) {
		if (user_ && (await isMember(tx, programId, user_.id)))
			return { field: 'email', why: 'Somebody in the program signs in with this e-mail already.' };
		const userId = user_?.id ?? (await addUser(tx, { email, name: person.name, password: null }));
		await tx.insert(member).values({ programId, id: person.id, userId, ...columns });
		return null;
	}
	const [there] = await tx
		.select({ userId: member.userId })
		.from(member)
		.where(and(eq(member.programId, programId), eq(member.id, person.id)));
	if (String(old['email']).toLowerCase() !== email) {
		if (user_) return { field: 'email', why: 'Somebody else signs in with this e-mail already.' };
		if (await isElsewhere(tx, programId, there!.userId))
			return { field: 'email', why: 'This person belongs to another program too: their e-mail is theirs to change.' };
		await tx.update(user).set({ email }).where(eq(user.id, there!.userId));
	}
	await tx
		.update(member)
		.set(columns)
		.where(and(eq(member.programId, programId), eq(member.id, person.id)));
	// who has left signs in again only to hand in what is still on a phone; a link made before is no longer good
	if (person.leftOn !== null && old['leftOn'] === null && !(await isElsewhere(tx, programId, there!.userId)))
		await shutOut(tx, there!.userId);
	return null;
}

const isMember = async (tx: Db, programId: string, userId: string): Promise<boolean> =>
	(
		await tx
			.select({ id: member.id })
			.from(member)
			.where(and(eq(member.programId, programId), eq(member.userId, userId)))
	).length > 0;

const isElsewhere = async (tx: Db, programId: string, userId: string): Promise<boolean> =>
	(
		await tx
			.select({ id: member.id })
			.from(member)
			.where(and(ne(member.programId, programId), eq(member.userId, userId)))
			.limit(1)
	).length > 0;

/**
 * A word for the address at which this person chooses a password; good for a week, once. Null with the reason where it
 * would open more than this program: then only the person changes it.
 */
export async function joinWord(db: Db, by: Member, memberId: string): Promise<{ token: string } | { why: string }> {
	const { programId } = by;
	const [there] = await db
		.select({ userId: member.userId, removedAt: member.removedAt })
		.from(member)
		.where(and(eq(member.programId, programId), eq(member.id, memberId)));
	if (!there) return { why: 'There is no such person here.' };
	if (there.removedAt !== null) return { why: 'This person has left the program.' };
	if (await isElsewhere(db, programId, there.userId))
		return { why: 'This person belongs to another program too, and signs in with the password they have there.' };
	const token = await joinToken(db, there.userId);
	await noteAccess(db, { userId: there.userId, kind: 'link', by: by.name });
	return { token };
}

/** The last ways into the account of one of the program's people. */
export async function accessOf(db: Db, programId: string, memberId: string): Promise<AccessEvent[]> {
	const [there] = await db
		.select({ userId: member.userId })
		.from(member)
		.where(and(eq(member.programId, programId), eq(member.id, memberId)));
	return there ? lastAccess(db, there.userId) : [];
}
