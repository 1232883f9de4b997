import { sayBlanks } from '$lib/core/interpret';
import { blanksSay } from '$lib/core/quality';
import { parameterOf, units } from '$lib/core/quantity';
import { database } from '$lib/server/db/connect';
import { blankFigures, figuresUnder, type BlankFigure } from '$lib/server/db/queries/blank-figures';
import { knownParameters } from '$lib/server/db/queries/own-parameters';
import { serverNow_ms } from '$lib/server/settings';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => {
	const { programId } = locals.member!;
	const db = database();
	const own = await knownParameters(db, programId);
	const groups = new Map<string, BlankFigure[]>();
	for (const figure of await blankFigures(db, programId, own, serverNow_ms())) {
		const name = `${figure.parameter} ${figure.lab}`;
		groups.set(name, [...(groups.get(name) ?? []), figure]);
	}
	const kinds = await Promise.all(
		[...groups].map(async ([id, blanks]) => {
			const { parameter, lab } = blanks[0]!;
			const { name, unit } = parameterOf(parameter, own);
			const values = blanks.flatMap((b) => (b.value === null ? [] : [b.value]));
			const say = blanksSay(values, blanks.length - values.length);
			const under = say.limits ? await figuresUnder(db, programId, parameter, say.limits.detection) : 0;
			const { symbol } = units[unit];
			return { id, name, lab, symbol, blanks, ...say, said: sayBlanks(say, { under, symbol }) };
		})
	);
	return { kinds: kinds.sort((a, b) => a.name.localeCompare(b.name) || a.lab.localeCompare(b.lab)) };
};
