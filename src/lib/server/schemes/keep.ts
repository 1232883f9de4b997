import { and, desc, eq } from 'drizzle-orm';
import { v7 } from 'uuid';
import { stringify } from 'csv-stringify/sync';
import { exampleSchemes, rowsOfScheme, schemeColumns, schemeFromRows, ScoreScheme } from '../../core/score-schemes';
import type { AnimalList } from '../../core/macroinvertebrates';
import type { Member } from '../access';
import type { Db } from '../db/connect';
import { scoreScheme } from '../db/schema';
import { safe } from '../library/cell';
import { readCsv } from '../library/read-file';

export interface SchemeVersion {
	scheme: ScoreScheme;
	added_ms: number;
	by: string;
}

/** All versions of a program's own scheme, the newest first. */
export async function versionsOf(db: Db, programId: string, code: string): Promise<SchemeVersion[]> {
	const rows = await db
		.select()
		.from(scoreScheme)
		.where(and(eq(scoreScheme.programId, programId), eq(scoreScheme.code, code)))
		.orderBy(desc(scoreScheme.addedAt), desc(scoreScheme.id));
	return rows.map((r) => ({ scheme: ScoreScheme.parse(r.body), added_ms: +r.addedAt, by: r.addedBy }));
}

/** The schemes by which animals are scored: the program's own as they stand, then the examples. */
export async function schemesOf(db: Db, programId: string): Promise<ScoreScheme[]> {
	const rows = await db
		.selectDistinctOn([scoreScheme.code], { body: scoreScheme.body })
		.from(scoreScheme)
		.where(eq(scoreScheme.programId, programId))
		.orderBy(scoreScheme.code, desc(scoreScheme.addedAt), desc(scoreScheme.id));
	return [...rows.map((r) => ScoreScheme.parse(r.body)), ...exampleSchemes];
}

/** A scheme as its file says it, or why it cannot be one. */
export function readScheme(text: string, animals: AnimalList): { scheme: ScoreScheme } | { why: string[] } {
	const read = readCsv(text);
	if ('why' in read) return { why: [read.why] };
	const broken = read.rows.flatMap((r) => (r.broken === undefined ? [] : [`Line ${r.line}: ${r.broken}`]));
	if (broken.length) return { why: broken };
	const done = schemeFromRows(read.rows, animals);
	if ('why' in done) return done;
	return exampleSchemes.some((e) => e.code === done.scheme.code)
		? { why: ['This is the code of an example. Give your own scheme a code of its own.'] }
		: done;
}

/** Keeps a scheme as the newest of its code; one that says nothing new is not kept twice. */
export async function keepScheme(
	db: Db,
	who: Member,
	scheme: ScoreScheme,
	now_ms: number
): Promise<{ isNew: boolean }> {
	const [last] = await versionsOf(db, who.programId, scheme.code);
	if (last && fileOfScheme(last.scheme) === fileOfScheme(scheme)) return { isNew: false };
	await db.insert(scoreScheme).values({
		programId: who.programId,
		id: v7(),
		code: scheme.code,
		body: scheme,
		addedAt: new Date(now_ms),
		addedBy: who.id
	});
	return { isNew: true };
}

/** A scheme as the file that brings it in. */
export const fileOfScheme = (scheme: ScoreScheme): string =>
	stringify(
		rowsOfScheme(scheme).map((row) => schemeColumns.map((c) => safe(row[c]))),
		{ header: true, columns: [...schemeColumns] }
	);
