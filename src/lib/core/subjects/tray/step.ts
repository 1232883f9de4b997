import { z } from 'zod';
import type { Sheet } from '../../logbook';
import { doneWhen, stepCommon, type StepKind } from '../step-kind';

/** How a tray is sorted, by school. */
export const traySchools = ['count', 'squares', 'pick', 'classes', 'presence'] as const;
export type TraySchool = (typeof traySchools)[number];

const schema = z.object({
	...stepCommon,
	tool: z.literal('tray'),
	school: z.enum(traySchools),
	/** Animals to which richness is brought, so that crews and years compare. */
	commonCount: z.number().int().min(10).max(1000),
	/** Of a grid: its squares, and the animals after which the square in hand is finished and no other begun. */
	squares: z.number().int().min(4).max(100).default(30),
	enough: z.number().int().min(50).max(1000).default(300)
});
export type TrayStep = z.infer<typeof schema>;

export const trayStep = {
	schema,
	places: ({ id }) => [`tallies/${id}`, `trays/${id}`],
	progress: (step, { sheet }) => doneWhen(isDone(step, sheet)),
	parameter: () => 'taxa-richness'
} as const satisfies StepKind<TrayStep>;

/** Schools that know the shares of the kinds. */
export const knowsShares = ({ school }: Pick<TrayStep, 'school'>): boolean =>
	school === 'count' || school === 'squares';

function isDone({ id }: TrayStep, sheet: Sheet): boolean {
	return sheet.trays?.[id]?.endedAt !== undefined;
}
