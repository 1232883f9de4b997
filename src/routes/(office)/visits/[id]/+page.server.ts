import { error, fail } from '@sveltejs/kit';
import { z } from 'zod';
import { undoubted } from '$lib/core/visit';
import { typesBlind, wholeCopies } from '$lib/core/logbook';
import { verdictKinds } from '$lib/core/subjects/review/branch';
import { SourceId } from '$lib/core/leaf';
import { sectionUnits } from '$lib/core/subjects/gauging/units';
import { ParameterCode } from '$lib/core/quantity';
import { can } from '$lib/server/access';
import { database } from '$lib/server/db/connect';
import { thresholdsOf } from '$lib/server/db/queries/thresholds';
import { peopleOf } from '$lib/server/db/queries/members';
import { visitById } from '$lib/server/db/queries/visits';
import {
	acceptUndoubted,
	chooseReported,
	judgeResult,
	mayJudge,
	strikeEntry,
	workedVisit,
	type Done
} from '$lib/server/reviews/judge';
import { setAside, setAsideOf } from '$lib/server/reviews/set-aside';
import { serverNow_ms } from '$lib/server/settings';
import type { Actions, PageServerLoad, RequestEvent } from './$types';
import { logLines } from './lines';

const which = { parameter: ParameterCode, from: SourceId.optional() };

const Judged = z
	.object({
		...which,
		verdict: z.enum(verdictKinds, { error: 'Say accept, qualify or reject.' }),
		reason: z.string().trim().max(500, 'At most 500 letters.').default(''),
		judged: z.string().max(120)
	})
	.refine((j) => j.verdict === 'accept' || j.reason !== '', {
		error: 'To qualify or reject needs a reason, so that the crew learns what was wrong.'
	});

const Reported = z.object({
	...which,
	reason: z.string().trim().min(1, 'Say why this one is reported instead.').max(500, 'At most 500 letters.')
});

const Struck = z.object({
	entryId: z.uuid(),
	reason: z.string().trim().min(1, 'Say why it is struck.').max(500, 'At most 500 letters.')
});

const Aside = z
	.object({
		entryId: z.uuid('Say which line.').toLowerCase(),
		reason: z.string().trim().max(500, 'At most 500 letters.').default(''),
		back: z.string().optional()
	})
	.refine((a) => a.back !== undefined || a.reason !== '', { error: 'Say why it is set aside.' });

/** Both copies of a sheet from paper. */
const BOTH = 2;

export const load: PageServerLoad = async ({ locals, params, url }) => {
	const member = locals.member!;
	const db = database();
	const visit = z.uuid().safeParse(params.id).success ? await visitById(db, member.programId, params.id) : null;
	if (!visit || !can(member, 'see-visit', { visit: visit.subject }))
		error(404, 'There is no such visit in your program, or it is another team’s.');
	const worked = (await workedVisit(db, member.programId, visit.id, serverNow_ms()))!;
	const { folded, ...outcome } = worked.outcome;
	const { title, version, steps, shown, own } = worked.visit.card;
	const asRead = sectionUnits(worked.visit.card);
	/** Who may still type the second copy does not see the first unless they say that they will not. */
	const isBlind =
		can(member, 'write-entry', { visit: visit.subject, path: 'readings' }) &&
		wholeCopies(folded.entries) < BOTH &&
		typesBlind(folded.entries, member.initials) &&
		!url.searchParams.has('seen');
	return {
		visit,
		isBlind,
		card: { title, version, shown, own, asRead, steps: steps.map((s) => ({ id: s.id, title: s.title })) },
		...(isBlind
			? {
					sheet: {},
					outcome: {
						...outcome,
						determinations: [],
						results: [],
						gaugings: [],
						flows: [],
						flags: [],
						clocks: [],
						missing: []
					},
					logbook: []
				}
			: { sheet: folded.sheet, outcome, logbook: logLines(folded, member.program.timeZone) }),
		people: await peopleOf(db, member.programId),
		thresholds: await thresholdsOf(db, member.programId),
		aside: await setAsideOf(db, member.programId, visit.id),
		maySetAside: can(member, 'plan'),
		mayJudge: mayJudge(member),
		undoubted: undoubted(outcome).length
	};
};

export const actions: Actions = {
	acceptUndoubted: (event) =>
		act(event, z.object({}), () => acceptUndoubted(database(), event.locals.member!, event.params.id, serverNow_ms())),
	judge: (event) =>
		act(event, Judged, (said) => judgeResult(database(), event.locals.member!, event.params.id, said, serverNow_ms())),
	report: (event) =>
		act(event, Reported, (said) =>
			chooseReported(database(), event.locals.member!, event.params.id, said, serverNow_ms())
		),
	setAside: (event) => {
		if (!can(event.locals.member!, 'plan')) error(403, 'Setting lines aside is for coordinators.');
		return act(event, Aside, ({ entryId, reason, back }) =>
			setAside(
				database(),
				event.locals.member!,
				event.params.id,
				{ entryId, reason: back === undefined ? reason : null },
				serverNow_ms()
			)
		);
	},
	strike: (event) =>
		act(event, Struck, (said) => strikeEntry(database(), event.locals.member!, event.params.id, said, serverNow_ms()))
};

async function act<T extends z.ZodType>(event: RequestEvent, schema: T, deed: (said: z.output<T>) => Promise<Done>) {
	if (!mayJudge(event.locals.member!)) error(403, 'Judging is for reviewers and coordinators.');
	const given: Partial<Record<string, string>> = Object.fromEntries(
		[...(await event.request.formData())].flatMap(([name, value]) => (typeof value === 'string' ? [[name, value]] : []))
	);
	const said = schema.safeParse(given);
	const refused = (why: string) =>
		fail(400, {
			why,
			at: given['parameter'] === undefined ? (given['entryId'] ?? '') : `${given['parameter']} ${given['from'] ?? ''}`,
			reason: given['reason'] ?? ''
		});
	if (!said.success) return refused(said.error.issues.map((i) => i.message).join(' '));
	const done = await deed(said.data);
	return done.ok ? { done: true } : refused(done.why);
}
