import { asc, eq } from 'drizzle-orm';
import { thresholdOf } from '../../../core/library';
import type { Threshold } from '../../../core/interpret';
import type { Db } from '../connect';
import { ownParameter, threshold } from '../schema';

/** What a program's uses want of its streams, as they stand on its shelf. */
export async function thresholdsOf(db: Db, programId: string): Promise<Threshold[]> {
	const [rows, parameters] = await Promise.all([
		db
			.select()
			.from(threshold)
			.where(eq(threshold.programId, programId))
			.orderBy(asc(threshold.use), asc(threshold.parameter)),
		db.select().from(ownParameter).where(eq(ownParameter.programId, programId))
	]);
	return rows.map((row) => thresholdOf(row, { parameters }));
}
