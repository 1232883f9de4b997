import { asc, eq, sql } from 'drizzle-orm';
import { z } from 'zod';
import { definitionOf, ownCodeOf } from '../../../core/library';
import { OwnParameters } from '../../../core/quantity';
import type { Db } from '../connect';
import { rowsOf } from '../rows';
import { ownParameter } from '../schema';

/** Parameters that a program has defined, as they stand on its shelf: what a step may be made to read. */
export async function definedParameters(db: Db, programId: string): Promise<OwnParameters> {
	const rows = await db
		.select()
		.from(ownParameter)
		.where(eq(ownParameter.programId, programId))
		.orderBy(asc(ownParameter.code));
	return Object.fromEntries(rows.map((row) => [ownCodeOf(row), definitionOf(row)]));
}

/** The same, with those that only older cards carry any more: what figures of them are shown by. */
export async function knownParameters(db: Db, programId: string): Promise<OwnParameters> {
	const rows = await rowsOf(
		db,
		z.object({ own: z.unknown() }),
		sql`
		select v.body->'own' as own from method_card_version v
		where v.program_id = ${programId} and v.body ? 'own' order by v.in_use_since`
	);
	const carried = rows.map((r) => OwnParameters.parse(r.own));
	return Object.assign({}, ...carried, await definedParameters(db, programId)) as OwnParameters;
}
