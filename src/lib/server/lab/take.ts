import { and, eq, sql } from 'drizzle-orm';
import { ReportMapping, type ReportLine, type RowCorrection } from '../../core/lab-report';
import type { Member } from '../access';
import type { Db } from '../db/connect';
import { knownParameters } from '../db/queries/own-parameters';
import { changeSettings, settingsOf } from '../db/queries/program-settings';
import { labReport } from '../db/schema';
import { officeEntries, type OfficeLine } from '../sync/office-lines';
import { receiveOwn } from '../sync/receive';
import { rememberedBeside } from '../threads/remembered';
import { labelledBottles } from './bottles';
import { readReport, type ReportRead } from './read-report';
import { reportOf, type LabReport } from './reports';

export interface Said {
	mapping: ReportMapping;
	corrections: Record<string, RowCorrection>;
}

/** A file longer than this is read in a thread of its own; a shorter one is read sooner than a thread has begun. */
const LONG_letters = 100_000;
/** What was looked at is written a moment later: as long as no bottle has changed, it is what was read then. */
const readBeside = rememberedBeside('lab-report', 4);

/** What a report would write, by what was said of its words and rows. Nothing is written. */
export async function lookAtReport(
	db: Db,
	programId: string,
	report: LabReport,
	{ mapping, corrections }: Said,
	now_ms: number
): Promise<ReportRead | { why: string }> {
	// one after the other: within a transaction there is one connection
	const bottles = await labelledBottles(db, programId, now_ms);
	const own = await knownParameters(db, programId);
	const from = { lab: report.lab, report: report.name, isSimulated: report.isSimulated };
	const options = { mapping, corrections, bottles, own };
	const { content } = report;
	return content.length < LONG_letters ? readReport(content, from, options) : readBeside(content, from, options);
}

/**
 * Writes the figures of a report into the logbooks of their visits, all of them or none, if they are those that were
 * looked at; and remembers what its words mean for the lab's next report.
 */
export async function takeReport(
	db: Db,
	member: Member,
	id: string,
	said: Said & { confirmed: string },
	now_ms: number
): Promise<Taken> {
	try {
		return await db.transaction((tx) => takeIn(tx, member, id, said, now_ms));
	} catch (trouble) {
		if (trouble instanceof NotTaken) return { why: trouble.message };
		throw trouble;
	}
}

type Taken = { written: number } | { why: string };
/** A line that the logbook refuses takes all others of its report back with it. */
class NotTaken extends Error {}

async function takeIn(
	tx: Db,
	member: Member,
	id: string,
	said: Said & { confirmed: string },
	now_ms: number
): Promise<Taken> {
	await tx.execute(
		sql`select 1 from lab_report where program_id = ${member.programId} and id = ${id}::uuid for update`
	);
	const report = await reportOf(tx, member.programId, id);
	if (!report) return { why: 'This report is gone.' };
	if (report.takenAt) return { why: 'The figures of this report have been written already.' };
	const looked = await lookAtReport(tx, member.programId, report, said, now_ms);
	if ('why' in looked) return looked;
	if (looked.fingerprint !== said.confirmed)
		return { why: 'Something has changed since you looked. Nothing was written; look again.' };
	const writes = looked.lines.filter((l) => l.write !== null);
	if (writes.length === 0) return { why: 'Nothing of this report can be written as it stands.' };
	const entries = await officeEntries(tx, member, linesOf(writes), now_ms);
	const { refused } = await receiveOwn(tx, member, entries, now_ms);
	if (refused[0]) throw new NotTaken(`${refused[0].path}: ${refused[0].why}. Nothing was written.`);
	// what nobody gave a meaning is not asked about again
	const unsaid = Object.fromEntries(looked.unknown.map(({ heading }) => [heading, '' as const]));
	const headings = { ...unsaid, ...said.mapping.headings };
	await changeSettings(tx, member.programId, ({ reportMappings }) => ({
		reportMappings: { ...reportMappings, [report.labId]: { ...said.mapping, headings } }
	}));
	await tx
		.update(labReport)
		.set({ takenAt: new Date(now_ms), takenBy: member.id, figures: entries.length, corrections: said.corrections })
		.where(and(eq(labReport.programId, member.programId), eq(labReport.id, id)));
	return { written: entries.length };
}

/** A line of the logbook for each figure; one that corrects another takes its place. */
const linesOf = (lines: readonly ReportLine[]): OfficeLine[] =>
	lines.map(({ verdict, write }) => {
		const { visitId, bottle, parameter, value } = write!;
		const isCorrection = verdict === 'corrects';
		return { visitId, path: `bottles/${bottle}/reports/${parameter}`, value, isCorrection };
	});

/** What this lab's words were said to mean before. */
export async function reportMappingOf(db: Db, programId: string, labId: string): Promise<ReportMapping> {
	return ReportMapping.parse((await settingsOf(db, programId)).reportMappings?.[labId] ?? {});
}
