import { z } from 'zod';

const Day = z.number().int().min(0).max(100_000);
const reason = (why: string) => z.string().trim().min(1, why).max(300);
const Crew = z.array(z.uuid()).max(20);

/** What a coordinator can do to one round. */
const roundChanges = [
	z.object({ change: z.literal('move'), roundId: z.uuid(), day: Day }),
	z.object({ change: z.literal('refuse'), roundId: z.uuid(), reason: reason('Say why the date is refused.') }),
	z.object({ change: z.literal('lift'), roundId: z.uuid() }),
	z.object({ change: z.literal('remove'), roundId: z.uuid() }),
	z.object({ change: z.literal('crew'), roundId: z.uuid(), crew: Crew }),
	z.object({ change: z.literal('lab'), roundId: z.uuid(), labId: z.uuid().nullable() }),
	z.object({
		change: z.literal('quality'),
		roundId: z.uuid(),
		quality: z.array(z.object({ siteId: z.uuid(), kind: z.enum(['duplicate', 'blank']) })).max(60)
	}),
	z.object({
		change: z.literal('start'),
		roundId: z.uuid(),
		minute: z.number().int().min(0).max(1439),
		siteIds: z.array(z.uuid()).min(1).max(60)
	}),
	z.object({
		change: z.literal('sites'),
		roundId: z.uuid(),
		siteIds: z.array(z.uuid()).min(1, 'A round goes to one site at least.').max(60)
	})
] as const;
export type RoundChange = z.infer<(typeof roundChanges)[number]>;

/** What a coordinator can do to a season. */
export const PlanChange = z.discriminatedUnion('change', [
	...roundChanges,
	z.object({
		change: z.literal('take'),
		rounds: z
			.array(
				z.object({
					circuitId: z.uuid(),
					day: Day,
					crew: Crew,
					purpose: z.enum(['grab', 'storm', 'sampler']).optional(),
					siteIds: z.array(z.uuid()).min(1).max(60).optional(),
					/** Why it goes although a rule speaks against it; for one round planned by hand. */
					despite: reason('Say why it goes all the same.').optional()
				})
			)
			.min(1)
			.max(2000)
	}),
	z.object({ change: z.literal('undo'), audited: z.array(z.uuid()).min(1).max(2000) })
]);
export type PlanChange = z.infer<typeof PlanChange>;

/** `audited`: the lines that a change left, by which it can be taken back. */
export type Changed = { ok: true; said: string; audited: string[]; ids?: string[] } | { ok: false; why: string };
