import type { Content } from 'pdfmake/interfaces';
import { sayPlanDay } from '../../core/interpret';
import { counted, sayMonth } from '../../core/wording';
import { dateOfDay } from '../plan/local-day';
import type { BoardRound } from '../plan/season';
import { paperPage, print, ruledTable, type Letterhead } from './print';

type PaperSeasonRound = Pick<BoardRound, 'day' | 'name' | 'state' | 'refusedBecause' | 'quality'> & {
	codes: string[];
	initials: string[];
};

export interface PaperSeason {
	letterhead: Letterhead;
	from: number;
	to: number;
	/** With the codes of each round's sites, and the initials of its crew. */
	rounds: readonly PaperSeasonRound[];
}

const marks: Record<BoardRound['state'], string> = { done: 'done', missed: 'missed', refused: 'refused', planned: '' };

/** The season to pin on a wall: every round by month, with a blank for what came of it. */
export function printSeasonSheet({ letterhead, from, to, rounds }: PaperSeason): Promise<Uint8Array> {
	const inSeason = rounds.filter((r) => r.day >= from && r.day <= to).sort((a, b) => a.day - b.day);
	const months = [...new Set(inSeason.map((r) => sayMonth(dateOfDay(r.day))))];
	const duplicates = (r: PaperSeasonRound) => r.quality.map((q) => q.kind).join(', ');
	const row = (r: PaperSeasonRound): Content[] => [
		sayPlanDay(r.day),
		r.name,
		r.codes.join(' '),
		r.initials.join(', ') || '________',
		duplicates(r),
		{ text: r.refusedBecause ? `refused: ${r.refusedBecause}` : marks[r.state], fontSize: 8.5 }
	];
	return print(
		paperPage('The season', letterhead, [
			{ text: `${letterhead.program}: the season`, style: 'title' },
			{ text: `${sayPlanDay(from)} to ${sayPlanDay(to)}. ${counted(inSeason.length, 'round')}.`, margin: [0, 2, 0, 4] },
			...months.flatMap((month): Content[] => [
				{ text: month, style: 'section' },
				ruledTable(
					[54, 104, 92, 48, 50, '*'],
					['day', 'round', 'sites', 'crew', 'quality', 'what came of it'],
					inSeason.filter((r) => sayMonth(dateOfDay(r.day)) === month).map(row)
				)
			])
		])
	);
}
