import { z } from 'zod';
import { Figure, ParameterCode } from '../../quantity';
import { depth_m, Instant, leaf, measure, SheetId, temperature_C, Text, velocity_m_s, Word, YesNo } from '../../leaf';

export const techniques = ['hand', 'pole', 'bridge-bucket', 'syringe', 'bank', 'composite'] as const;
export type Technique = (typeof techniques)[number];

/** What keeps a sample from changing until it is analysed; `acid` where a card leaves open which. */
export const preservatives = ['acid', 'sulphuric acid', 'nitric acid', 'alkali'] as const;
export type Preservative = (typeof preservatives)[number];

/**
 * What a bottle is for: bacteria; nutrients that a preservative keeps; fresh: nothing added, for what acid would
 * spoil.
 */
export const bottleKinds = ['bacteria', 'nutrients', 'fresh'] as const;
export type BottleKind = (typeof bottleKinds)[number];

export const lids = ['tight', 'leaked', 'open'] as const;
export const receptions = ['accepted', 'flagged', 'refused'] as const;
export type Reception = (typeof receptions)[number];

/** A figure as a lab reported it, with what stood beside it in the file. */
export const LabFigure = z.strictObject({
	figure: Figure,
	/** Two standard uncertainties as the lab states them, in the figure's unit. */
	uncertainty: z.number().positive('an uncertainty is above 0').optional(),
	/** Below this the lab gives no figure, in the figure's unit. */
	limit: z.number().positive('a reporting limit is above 0').optional(),
	lab: Word,
	/** The report that it stood in, as the program named it. */
	report: Word,
	method: Word.optional(),
	analysedOn: z.iso.date('a day is like 2026-05-14').optional(),
	/** The cells of its row as they were written. */
	asWritten: Text,
	isSimulated: z.literal(true).optional()
});
export type LabFigure = z.infer<typeof LabFigure>;

const volume_mL = (most: number) => measure('volume', 0, most, 'mL');

/**
 * One of the verticals of a composite: how deep and how fast the water is there, and how much of it went into the
 * churn.
 */
const part = z.object({
	velocity_m_s: leaf(velocity_m_s),
	depth_m: leaf(depth_m),
	volume_mL: leaf(volume_mL(20_000)),
	isTaken: leaf(YesNo)
});

export const bottles = z
	.record(
		SheetId,
		z.object({
			label: leaf(Word),
			kind: leaf(z.enum(bottleKinds, { error: bottleKinds.join(', ') })),
			/** A blank holds water that should have nothing in it; a duplicate was taken at once after its partner. */
			role: leaf(z.enum(['routine', 'duplicate', 'blank'], { error: 'routine, duplicate or blank' })),
			duplicateOf: leaf(SheetId),
			technique: leaf(z.enum(techniques, { error: techniques.join(', ') })),
			rinses: leaf(measure('rinses', 0, 10, 'times')),
			/** `sterile`: sterile buffered water, for blanks of bacteria. */
			water: leaf(z.enum(['stream', 'deionised', 'sterile'], { error: 'stream, deionised or sterile' })),
			parts: z.record(SheetId, part).optional(),
			churn_mL: leaf(volume_mL(50_000)),
			/** Which of the bottles out of one churn this was. */
			splitOrder: leaf(measure('order of the split', 1, 50, '')),
			filledAt: leaf(Instant),
			preservedAt: leaf(Instant),
			/** What went in, which need not be what the card asks for. */
			preservedWith: leaf(z.enum(preservatives, { error: preservatives.join(', ') })),
			/** Through a filter, on the bank. */
			filteredAt: leaf(Instant),
			onIceAt: leaf(Instant),
			atLabAt: leaf(Instant),
			/** How it came there, and whether whoever took it in would have a figure from it. */
			received: z
				.object({
					temperature_C: leaf(temperature_C),
					lid: leaf(z.enum(lids, { error: lids.join(', ') })),
					verdict: leaf(z.enum(receptions, { error: receptions.join(', ') })),
					reason: leaf(Text.max(200, 'at most 200 letters'))
				})
				.optional(),
			/** When the lab poured the last of its plates: there its time ends. */
			platedAt: leaf(Instant),
			/** What somebody typed of what was found in it. */
			results: z.partialRecord(ParameterCode, leaf(Figure, 'figure')).optional(),
			/** What came in a lab's file. */
			reports: z.partialRecord(ParameterCode, leaf(LabFigure)).optional()
		})
	)
	.optional();

/** A name written with a finger: lines of points in a box of 300 by 100. */
export const Signature = z
	.string()
	.regex(/^(M\d{1,3} \d{1,3}(L\d{1,3} \d{1,3})*){1,60}$/, 'a signature is a line drawn in a box of 300 by 100')
	.max(12_000, 'this signature is too long');

export const custody = z
	.record(
		SheetId,
		z.object({
			from: leaf(Word),
			to: leaf(Word),
			at: leaf(Instant),
			seal: leaf(Word),
			temperature_C: leaf(temperature_C),
			signature: leaf(Signature),
			note: leaf(Text)
		})
	)
	.optional();

/** What the bench writes of a bottle: when it came and was plated, what was found, who had it. */
export const ofBench = /^(bottles\/[^/]+\/((results|reports|received)\/|(atLabAt|platedAt)$)|custody\/)/;
