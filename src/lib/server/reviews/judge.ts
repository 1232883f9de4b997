import { capitalised } from '../../core/wording';
import { v7 } from 'uuid';
import { judgedText, undoubted, verdictPath } from '../../core/visit';
import { type Determination } from '../../core/subjects/determination';
import { tick, type Entry } from '../../core/logbook';
import { type Verdict } from '../../core/subjects/review/branch';
import { can, type Member } from '../access';
import type { Db } from '../db/connect';
import { usualBefore, visitFacts } from '../projection/facts';
import { outcomeOf, type Worked } from '../projection/project';
import { receiveEntries } from '../sync/receive';

/** A visit worked out as it stands now, for showing and judging; null when the program has no such visit. */
export async function workedVisit(db: Db, programId: string, visitId: string, now_ms: number): Promise<Worked | null> {
	const [visit] = await visitFacts(db, programId, [visitId]);
	if (!visit) return null;
	const usual = await usualBefore(db, programId, [visit]);
	return { visit, outcome: outcomeOf(visit, usual.get(visit.id) ?? {}, now_ms) };
}

export type Done = { ok: true } | { ok: false; why: string };

/** A determination by its parameter and where it comes from; without the latter the reported one. */
type Which = Pick<Determination, 'parameter'> & { from?: string | undefined };

const found = (worked: Worked | null, { parameter, from }: Which): Determination | undefined =>
	worked?.outcome.determinations.find(
		(d) => d.parameter === parameter && (from === undefined ? d.isReported : d.from === from)
	);

/** A reviewer's word on one determination, written as a line of the visit's logbook. */
export async function judgeResult(
	db: Db,
	member: Member,
	visitId: string,
	said: Verdict & Which,
	now_ms: number
): Promise<Done> {
	const worked = await workedVisit(db, member.programId, visitId, now_ms);
	const result = found(worked, said);
	if (!worked || !result) return { ok: false, why: 'This visit has no such result.' };
	const stands = judgedText(result);
	if (stands !== said.judged)
		return {
			ok: false,
			why: `The figure changed while you were reading: it was ${said.judged} and is now ${stands}. Look again.`
		};
	const { verdict, reason, judged } = said;
	return writeLines(db, member, worked, [setAt(worked, verdictPath(result), { verdict, reason, judged })], now_ms);
}

/** Which determination of a parameter is reported, where a reviewer wants another than the rule's. */
export async function chooseReported(
	db: Db,
	member: Member,
	visitId: string,
	said: Which & { reason: string },
	now_ms: number
): Promise<Done> {
	const worked = await workedVisit(db, member.programId, visitId, now_ms);
	const result = found(worked, said);
	if (!worked || !result) return { ok: false, why: 'This visit has no such result.' };
	if (result.status === 'rejected')
		return { ok: false, why: 'What was rejected is not reported. Judge it otherwise first.' };
	return writeLines(
		db,
		member,
		worked,
		[setAt(worked, `reported/${said.parameter}`, { from: result.from, reason: said.reason })],
		now_ms
	);
}

const setAt = ({ outcome }: Worked, path: string, value: unknown): NewLine => ({
	path,
	op: 'set',
	value,
	was: outcome.folded.lines.get(path)?.live?.id ?? null
});

/**
 * Accepts in one go every result of a visit that waits and that nothing is doubtful about. Says how many those were.
 */
export async function acceptUndoubted(db: Db, member: Member, visitId: string, now_ms: number): Promise<Done> {
	const worked = await workedVisit(db, member.programId, visitId, now_ms);
	if (!worked) return { ok: false, why: 'The program has no such visit.' };
	const lines = undoubted(worked.outcome).map((r) =>
		setAt(worked, verdictPath(r), { verdict: 'accept', reason: '', judged: judgedText(r) })
	);
	return writeLines(db, member, worked, lines, now_ms);
}

/** Strikes one of two values that disagree, with a reason; it stays readable. */
export async function strikeEntry(
	db: Db,
	member: Member,
	visitId: string,
	said: { entryId: string; reason: string },
	now_ms: number
): Promise<Done> {
	const worked = await workedVisit(db, member.programId, visitId, now_ms);
	const entry = worked?.visit.entries.find((e) => e.id === said.entryId);
	if (!worked || !entry) return { ok: false, why: 'This visit has no such line.' };
	return writeLines(
		db,
		member,
		worked,
		[{ path: entry.path, op: 'strike', value: said.reason, was: entry.id }],
		now_ms
	);
}

type NewLine = Pick<Entry, 'path' | 'op' | 'value' | 'was'>;

async function writeLines(
	db: Db,
	member: Member,
	{ visit }: Worked,
	lines: readonly NewLine[],
	now_ms: number
): Promise<Done> {
	let last = visit.entries.reduce<string | null>(
		(latest, e) => (latest === null || e.at > latest ? e.at : latest),
		null
	);
	const entries = lines.map((line): Entry => ({
		...line,
		id: v7(),
		visitId: visit.id,
		at: (last = tick(last, now_ms)),
		by: member.id,
		device: 'office'
	}));
	const { refused } = await receiveEntries(db, member, entries, { now_ms, skew_ms: null });
	return refused[0] ? { ok: false, why: `${capitalised(refused[0].why)}.` } : { ok: true };
}

/** Whether this member may judge results and strike doubtful lines. */
export const mayJudge = (member: Member): boolean => can(member, 'see-queue');
