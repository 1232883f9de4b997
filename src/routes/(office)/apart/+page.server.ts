import { sayWaysApart } from '$lib/core/interpret';
import { apartScale, waysApart } from '$lib/core/quality';
import { parameterOf } from '$lib/core/quantity';
import { database } from '$lib/server/db/connect';
import { knownParameters } from '$lib/server/db/queries/own-parameters';
import { wayPairs, type PairRow } from '$lib/server/db/queries/ways-apart';
import type { PageServerLoad } from './$types';

const nameOf = ({ parameter, first, second }: PairRow) => `${parameter}.${first}.${second}`;

export const load: PageServerLoad = async ({ locals, url }) => {
	const { programId } = locals.member!;
	const [rows, own] = await Promise.all([wayPairs(database(), programId), knownParameters(database(), programId)]);
	const groups = new Map<string, PairRow[]>();
	for (const row of rows) groups.set(nameOf(row), [...(groups.get(nameOf(row)) ?? []), row]);
	const compared = [...groups]
		.map(([id, pairs]) => {
			const { parameter, unit, first, second } = pairs[0]!;
			const { name, decimals } = parameterOf(parameter, own);
			const apart = waysApart(
				pairs.map((p) => ({ at_ms: p.at_ms, first: p.firstValue, second: p.secondValue })),
				apartScale(unit)
			);
			const said = sayWaysApart(apart, { name, unit, decimals, first, second });
			return { id, name, unit, decimals, first, second, apart, said };
		})
		.sort((a, b) => b.apart.n - a.apart.n || a.id.localeCompare(b.id));
	const asked = url.searchParams.get('of');
	const shown = compared.find((c) => c.id === asked) ?? compared[0] ?? null;
	return {
		compared: compared.map(({ id, name, first, second, apart }) => ({ id, name, first, second, n: apart.n })),
		shown: shown && { ...shown, pairs: groups.get(shown.id)!.toReversed() }
	};
};
