import { createHash } from 'node:crypto';
import { distance } from 'fastest-levenshtein';
import { planCounts, rowsOfColumns, type CountPlan } from '../../core/animal-counts';
import { animalList, animalWords, type AnimalList } from '../../core/macroinvertebrates';
import { readCsv } from '../library/read-file';

/** A large program's samples of ten years; a file with more is brought in in parts. */
const MOST_ROWS = 20_000;
/** Two letters that changed places are two off. */
const FURTHEST = 2;
const NEAREST = 4;
/** More unknown names than these are a file of something else. */
const MOST_ASKED = 60;

export interface CountsRead extends CountPlan {
	/** For names that nobody here knows: kinds that are nearly written so. */
	near: Record<string, string[]>;
	/** Says whether what is written is what was looked at. */
	fingerprint: string;
}

/** A file's text as what it would write, or why it cannot be read at all. */
export function readCounts(text: string, options: Parameters<typeof planCounts>[1]): CountsRead | { why: string } {
	const read = readCsv(text);
	if ('why' in read) return read;
	if (read.rows.length === 0) return { why: 'There is no row under the headings of this file.' };
	const rows = rowsOfColumns(read.rows, options);
	if (rows.length > MOST_ROWS)
		return { why: `${rows.length} counts; at most ${MOST_ROWS} are taken at once. Bring it in in parts.` };
	const plan = planCounts(rows, options);
	const animals = animalList(options.animals);
	if (plan.strange.length > MOST_ASKED)
		return {
			why:
				`${plan.strange.length} names in it are no animals known here, such as “${plan.strange[0]}”. Is the ` +
				'column of animals the right one?'
		};
	return {
		...plan,
		near: Object.fromEntries(plan.strange.map((word) => [word, nearTo(word, animals)])),
		fingerprint: createHash('sha256').update(JSON.stringify(plan.samples)).digest('hex')
	};
}

function nearTo(word: string, animals: AnimalList): string[] {
	const asked = word.toLowerCase();
	const off = animalWords(animals)
		.words.map(({ word: known, code }) => ({ code, off: distance(asked, known.toLowerCase()) }))
		.filter((one) => one.off <= FURTHEST)
		.sort((a, b) => a.off - b.off);
	return [...new Set(off.map(({ code }) => code))].slice(0, NEAREST);
}
