import { error, fail } from '@sveltejs/kit';
import { z } from 'zod';
import { NOTHING_FOLLOWS, undoubted } from '$lib/core/visit';
import { typesBlind, wholeCopies } from '$lib/core/logbook';
import { shownAs } from '$lib/core/method';
import { sectionUnits } from '$lib/core/subjects/gauging/units';
import { can } from '$lib/server/access';
import { database } from '$lib/server/db/connect';
import { thresholdsOf } from '$lib/server/db/queries/thresholds';
import { peopleOf } from '$lib/server/db/queries/members';
import { besideInQueue, visitById } from '$lib/server/db/queries/visits';
import { acceptUndoubted, judge, mayJudge, strikeEntry, workedVisit, type Done } from '$lib/server/reviews/judge';
import { setAside, setAsideOf } from '$lib/server/reviews/set-aside';
import { serverNow_ms } from '$lib/server/settings';
import type { Actions, PageServerLoad, RequestEvent } from './$types';
import { readJudgements } from './judgements';
import { logLines } from './lines';

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
	const card = shownAs(worked.visit.card, member.program.units);
	const { title, version, steps, shown, own } = card;
	const asRead = sectionUnits(card);
	/** Who may still type the second copy does not see the first unless they say that they will not. */
	const isBlind =
		can(member, 'write-entry', { visit: visit.subject, path: 'readings' }) &&
		wholeCopies(folded.entries) < BOTH &&
		typesBlind(folded.entries, member.initials) &&
		!url.searchParams.has('seen');
	const seen = isBlind ? { ...outcome, ...NOTHING_FOLLOWS } : outcome;
	return {
		visit,
		isBlind,
		card: { title, version, shown, own, asRead, steps: steps.map((s) => ({ id: s.id, title: s.title })) },
		sheet: isBlind ? {} : folded.sheet,
		outcome: seen,
		logbook: isBlind ? [] : logLines(folded, member.program.timeZone),
		people: await peopleOf(db, member.programId),
		thresholds: await thresholdsOf(db, member.programId),
		aside: await setAsideOf(db, member.programId, visit.id),
		maySetAside: can(member, 'plan'),
		mayJudge: mayJudge(member, visit.subject),
		isOwn: can(member, 'see-queue') && !mayJudge(member, visit.subject),
		queue: can(member, 'see-queue') ? await besideInQueue(db, member.programId, visit) : null,
		undoubted: undoubted(seen).length
	};
};

export const actions: Actions = {
	acceptUndoubted: (event) =>
		act(event, z.object({}), () => acceptUndoubted(database(), event.locals.member!, event.params.id, serverNow_ms())),
	judge: async (event) => {
		const member = event.locals.member!;
		if (!can(member, 'see-queue')) error(403, FOR_REVIEWERS);
		const { said, typed } = readJudgements(await event.request.formData());
		if (typed.length === 0) return fail(400, { why: 'Choose a word in at least one row.', typed });
		if (said.length < typed.length) return fail(400, { why: 'Nothing was saved yet: see the rows marked.', typed });
		const done = await judge(database(), member, event.params.id, said, serverNow_ms());
		if (done.ok) return { done: true };
		const marked = typed.map((t) => (t.at === done.at ? { ...t, why: done.why } : t));
		return fail(400, {
			why: done.at === undefined ? done.why : 'Nothing was saved yet: see the row marked.',
			typed: marked
		});
	},
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

const FOR_REVIEWERS = 'Judging is for reviewers and coordinators.';

async function act<T extends z.ZodType>(event: RequestEvent, schema: T, deed: (said: z.output<T>) => Promise<Done>) {
	if (!can(event.locals.member!, 'see-queue')) error(403, FOR_REVIEWERS);
	const given: Partial<Record<string, string>> = Object.fromEntries(
		[...(await event.request.formData())].flatMap(([name, value]) => (typeof value === 'string' ? [[name, value]] : []))
	);
	const said = schema.safeParse(given);
	const refused = (why: string) =>
		fail(400, {
			why,
			at: given['entryId'] ?? ''
		});
	if (!said.success) return refused(said.error.issues.map((i) => i.message).join(' '));
	const done = await deed(said.data);
	return done.ok ? { done: true } : refused(done.why);
}
