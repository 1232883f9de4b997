import { sql } from 'drizzle-orm';
import { z } from 'zod';
import { amount, figureOf, parameterOf, type OwnParameters, type ParameterCode } from '../../../core/quantity';
import { blanksSay, type BlanksSay } from '../../../core/quality';
import type { BlanksBefore } from '../../../core/subjects/context';
import { foundIn } from '../../../core/subjects/bottle/found';
import type { Sheet } from '../../../core/logbook';
import type { Db } from '../connect';
import { instant, rowsOf, written } from '../rows';

/** A figure of a blank, in its parameter's unit. */
export interface BlankFigure {
	parameter: ParameterCode;
	/** Who found it: a lab by its report; where somebody typed it, that. */
	lab: string;
	at_ms: number;
	visitId: string;
	site: string;
	label: string;
	/** Null: it lay under the lab's limit. */
	value: number | null;
}

const TYPED = 'figures that were typed';
/** Labs, waters and bottles change: what is older says nothing of today's. */
const WITHIN = '4 years';

/** Figures of all blanks of bottles, the newest first; what comes from a stand-in proves nothing and is left out. */
export async function blankFigures(
	db: Db,
	programId: string,
	own: OwnParameters,
	now_ms: number
): Promise<BlankFigure[]> {
	const rows = await rowsOf(
		db,
		z.object({
			visitId: z.string(),
			site: z.string(),
			at: instant,
			id: z.string(),
			bottle: written<NonNullable<Sheet['bottles']>[string]>()
		}),
		sql`
		select v.id as "visitId", s.code as site, v.started_at as at, b.key as id, b.value as bottle
		from visit v join site s on s.program_id = v.program_id and s.id = v.site_id
		cross join jsonb_each(v.sheet -> 'bottles') b
		where v.program_id = ${programId} and b.value ->> 'role' = 'blank' and b.value ->> 'kind' <> 'bacteria'
			and v.started_at > ${new Date(now_ms).toISOString()}::timestamptz - ${WITHIN}::interval
		order by v.started_at desc`
	);
	return rows.flatMap(({ visitId, site, at, id, bottle }) =>
		foundIn(bottle).flatMap(({ parameter, figure: given, report }): BlankFigure[] => {
			const figure = figureOf(parameterOf(parameter, own), given);
			if (figure === null || report?.isSimulated) return [];
			const { number, qualifier } = amount(figure);
			if (qualifier === 'above') return [];
			const lab = report?.lab ?? TYPED;
			const value = qualifier === 'below' ? null : number;
			return [{ parameter, lab, at_ms: +at, visitId, site, label: bottle.label ?? id, value }];
		})
	);
}

/** Figures of blanks of one parameter that one lab found, and what they say together. */
export interface BlanksOfLab extends BlanksSay {
	parameter: ParameterCode;
	lab: string;
	blanks: BlankFigure[];
}

/** The same by parameter and by who found them: what one lab can tell from nothing, another cannot. */
export function blanksByLab(figures: readonly BlankFigure[]): BlanksOfLab[] {
	const groups = new Map<string, BlankFigure[]>();
	for (const figure of figures) {
		const name = `${figure.parameter} ${figure.lab}`;
		groups.set(name, [...(groups.get(name) ?? []), figure]);
	}
	return [...groups.values()].map((blanks) => {
		const { parameter, lab } = blanks[0]!;
		const values = blanks.flatMap((b) => (b.value === null ? [] : [b.value]));
		return { parameter, lab, blanks, ...blanksSay(values, blanks.length - values.length) };
	});
}

/** Up to which figure blanks usually go, by those of other visits than the one that is held against them. */
export const usualOfBlanks = (figures: readonly BlankFigure[], visitId: string): BlanksBefore[] =>
	blanksByLab(figures.filter((f) => f.visitId !== visitId)).flatMap(({ parameter, lab, limits, n }) =>
		limits === null ? [] : [{ parameter, lab: lab === TYPED ? null : lab, limit: limits.blank, n }]
	);

/** How many figures that labs found in samples lie under a limit, of one parameter. */
export async function figuresUnder(
	db: Db,
	programId: string,
	parameter: ParameterCode,
	limit: number
): Promise<number> {
	const [row] = await rowsOf(
		db,
		z.object({ n: z.coerce.number() }),
		sql`select count(*) as n from result where program_id = ${programId} and parameter = ${parameter}
			and source = 'lab' and is_reported and not is_simulated
			and qualifier is null and status <> 'rejected' and value < ${limit}`
	);
	return row!.n;
}
