import { writeFixed } from '../../core/quantity';
import { createHash } from 'node:crypto';
import { and, eq, like, or } from 'drizzle-orm';
import { z } from 'zod';
import { can, type Member } from '../access';
import type { Db } from '../db/connect';
import { visitById } from '../db/queries/visits';
import { entry, photo } from '../db/schema';

const MOST_BYTES = 3_000_000;
/** Branches of a sheet whose lines speak of photos: those of the visit, those of the bench. */
const PLACES = ['photos/', 'platePhotos/'];
/** How the bytes of each kind of picture begin. */
const beginnings: Record<string, readonly number[]> = {
	'image/jpeg': [0xff, 0xd8, 0xff],
	'image/png': [0x89, 0x50, 0x4e, 0x47]
};

export const PhotoOf = z.object({
	visit: z.uuid({ error: 'say of which visit, by its id' }).toLowerCase(),
	mediaType: z.enum(['image/jpeg', 'image/png'], { error: 'only JPEG and PNG are taken' })
});

type Answer = { ok: true } | { ok: false; status: 400 | 403 | 413; why: string };

/** Takes a picture's bytes, after the line that speaks of it. The same picture again changes nothing. */
export async function takePhoto(
	db: Db,
	member: Member,
	sha256: string,
	of: z.infer<typeof PhotoOf>,
	bytes: Buffer,
	now_ms: number
): Promise<Answer> {
	const refuse = (status: 400 | 403 | 413, why: string): Answer => ({ ok: false, status, why });
	if (bytes.length > MOST_BYTES)
		return refuse(
			413,
			`A photo has at most ${MOST_BYTES / 1e6} MB; this one has ${writeFixed(bytes.length / 1e6, 1)}.`
		);
	if (createHash('sha256').update(bytes).digest('hex') !== sha256)
		return refuse(400, 'These are not the bytes that the name stands for; send them again.');
	if (!beginnings[of.mediaType]!.every((byte, i) => bytes[i] === byte))
		return refuse(400, `These bytes are no ${of.mediaType}.`);
	const visit = await visitById(db, member.programId, of.visit);
	const mayAddTo = (path: string) => visit && can(member, 'write-entry', { visit: visit.subject, path });
	if (!PLACES.some(mayAddTo)) return refuse(403, 'You may not add to this visit, or there is none.');
	const spoken = await db
		.select({ path: entry.path })
		.from(entry)
		.where(
			and(
				eq(entry.programId, member.programId),
				eq(entry.visitId, of.visit),
				or(...PLACES.map((place) => like(entry.path, `${place}%/sha256`))),
				eq(entry.value, sha256)
			)
		);
	if (spoken.length === 0) return refuse(400, 'No line of this visit speaks of this photo yet; send the line first.');
	if (!spoken.some(({ path }) => mayAddTo(path))) return refuse(403, 'You may not add such a photo to this visit.');
	await db
		.insert(photo)
		.values({
			programId: member.programId,
			sha256,
			visitId: of.visit,
			mediaType: of.mediaType,
			bytes: bytes.length,
			content: bytes,
			receivedAt: new Date(now_ms)
		})
		.onConflictDoNothing();
	return { ok: true };
}

/** A picture that this member may see, or null. */
export async function photoFor(
	db: Db,
	member: Member,
	sha256: string
): Promise<{ mediaType: string; content: Buffer } | null> {
	const [found] = await db
		.select()
		.from(photo)
		.where(and(eq(photo.programId, member.programId), eq(photo.sha256, sha256)));
	if (!found) return null;
	const visit = await visitById(db, member.programId, found.visitId);
	return visit && can(member, 'see-visit', { visit: visit.subject })
		? { mediaType: found.mediaType, content: found.content }
		: null;
}
