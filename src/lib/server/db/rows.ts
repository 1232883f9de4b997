import type { SQL } from 'drizzle-orm';
import { z } from 'zod';
import type { Db } from './connect';

/**
 * An instant as a statement of our own brings it: the driver hands on the text that PostgreSQL writes, and it is a
 * Date from here on.
 */
export const instant = z.string().pipe(z.coerce.date());

/** A number that PostgreSQL writes as text, as it does with what `count` and `sum` bring. */
export const writtenNumber = z.string().pipe(z.coerce.number());

/** A document that our own code wrote, in the form that it was checked against when it was written. */
export const written = <T>() => z.custom<T>();

/**
 * The rows of a statement in SQL, each held against what is expected of it: a column that was renamed, or of another
 * kind than was thought, is said here by its name, and not three calls later.
 */
export async function rowsOf<Row extends z.ZodObject>(db: Db, row: Row, statement: SQL): Promise<z.output<Row>[]> {
	const { rows } = await db.execute(statement);
	return z.array(row).parse(rows);
}
