import { sql } from 'drizzle-orm';
import { describe, expect, it } from 'vitest';
import { z } from 'zod';
import { database } from '../../src/lib/server/db/connect';
import { instant, rowsOf, writtenNumber } from '../../src/lib/server/db/rows';

const db = database();

describe('rows of a statement of our own', () => {
	it('come with instants and counts as what they are', async () => {
		const rows = await rowsOf(
			db,
			z.object({ at: instant, n: writtenNumber, heard: instant.nullable() }),
			sql`select '2026-05-14 11:20:00+00'::timestamptz as at, count(*) as n, null::timestamptz as heard
				from generate_series(1, 3)`
		);
		expect(rows).toEqual([{ at: new Date('2026-05-14T11:20:00Z'), n: 3, heard: null }]);
	});
	it.each([
		['a column that was renamed', sql`select 1 as depth`, 'depth_m'],
		['one of another kind', sql`select 'deep' as depth_m`, 'depth_m'],
		['one that is empty', sql`select null::int as depth_m`, 'depth_m']
	])('%s is said by its name', async (_, statement, name) => {
		const said = await rowsOf(db, z.object({ depth_m: z.number() }), statement).catch((e: unknown) => e);
		expect(said).toBeInstanceOf(z.ZodError);
		expect((said as z.ZodError).issues[0]!.path).toEqual([0, name]);
	});
});
