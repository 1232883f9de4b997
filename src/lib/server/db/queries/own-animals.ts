import { asc, eq } from 'drizzle-orm';
import { animalList, type AnimalList, type OwnAnimal } from '../../../core/macroinvertebrates';
import type { Db } from '../connect';
import { animal } from '../schema';

/** What a program says of animals beside those that are shipped, as it stands on its shelf. */
export function ownAnimalsOf(db: Db, programId: string): Promise<OwnAnimal[]> {
	const { code, name, rank, partOf, otherNames, tolerance, score, group, countsAs, tell, drawing, shows } = animal;
	return db
		.select({ code, name, rank, partOf, otherNames, tolerance, score, group, countsAs, tell, drawing, shows })
		.from(animal)
		.where(eq(animal.programId, programId))
		.orderBy(asc(animal.code));
}

/** All kinds that a program tells apart. */
export const animalsKnown = async (db: Db, programId: string): Promise<AnimalList> =>
	animalList(await ownAnimalsOf(db, programId));
