import { sayBlanks } from '$lib/core/interpret';
import { parameterOf, units } from '$lib/core/quantity';
import { database } from '$lib/server/db/connect';
import { blankFigures, blanksByLab, figuresUnder } from '$lib/server/db/queries/blank-figures';
import { knownParameters } from '$lib/server/db/queries/own-parameters';
import { serverNow_ms } from '$lib/server/settings';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => {
	const { programId } = locals.member!;
	const db = database();
	const own = await knownParameters(db, programId);
	const groups = blanksByLab(await blankFigures(db, programId, own, serverNow_ms()));
	const kinds = await Promise.all(
		groups.map(async ({ parameter, lab, blanks, ...say }) => {
			const { name, unit } = parameterOf(parameter, own);
			const under = say.limits ? await figuresUnder(db, programId, parameter, say.limits.detection) : 0;
			const { symbol } = units[unit];
			return { id: `${parameter} ${lab}`, name, lab, symbol, blanks, ...say, said: sayBlanks(say, { under, symbol }) };
		})
	);
	return { kinds: kinds.sort((a, b) => a.name.localeCompare(b.name) || a.lab.localeCompare(b.lab)) };
};
