import { verdictPath } from '../../core/visit';
import { instantOf } from '../../core/logbook';
import { amount, type ParameterCode } from '../../core/quantity';
import type { Verdict } from '../../core/subjects/review/branch';
import type { Worked } from './work-out';

/** What follows from visits, each table's rows as one document of JSON. */
export interface Documents {
	visitIds: string[];
	results: string;
	sheets: string;
	reviews: string;
	clocks: string;
}

export const documentsOf = (worked: readonly Worked[]): Documents => ({
	visitIds: worked.map((w) => w.visit.id),
	results: JSON.stringify(worked.flatMap(resultsOf)),
	sheets: JSON.stringify(worked.map(sheetOf)),
	reviews: JSON.stringify(worked.flatMap(reviewsOf)),
	clocks: JSON.stringify(worked.flatMap(clocksOf))
});

/** The document of a table that gets no row. */
export const NO_ROWS = '[]';

const resultsOf = ({ visit, outcome }: Worked) =>
	outcome.determinations.map((r) => {
		const { number: value, qualifier } = amount(r.figure);
		const { parameter, way, uncertainty, readings, source, basis, status } = r;
		return {
			site_id: visit.siteId,
			parameter,
			at: visit.startedAt,
			visit_id: visit.id,
			comes_from: r.from,
			way,
			is_reported: r.isReported,
			value,
			// what is not there is not written: each name in a document costs as much to read as what it names
			qualifier: qualifier ?? undefined,
			unit: r.figure.unit,
			uncertainty: uncertainty ?? undefined,
			lower: r.limits?.lower ?? undefined,
			upper: r.limits?.upper ?? undefined,
			readings,
			source,
			basis,
			status,
			is_simulated: r.isSimulated
		};
	});

function sheetOf({ visit, outcome }: Worked) {
	const asked = outcome.steps.filter((s) => s.state !== 'not-required');
	const finished = outcome.folded.sheet.leaving?.at !== undefined;
	return {
		id: visit.id,
		sheet: outcome.folded.sheet,
		is_finished: finished,
		awaits_review: finished ? outcome.results.filter((r) => r.status === 'waiting').length : 0,
		conflicts: outcome.folded.conflicts.length,
		steps_done: asked.filter((s) => s.state !== 'open').length,
		steps_asked: asked.length
	};
}

function reviewsOf({ visit, outcome: { folded } }: Worked) {
	const line = (path: string, parameter: string, comes_from: string, said: Verdict | undefined) => {
		const entry = folded.lines.get(path)?.live;
		if (!entry || !said) return [];
		const { verdict, reason } = said;
		return [
			{
				visit_id: visit.id,
				parameter,
				comes_from,
				entry_id: entry.id,
				verdict,
				reason,
				by: entry.by,
				at: new Date(instantOf(entry.at))
			}
		];
	};
	const { reviews: older, verdicts } = folded.sheet;
	return [
		...(Object.entries(older ?? {}) as [string, Verdict][]).flatMap(([parameter, said]) =>
			line(`reviews/${parameter}`, parameter, '', said)
		),
		...(Object.entries(verdicts ?? {}) as [ParameterCode, Record<string, Verdict>][]).flatMap(([parameter, all]) =>
			Object.entries(all).flatMap(([from, said]) => line(verdictPath({ parameter, from }), parameter, from, said))
		)
	];
}

const clocksOf = ({ visit, outcome }: Worked) =>
	outcome.clocks.map((c) => ({
		visit_id: visit.id,
		id: c.id,
		kind: c.kind,
		label: c.label,
		start_at: new Date(c.start_ms),
		due_at: new Date(c.due_ms),
		last_at: new Date(c.last_ms),
		deadline: c.deadline ?? null
	}));
