import { eq } from 'drizzle-orm';
import type { Db } from '../db/connect';
import { program } from '../db/schema';
import type { Letterhead } from './print';

/** What stands on every page of a program's papers. */
export async function letterheadOf(db: Db, programId: string): Promise<Letterhead> {
	const [own] = await db
		.select({ name: program.name, settings: program.settings })
		.from(program)
		.where(eq(program.id, programId));
	const { telephone = '', paper = 'A4' } = own!.settings;
	return { program: own!.name, telephone, size: paper };
}
