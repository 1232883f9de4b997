import { z } from 'zod';
import type { Sheet } from '../../logbook';
import { counted, stepCommon, Word, type StepKind } from '../step-kind';

export const netSchools = ['kick', 'sweep'] as const;
export type NetSchool = (typeof netSchools)[number];

const schema = z.object({
	...stepCommon,
	tool: z.literal('net'),
	school: z.enum(netSchools),
	width_m: z.number().positive().max(1),
	mesh_um: z.number().positive().max(5000),
	/** How far in front of the net the bed is worked. */
	inFront_m: z.number().min(0.1).max(1),
	/** Kick: so many places, so long each. Sweep: so many metres, in strokes. */
	places: z.number().int().min(1).max(40),
	each_s: z.number().positive().max(600),
	metres: z.number().int().min(1).max(100),
	strokes: z.number().int().min(1).max(10),
	/** Where is swept: the microhabitats that may be there. */
	among: z.array(z.object({ id: z.string().regex(/^[a-z][a-z0-9-]{0,39}$/), label: Word })).min(1)
});
export type NetStep = z.infer<typeof schema>;

export const netStep = {
	schema,
	places: ({ id }) => [`nets/${id}`],
	progress: (step, { sheet }) => counted(workedAt(step, sheet), step.school === 'kick' ? step.places : step.metres),
	parameter: () => null
} as const satisfies StepKind<NetStep>;

/** Places kicked, or metres swept, so far. */
export function workedAt({ id, school }: Pick<NetStep, 'id' | 'school'>, { nets }: Pick<Sheet, 'nets'>): number {
	const net = nets?.[id];
	if (school === 'kick') return Math.max(0, net?.places ?? 0);
	return Object.values(net?.metres ?? {}).reduce<number>((sum, m) => sum + Math.max(0, m ?? 0), 0);
}

/** The bed that was worked, m²; of a sweep the net's own width along its metres. */
export const areaOf_m2 = (step: NetStep, sheet: Pick<Sheet, 'nets'>): number =>
	workedAt(step, sheet) * step.width_m * (step.school === 'kick' ? step.inFront_m : 1);
