import { whyNotFree } from '../../core/schedule';
import type { Db } from '../db/connect';
import type { RoundDay } from './round-day';
import { volunteersOf } from './season';

const words = { away: 'away that day', weekday: 'not on that day of the week' } as const;

/** Everyone who may be put down for a round, the team first, with what speaks against it that day. */
export async function whoCouldGo(
	db: Db,
	programId: string,
	{ teamId, day }: Pick<RoundDay, 'teamId' | 'day'>
): Promise<{ id: string; isTeam: boolean; why: string }[]> {
	const people = await volunteersOf(db, programId);
	return people
		.map((person) => {
			const why = whyNotFree(person, day);
			const isUntrained = person.trainedUntil !== null && person.trainedUntil < day;
			const said = isUntrained ? 'training has ended' : '';
			return { id: person.id, isTeam: person.teamId === teamId, why: why === null ? said : words[why] };
		})
		.sort((a, b) => Number(b.isTeam) - Number(a.isTeam));
}
