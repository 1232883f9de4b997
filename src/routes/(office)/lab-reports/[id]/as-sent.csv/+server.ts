import { error } from '@sveltejs/kit';
import { z } from 'zod';
import { database } from '$lib/server/db/connect';
import { reportOf } from '$lib/server/lab/reports';
import type { RequestHandler } from './$types';

/** The report as the lab sent it. */
export const GET: RequestHandler = async ({ locals, params }) => {
	const id = z.uuid().safeParse(params.id);
	const report = id.success ? await reportOf(database(), locals.member!.programId, id.data) : null;
	if (!report) error(404, 'The program has no such report.');
	return new Response(report.content, {
		headers: {
			'content-type': 'text/csv; charset=utf-8',
			'content-disposition': `attachment; filename="${report.name.replace(/[^A-Za-z0-9._-]+/g, '-')}.csv"`
		}
	});
};
