import { error } from '@sveltejs/kit';
import type { ScoreScheme } from '$lib/core/score-schemes';
import { database } from '$lib/server/db/connect';
import { schemesOf } from '$lib/server/schemes/keep';

/** The scheme that an address names, as it stands now. */
export async function theScheme(programId: string, code: string): Promise<ScoreScheme> {
	const scheme = (await schemesOf(database(), programId)).find((s) => s.code === code);
	return scheme ?? error(404, `There is no scheme ${code.slice(0, 40)}.`);
}
