import { z } from 'zod';
import { Figure, parameterCodes, whyNoMeasure, type AsTyped, type Unit } from '../quantity';

/*
 * The one schema of a visit's sheet. Which paths an entry may write, and what may stand at each, are derived from it
 * (path.ts). A leaf is marked with what it is; everything else is a branch. Things that there can be several of are
 * records by id, never lists: two devices can add at the same time.
 */

export type LeafKind = 'value' | 'figure' | 'counter';

const leaf = <T extends z.ZodType>(schema: T, kind: LeafKind = 'value'): z.ZodOptional<T> => schema.meta({ leaf: kind }).optional();

/** An id within a sheet: given by the card ("left") or made by a device. */
export const SheetId = z.string().regex(/^[A-Za-z0-9][A-Za-z0-9_.-]{0,63}$/, 'an id has letters, digits, dots, dashes or underscores, at most 64');

const Instant = z.iso.datetime({ error: 'an instant is like 2026-05-14T09:12:00Z' });
const Text = z.string({ error: 'words are needed here' }).max(2000, 'at most 2000 letters');
const Word = Text.min(1, 'a word is needed here').max(80, 'at most 80 letters');
const measure = (what: string, low: number, high: number, unit: string) =>
	z
		.number({ error: `${what} must be a number` })
		.min(low, `${what} under ${low} ${unit} is not possible`)
		.max(high, `${what} over ${high} ${unit} is not possible`);
/** A measure that keeps the unit it was read in: a bare number in the unit of its place, or `{ value, unit }`. */
const asTyped = <U extends Unit>(what: string, unit: Unit, low: number, high: number) =>
	z.custom<AsTyped<U>>().superRefine((value, context) => {
		const why = whyNoMeasure(value, what, unit, low, high);
		if (why !== null) context.addIssue({ code: 'custom', message: why });
	});
type LengthUnit = 'm' | 'cm' | 'ft' | 'inch';
const tape_m = asTyped<LengthUnit>('distance', 'm', -10, 500);
const typedDepth_m = asTyped<LengthUnit>('depth', 'm', 0, 10);
const typedVelocity_m_s = asTyped<'m_s' | 'ft_s'>('velocity', 'm_s', -5, 10);
const depth_m = measure('depth', 0, 10, 'm');
const velocity_m_s = measure('velocity', -5, 10, 'm/s');
const area_m2 = measure('area', 0, 1000, 'm²');
const volume_mL = measure('volume', 0.001, 1000, 'mL');
const volume_L = measure('volume', 0, 500, 'L');
const time_s = measure('time', 0.1, 3600, 's');
const count = z
	.number({ error: 'a count is a number' })
	.int('a count is whole')
	.min(0, 'a count is not below 0')
	.max(1_000_000, 'a count over a million is not possible');
const fraction = measure('fraction', 0, 1, '');

/** What a visit is: said once, by the entry that opens it. */
export const Opening = z.strictObject({
	siteId: z.uuid({ error: 'the site is named by its id' }),
	cardVersionId: z.uuid({ error: 'the card version is named by its id' }),
	roundId: z.uuid().optional(),
	startedAt: Instant
});
export type Opening = z.infer<typeof Opening>;

export const accessWays = ['wade', 'bank', 'bridge', 'leave'] as const;
export type AccessWay = (typeof accessWays)[number];

export const verdicts = ['accept', 'qualify', 'reject'] as const;
/** A reviewer's word on one result. `judged` is the figure as it stood, so that a later change is noticed. */
export const Verdict = z
	.strictObject({
		verdict: z.enum(verdicts, { error: 'accept, qualify or reject' }),
		reason: Text.max(500, 'at most 500 letters'),
		judged: z.string().max(120)
	})
	.refine((v) => v.verdict === 'accept' || v.reason.trim() !== '', { error: 'to qualify or reject needs a reason', path: ['reason'] });
export type Verdict = z.infer<typeof Verdict>;

const Vertical = z.object({
	distance_m: leaf(tape_m),
	depth_m: leaf(typedDepth_m),
	velocity_m_s: leaf(typedVelocity_m_s),
	points: leaf(z.number().int().min(1).max(5))
});

export const SheetSchema = z.object({
	opening: leaf(Opening),
	arrival: z
		.object({
			crew: z.record(SheetId, z.object({ initials: leaf(Word.max(6, 'initials: at most 6 letters')) })).optional(),
			depth_m: leaf(depth_m),
			velocity_m_s: leaf(velocity_m_s),
			access: leaf(z.enum(accessWays, { error: 'wade, bank, bridge or leave' })),
			reason: leaf(Text)
		})
		.optional(),
	bottles: z
		.record(
			SheetId,
			z.object({
				label: leaf(Word),
				kind: leaf(z.enum(['bacteria', 'nutrients'])),
				/** A blank holds water that should have nothing in it; a duplicate was taken at once after its partner. */
				role: leaf(z.enum(['routine', 'duplicate', 'blank'], { error: 'routine, duplicate or blank' })),
				duplicateOf: leaf(SheetId),
				filledAt: leaf(Instant),
				onIceAt: leaf(Instant),
				atLabAt: leaf(Instant),
				results: z.partialRecord(z.enum(parameterCodes), leaf(Figure, 'figure')).optional()
			})
		)
		.optional(),
	plates: z
		.record(
			SheetId,
			z.object({
				/** The bottle whose water was poured. */
				bottle: leaf(SheetId),
				volume_mL: leaf(volume_mL),
				pouredAt: leaf(Instant),
				readAt: leaf(Instant),
				state: leaf(z.enum(['counted', 'tooMany', 'spoiled'], { error: 'counted, too many, or spoiled' })),
				count: leaf(count),
				isBlank: leaf(z.boolean()),
				/** Where it stood, the coldest seen. */
				temperature_C: leaf(measure('temperature', -5, 60, '°C'))
			})
		)
		.optional(),
	titrations: z
		.record(SheetId, z.object({ drops: leaf(count), blankDrops: leaf(count), mgLPerDrop: leaf(measure('strength of a drop', 0.01, 5, 'mg/L')) }))
		.optional(),
	/** Waits that a kit or flume asks for, while they run. */
	waits: z.record(SheetId, z.object({ what: leaf(Word), startedAt: leaf(Instant), least_s: leaf(time_s), most_s: leaf(time_s) })).optional(),
	/** Nets, boots and the like that came out of this water wet. */
	gear: z.record(SheetId, z.object({ what: leaf(Word), wetAt: leaf(Instant), disinfectedAt: leaf(Instant) })).optional(),
	readings: z.partialRecord(z.enum(parameterCodes), z.record(SheetId, leaf(Figure, 'figure'))).optional(),
	gaugings: z
		.record(
			SheetId,
			z.object({
				instrument: leaf(Word),
				method: leaf(z.enum(['verticals', 'float', 'flume', 'bucket'], { error: 'verticals, float, flume or bucket' })),
				floats: z
					.object({
						length_m: leaf(asTyped<LengthUnit>('length', 'm', 0.1, 500)),
						runs: z.record(SheetId, z.object({ time_s: leaf(time_s) })).optional(),
						areas: z.record(SheetId, z.object({ area_m2: leaf(area_m2) })).optional()
					})
					.optional(),
				flume: z.object({ head_m: leaf(typedDepth_m), tailDepth_m: leaf(typedDepth_m) }).optional(),
				fills: z.record(SheetId, z.object({ volume_L: leaf(volume_L), time_s: leaf(time_s) })).optional(),
				edges: z
					.object({
						startDistance_m: leaf(tape_m),
						endDistance_m: leaf(tape_m),
						startDepth_m: leaf(typedDepth_m),
						endDepth_m: leaf(typedDepth_m),
						startVelocityFraction: leaf(fraction),
						endVelocityFraction: leaf(fraction)
					})
					.optional(),
				verticals: z.record(SheetId, Vertical).optional()
			})
		)
		.optional(),
	tallies: z.record(SheetId, z.object({ taxa: z.record(SheetId, leaf(z.number().int(), 'counter')).optional() })).optional(),
	steps: z.record(SheetId, z.object({ passedOver: leaf(Text) })).optional(),
	remarks: z.record(SheetId, leaf(Text)).optional(),
	leaving: z.object({ at: leaf(Instant), checked: leaf(z.boolean()) }).optional(),
	reviews: z.partialRecord(z.enum(parameterCodes), leaf(Verdict)).optional()
});

/** A visit's sheet: what its live entries say, at the places the schema names. */
export type Sheet = z.infer<typeof SheetSchema>;
