import { createHash } from 'node:crypto';
import { and, eq, sql } from 'drizzle-orm';
import { z } from 'zod';
import { can, type Member } from '../access';
import type { Db } from '../db/connect';
import { visitById } from '../db/queries/visits';
import { photo } from '../db/schema';

const MOST_BYTES = 3_000_000;
/** How the bytes of each kind of picture begin. */
const beginnings: Record<string, readonly number[]> = {
	'image/jpeg': [0xff, 0xd8, 0xff],
	'image/png': [0x89, 0x50, 0x4e, 0x47]
};

export const PhotoName = z.string().regex(/^[0-9a-f]{64}$/, 'a photo is named by the SHA-256 of its bytes');
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
		return refuse(413, `A photo has at most ${MOST_BYTES / 1e6} MB; this one has ${(bytes.length / 1e6).toFixed(1)}.`);
	if (createHash('sha256').update(bytes).digest('hex') !== sha256)
		return refuse(400, 'These are not the bytes that the name stands for; send them again.');
	if (!beginnings[of.mediaType]!.every((byte, i) => bytes[i] === byte))
		return refuse(400, `These bytes are no ${of.mediaType}.`);
	const visit = await visitById(db, member.programId, of.visit);
	if (!visit || !can(member, 'write-entry', { visit: visit.subject, path: 'photos' }))
		return refuse(403, 'You may not add to this visit, or there is none.');
	const { rows } = await db.execute(sql`
		select 1 from entry where program_id = ${member.programId} and visit_id = ${of.visit} and path like 'photos/%/sha256' and value = ${JSON.stringify(sha256)}::jsonb limit 1`);
	if (rows.length === 0) return refuse(400, 'No line of this visit speaks of this photo yet; send the line first.');
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
