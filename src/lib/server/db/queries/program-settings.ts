import { eq } from 'drizzle-orm';
import type { Db } from '../connect';
import { program, type ProgramSettings } from '../schema';

/** What a program has settled so far. */
export async function settingsOf(db: Db, programId: string): Promise<ProgramSettings> {
	const [there] = await db.select({ settings: program.settings }).from(program).where(eq(program.id, programId));
	return there?.settings ?? {};
}

/** Changes some of it within a transaction; whoever changes something else at the same time waits. */
export async function changeSettings(
	tx: Db,
	programId: string,
	change: (settings: ProgramSettings) => Partial<ProgramSettings>
): Promise<void> {
	const mine = eq(program.id, programId);
	const [there] = await tx.select({ settings: program.settings }).from(program).where(mine).for('update');
	await tx
		.update(program)
		.set({ settings: { ...there!.settings, ...change(there!.settings) } })
		.where(mine);
}
