import { capitalised } from '../../core/wording';
import { v7 } from 'uuid';
import { judgedText, undoubted, verdictPath } from '../../core/visit';
import { type Determination } from '../../core/subjects/determination';
import { tick, type Entry } from '../../core/logbook';
import { type Verdict } from '../../core/subjects/review/branch';
import { can, type Member, type VisitSubject } from '../access';
import type { Db } from '../db/connect';
import { usualBefore, visitFacts } from '../projection/facts';
import { outcomeOf, type Worked } from '../projection/work-out';
import { OFFICE } from '../sync/office-lines';
import { receiveOwn } from '../sync/receive';

/** A visit worked out as it stands now, for showing and judging; null when the program has no such visit. */
export async function workedVisit(db: Db, programId: string, visitId: string, now_ms: number): Promise<Worked | null> {
	const [visit] = await visitFacts(db, programId, [visitId]);
	if (!visit) return null;
	const usual = await usualBefore(db, programId, [visit]);
	return { visit, outcome: outcomeOf(visit, usual.get(visit.id) ?? {}, now_ms) };
}

export type Done = { ok: true } | { ok: false; why: string; at?: string };

/** A determination by its parameter and where it comes from; without the latter the reported one. */
type Which = Pick<Determination, 'parameter'> & { from?: string | undefined };

/** What a reviewer says of one determination; `report`: it is the one to be reported, whatever the rule says. */
export type Judgement = Which & (Verdict | { verdict: 'report'; reason: string; judged?: string | undefined });

const found = (worked: Worked, { parameter, from }: Which): Determination | undefined =>
	worked.outcome.determinations.find(
		(d) => d.parameter === parameter && (from === undefined ? d.isReported : d.from === from)
	);

/**
 * A reviewer's words on determinations of a visit, written as lines of its logbook: all of them, or where one cannot
 * be, none. `at` says which.
 */
export async function judge(
	db: Db,
	member: Member,
	visitId: string,
	said: readonly Judgement[],
	now_ms: number
): Promise<Done> {
	const worked = await workedVisit(db, member.programId, visitId, now_ms);
	if (!worked) return { ok: false, why: 'The program has no such visit.' };
	const lines: NewLine[] = [];
	for (const one of said) {
		const line = lineOf(worked, one);
		if (typeof line === 'string') return { ok: false, why: line, at: `${one.parameter} ${one.from ?? ''}` };
		lines.push(line);
	}
	return writeLines(db, member, worked, lines, now_ms);
}

/** The line that a judgement becomes, or why it cannot be one. */
function lineOf(worked: Worked, said: Judgement): NewLine | string {
	const result = found(worked, said);
	if (!result) return 'This visit has no such result.';
	const stands = judgedText(result);
	if (said.judged !== undefined && stands !== said.judged)
		return `The figure changed while you were reading: it was ${said.judged} and is now ${stands}. Look again.`;
	if (said.verdict !== 'report') {
		const { verdict, reason, judged } = said;
		return setAt(worked, verdictPath(result), { verdict, reason, judged });
	}
	return result.status === 'rejected'
		? 'What was rejected is not reported. Judge it otherwise first.'
		: setAt(worked, `reported/${said.parameter}`, { from: result.from, reason: said.reason });
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

/** What somebody who knows the animals calls those that a visit kept. */
export async function nameVoucher(
	db: Db,
	member: Member,
	visitId: string,
	{ voucher, taxon }: { voucher: string; taxon: string },
	now_ms: number
): Promise<Done> {
	const worked = await workedVisit(db, member.programId, visitId, now_ms);
	if (worked?.outcome.folded.sheet.vouchers?.[voucher]?.taxon === undefined)
		return { ok: false, why: 'This visit kept no such animals.' };
	return writeLines(db, member, worked, [setAt(worked, `opinions/${voucher}/${member.id}`, taxon)], now_ms);
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
		device: OFFICE
	}));
	const { refused } = await receiveOwn(db, member, entries, now_ms);
	return refused[0] ? { ok: false, why: `${capitalised(refused[0].why)}.` } : { ok: true };
}

/** Whether this member may judge a visit's results and strike one of two values. */
export const mayJudge = (member: Member, visit: VisitSubject): boolean =>
	can(member, 'see-queue') && can(member, 'write-entry', { visit, path: 'verdicts/' });
