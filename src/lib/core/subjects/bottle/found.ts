import type { Sheet } from '../../logbook';
import { amount, type Figure, type ParameterCode } from '../../quantity';
import type { LabFigure } from './branch';

/** Under its own reporting limit a lab cannot tell a figure from nothing, though some labs write it all the same. */
export function isUnderLabsLimit({ figure, limit }: Pick<LabFigure, 'figure' | 'limit'>): boolean {
	const { number, qualifier } = amount(figure);
	return limit !== undefined && qualifier === null && number < limit;
}

type BottleSheet = NonNullable<Sheet['bottles']>[string];

/** One figure that was found in a bottle, and the line of the report that it came in; null where somebody typed it. */
export interface Found {
	parameter: ParameterCode;
	figure: Figure;
	report: LabFigure | null;
}

/**
 * All that was found in a bottle, what a lab reported before what was typed: of one parameter there can be both, and
 * both are kept.
 */
export function foundIn({ reports, results }: Pick<BottleSheet, 'reports' | 'results'>): Found[] {
	const reported = (Object.entries(reports ?? {}) as [ParameterCode, LabFigure][]).map(([parameter, report]) => ({
		parameter,
		figure: report.figure,
		report
	}));
	const typed = (Object.entries(results ?? {}) as [ParameterCode, Figure][]).map(([parameter, figure]) => ({
		parameter,
		figure,
		report: null
	}));
	return [...reported, ...typed];
}

/** One figure for each parameter of a bottle: the report's, where there is one. */
export const figuresIn = (bottle: Pick<BottleSheet, 'reports' | 'results'>): Partial<Record<ParameterCode, Figure>> =>
	Object.fromEntries(
		foundIn(bottle)
			.toReversed()
			.map(({ parameter, figure }) => [parameter, figure])
	);
