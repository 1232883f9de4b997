import { sayMethodLine, sayWaysApart } from '$lib/core/interpret';
import { apartOf, apartScale, waysApart } from '$lib/core/quality';
import { convert, parameterIn, parameterOf, unitRead } from '$lib/core/quantity';
import { database } from '$lib/server/db/connect';
import { knownParameters } from '$lib/server/db/queries/own-parameters';
import { wayPairs, type PairRow } from '$lib/server/db/queries/ways-apart';
import type { PageServerLoad } from './$types';

const nameOf = ({ parameter, first, second }: PairRow) => `${parameter}.${first}.${second}`;

export const load: PageServerLoad = async ({ locals, url }) => {
	const { programId, program } = locals.member!;
	const [rows, own] = await Promise.all([wayPairs(database(), programId), knownParameters(database(), programId)]);
	const groups = new Map<string, PairRow[]>();
	for (const row of rows) {
		const there = groups.get(nameOf(row));
		if (there) there.push(row);
		else groups.set(nameOf(row), [row]);
	}
	const compared = [...groups]
		.map(([id, pairs]) => {
			const { parameter, first, second } = pairs[0]!;
			return { id, name: parameterOf(parameter, own).name, first, second, n: pairs.length };
		})
		.sort((a, b) => b.n - a.n || a.id.localeCompare(b.id));
	const asked = compared.find((c) => c.id === url.searchParams.get('of')) ?? compared[0];
	if (!asked) return { compared, shown: null };
	const rowsShown = groups.get(asked.id)!.toReversed();
	const { parameter, unit: kept } = rowsShown[0]!;
	const known = parameterOf(parameter, own);
	// differences of temperatures, and pairs of them, are told in the unit that they are read in
	const unit = unitRead(known, program.units);
	const { decimals } = parameterIn(known, unit);
	const scale = apartScale(kept);
	const pairs = rowsShown.map(({ firstValue, secondValue, ...row }) => {
		const pair = { ...row, first: convert(firstValue, kept, unit), second: convert(secondValue, kept, unit) };
		return { ...pair, apart: apartOf(pair, scale) };
	});
	// only what is shown is worked out: its lines leave one pair out at a time
	const apart = waysApart(pairs, scale);
	return {
		compared,
		shown: {
			...asked,
			unit,
			apart,
			said: sayWaysApart(apart, { ...asked, unit, decimals }),
			line: sayMethodLine(apart),
			pairs
		}
	};
};
