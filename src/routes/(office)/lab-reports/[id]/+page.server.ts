import { error, fail, redirect } from '@sveltejs/kit';
import { z } from 'zod';
import { ReportMapping, RowCorrections } from '$lib/core/lab-report';
import { can } from '$lib/server/access';
import { database } from '$lib/server/db/connect';
import { peopleOf } from '$lib/server/db/queries/members';
import { knownParameters } from '$lib/server/db/queries/own-parameters';
import { jsonField } from '$lib/server/json-field';
import { dropReport, reportOf, reportOnWire, type LabReport } from '$lib/server/lab/reports';
import { lookAtReport, reportMappingOf, takeReport } from '$lib/server/lab/take';
import { serverNow_ms } from '$lib/server/settings';
import type { Actions, PageServerLoad } from './$types';

const UNREAD = 'What was said of the rows could not be read. Load the page again.';
const Asked = z.object({
	mapping: jsonField(ReportMapping, UNREAD),
	corrections: jsonField(RowCorrections, UNREAD),
	confirmed: z.string().length(64).nullable()
});

async function theReport(programId: string, id: string): Promise<LabReport> {
	const asked = z.uuid().safeParse(id);
	const report = asked.success ? await reportOf(database(), programId, asked.data) : null;
	if (!report) error(404, 'The program has no such report.');
	return report;
}

export const load: PageServerLoad = async ({ locals, params }) => {
	const { programId } = locals.member!;
	const db = database();
	const report = await theReport(programId, params.id);
	const { content, ...shown } = report;
	const [mapping, own] = await Promise.all([
		reportMappingOf(db, programId, report.labId),
		knownParameters(db, programId)
	]);
	const people = await peopleOf(db, programId);
	const { takenAt } = report;
	return {
		report: reportOnWire(shown, people),
		// what was written is not held against the bottles again: they have its figures now
		content: takenAt ? content : null,
		looked: takenAt ? null : await lookAtReport(db, programId, report, { mapping, corrections: {} }, serverNow_ms()),
		mapping,
		own,
		mayReview: can(locals.member!, 'see-queue')
	};
};

export const actions: Actions = {
	look: async ({ locals, params, request }) => {
		const member = locals.member!;
		const form = await request.formData();
		const asked = Asked.safeParse({
			mapping: form.get('mapping') ?? '{}',
			corrections: form.get('corrections') ?? '{}',
			confirmed: form.get('confirmed')
		});
		if (!asked.success) return fail(400, { why: asked.error.issues[0]!.message });
		const { confirmed, ...said } = asked.data;
		const report = await theReport(member.programId, params.id);
		if (confirmed === null)
			return { looked: await lookAtReport(database(), member.programId, report, said, serverNow_ms()) };
		const taken = await takeReport(database(), member, report.id, { ...said, confirmed }, serverNow_ms());
		return 'why' in taken ? fail(409, taken) : taken;
	},
	drop: async ({ locals, params }) => {
		const report = await theReport(locals.member!.programId, params.id);
		if (!(await dropReport(database(), locals.member!.programId, report.id)))
			return fail(409, { why: 'This report has been written; it stays.' });
		redirect(303, '/lab-reports');
	}
};
