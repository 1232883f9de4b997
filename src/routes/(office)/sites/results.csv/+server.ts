import { error } from '@sveltejs/kit';
import { stringify } from 'csv-stringify/sync';
import { z } from 'zod';
import { ParameterCode, parameterOf, units } from '$lib/core/quantity';
import { can } from '$lib/server/access';
import { database } from '$lib/server/db/connect';
import { resultsOf, type ResultRow } from '$lib/server/db/queries/all-results';
import { knownParameters } from '$lib/server/db/queries/own-parameters';
import { safe } from '$lib/server/library/cell';
import { dayOfDate, instantAt } from '$lib/server/plan/local-day';
import type { RequestHandler } from './$types';

/** No result is from before or after (`isOfThisCentury`). */
const [FIRST, LAST] = ['2000-01-01', '2100-12-31'];
const Day = z.union([z.literal(''), z.iso.date('a day is like 2026-05-14')]);
const Asked = z.object({
	site: z.array(z.string().max(20)).max(1000),
	parameter: z.array(ParameterCode).max(100),
	from: Day,
	to: Day,
	which: z.enum(['reported', 'all'], 'reported or all')
});

const columns = [
	'site',
	'site_name',
	'parameter',
	'parameter_name',
	'at',
	'value',
	'unit',
	'qualifier',
	'expanded_uncertainty',
	'lower_95',
	'upper_95',
	'found_by',
	'readings',
	'basis',
	'reported',
	'review',
	'simulated',
	'visit'
];

/**
 * Results of the whole program, or of some sites, parameters and days as the program counts them, one row each: value
 * and unit in columns of their own, "below" and "above" too. Written as they are read, so that a hundred years need no
 * more room than one.
 */
export const GET: RequestHandler = async ({ locals, url }) => {
	const member = locals.member!;
	const { searchParams } = url;
	const { timeZone } = member.program;
	const asked = Asked.safeParse({
		site: searchParams.getAll('site').filter(Boolean),
		parameter: searchParams.getAll('parameter').filter(Boolean),
		from: searchParams.get('from') ?? '',
		to: searchParams.get('to') ?? '',
		which: searchParams.get('which') ?? 'reported'
	});
	if (!asked.success) error(400, asked.error.issues.map((i) => `${String(i.path[0])}: ${i.message}`).join('; '));
	const { site, parameter, from, to, which } = asked.data;
	const own = await knownParameters(database(), member.programId);
	const acceptedOnly = !can(member, 'see-unreviewed');
	const results = resultsOf(database(), member.programId, {
		siteCodes: site,
		parameters: parameter,
		from: new Date(instantAt(dayOfDate(from || FIRST), 0, timeZone)),
		before: new Date(instantAt(dayOfDate(to || LAST) + 1, 0, timeZone)),
		reportedOnly: acceptedOnly || which === 'reported',
		acceptedOnly
	});
	const rowOf = (r: ResultRow) => [
		safe(r.site),
		safe(r.site_name),
		r.parameter,
		safe(parameterOf(r.parameter, own).name),
		new Date(r.at).toISOString(),
		r.value,
		units[r.unit].symbol,
		r.qualifier ?? '',
		r.uncertainty ?? '',
		r.lower ?? '',
		r.upper ?? '',
		r.way,
		r.readings,
		safe(r.basis),
		r.is_reported ? 'yes' : '',
		r.status,
		r.is_simulated ? 'yes' : '',
		r.visit_id
	];
	const bytes = new TextEncoder();
	const body = new ReadableStream<Uint8Array>({
		start: (out) => out.enqueue(bytes.encode(stringify([columns], { bom: true }))),
		async pull(out) {
			const piece = await results.next();
			if (piece.done) out.close();
			else out.enqueue(bytes.encode(stringify(piece.value.map(rowOf))));
		},
		async cancel() {
			await results.return(undefined);
		}
	});
	return new Response(body, {
		headers: {
			'content-type': 'text/csv; charset=utf-8',
			'content-disposition': 'attachment; filename="results.csv"'
		}
	});
};
