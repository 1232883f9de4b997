import { eq } from 'drizzle-orm';
import { v7 } from 'uuid';
import type { PaperSize, Row } from '../../core/library';
import type { NumberStyle, ShownUnits } from '../../core/quantity';
import type { DateStyle } from '../../core/wording';
import { addUser } from '../auth/library';
import type { Db } from '../db/connect';
import { logbookTip, member, program } from '../db/schema';

/** Keeps what a program says of itself. */
export async function keepProgram(tx: Db, row: Row): Promise<null> {
	const said = row as {
		id: string;
		name: string;
		timeZone: string;
		seasonFrom: string | null;
		seasonTo: string | null;
		rain: 'typed' | 'none';
		reportTo: string;
		whoJudges: 'anyone' | 'others';
		dates: DateStyle;
		numbers: NumberStyle;
		skills: string[];
		holidays: string[];
		paper: PaperSize;
		telephone: string;
	} & Required<ShownUnits> &
		Record<
			| 'detour'
			| 'speed_km_h'
			| 'parking_min'
			| 'storm_mm'
			| 'stormWithin_h'
			| 'overdue_h'
			| 'duplicateEvery'
			| 'blankEvery',
			number
		>;
	const [there] = await tx
		.select({ settings: program.settings })
		.from(program)
		.where(eq(program.id, said.id))
		.for('update');
	const { season, ...settings } = there!.settings;
	const isPlanned = said.seasonFrom !== null && said.seasonTo !== null;
	await tx
		.update(program)
		.set({
			name: said.name,
			timeZone: said.timeZone,
			settings: {
				...settings,
				...(isPlanned ? { season: { ...season, from: said.seasonFrom!, to: said.seasonTo! } } : {}),
				driveGuess: { detour: said.detour, speed_km_h: said.speed_km_h, parking_min: said.parking_min },
				storm: { rain_mm: said.storm_mm, within_h: said.stormWithin_h },
				rain: said.rain,
				reportTo: said.reportTo,
				whoJudges: said.whoJudges,
				dates: said.dates,
				numbers: said.numbers,
				units: { temperatures: said.temperatures, lengths: said.lengths, flows: said.flows },
				skills: said.skills,
				overdue_h: said.overdue_h,
				qualityRates: { duplicateEvery: said.duplicateEvery, blankEvery: said.blankEvery },
				holidays: said.holidays,
				paper: said.paper,
				telephone: said.telephone
			}
		})
		.where(eq(program.id, said.id));
	return null;
}

export interface Beginning {
	program: string;
	timeZone: string;
	name: string;
	initials: string;
	email: string;
	password: string;
}

/**
 * The first program of an installation and its first coordinator. False when there is one already: then nothing is
 * written.
 */
export function beginProgram(db: Db, given: Beginning): Promise<boolean> {
	return db.transaction(async (tx) => {
		await tx.execute('lock table program in exclusive mode');
		if ((await tx.select({ id: program.id }).from(program).limit(1)).length) return false;
		const programId = v7();
		await tx.insert(program).values({
			id: programId,
			code: 'first',
			name: given.program,
			timeZone: given.timeZone,
			settings: {}
		});
		await tx.insert(logbookTip).values({ programId });
		const userId = await addUser(tx, given);
		await tx
			.insert(member)
			.values({ programId, id: v7(), userId, role: 'coordinator', name: given.name, initials: given.initials });
		return true;
	});
}

export const isThereAProgram = async (db: Db): Promise<boolean> =>
	(await db.select({ id: program.id }).from(program).limit(1)).length > 0;
