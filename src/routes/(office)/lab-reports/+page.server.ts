import { fail, redirect } from '@sveltejs/kit';
import { z } from 'zod';
import { database } from '$lib/server/db/connect';
import { peopleOf } from '$lib/server/db/queries/members';
import { keepReport, labsOf, reportOnWire, reportsOf } from '$lib/server/lab/reports';
import { serverNow_ms } from '$lib/server/settings';
import type { Actions, PageServerLoad } from './$types';

/** Older ones are found through the visits that they speak of. */
const MOST = 200;

/** A report as the page sends it. */
const Brought = z.object({
	labId: z.uuid('Say which lab it comes from.'),
	name: z.string().trim().min(1, 'Give the report a name: its number, or that of its file.').max(80),
	content: z
		.string()
		.min(1, 'Choose a file first, or paste its rows.')
		.max(3_600_000, 'That is more than 3.5 MB. Bring it in in parts; nothing was written.')
});

export const load: PageServerLoad = async ({ locals }) => {
	const { programId } = locals.member!;
	const db = database();
	const [reports, labs, people] = await Promise.all([
		reportsOf(db, programId, MOST),
		labsOf(db, programId),
		peopleOf(db, programId)
	]);
	return {
		reports: reports.map((report) => reportOnWire(report, people)),
		labs
	};
};

export const actions: Actions = {
	default: async ({ locals, request }) => {
		const brought = Brought.safeParse(Object.fromEntries(await request.formData()));
		if (!brought.success) return fail(400, { why: brought.error.issues[0]!.message });
		const kept = await keepReport(database(), locals.member!, brought.data, serverNow_ms());
		if ('why' in kept) return fail(400, kept);
		redirect(303, `/lab-reports/${kept.id}`);
	}
};
