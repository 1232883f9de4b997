import { z } from 'zod';
import { answersTo, forms } from '../observations';
import { Figure, parameterCodes } from '../quantity';
import { arrival, handovers } from './branches/arrival';
import { bottles, custody } from './branches/bottles';
import { disc, titrations, waits } from './branches/field-tests';
import { gaugings } from './branches/gaugings';
import { copies, photos } from './branches/paper';
import { count, Instant, leaf, measure, SheetId, SourceId, temperature_C, Text, Word, YesNo } from './leaf';

/*
 * The one schema of a visit's sheet, its larger branches in files of their own. Which paths an entry may write, and what may
 * stand at each, are derived from it (path.ts). A leaf is marked with what it is; everything else is a branch. Things that
 * there can be several of are records by id, never lists: two devices can add at the same time.
 */

/** What a visit is: said once, by the entry that opens it. */
export const Opening = z.strictObject({
	siteId: z.uuid({ error: 'the site is named by its id' }).toLowerCase(),
	cardVersionId: z.uuid({ error: 'the card version is named by its id' }).toLowerCase(),
	roundId: z.uuid().toLowerCase().optional(),
	startedAt: Instant,
	/** It was written on paper, and is typed in from there by two people. */
	isOnPaper: z.boolean().optional()
});
export type Opening = z.infer<typeof Opening>;

export const verdicts = ['accept', 'qualify', 'reject'] as const;
/** A reviewer's word on one result. `judged` is the figure as it stood, so that a later change is noticed. */
export const Verdict = z
	.strictObject({
		verdict: z.enum(verdicts, { error: 'accept, qualify or reject' }),
		reason: Text.max(500, 'at most 500 letters'),
		judged: z.string().max(120)
	})
	.refine((v) => v.verdict === 'accept' || v.reason.trim() !== '', {
		error: 'to qualify or reject needs a reason',
		path: ['reason']
	});
export type Verdict = z.infer<typeof Verdict>;

/** Which determination of a parameter a reviewer wants reported, by where in the sheet it comes from. */
const Choice = z.strictObject({
	from: SourceId,
	reason: Text.trim().min(1, 'say why this one').max(500, 'at most 500 letters')
});

export const SheetSchema = z.object({
	opening: leaf(Opening),
	arrival,
	conditions: answersTo(forms.conditions, leaf),
	habitat: answersTo(forms.habitat, leaf),
	bottles,
	custody,
	plates: z
		.record(
			SheetId,
			z.object({
				/** The bottle whose water was poured. */
				bottle: leaf(SheetId),
				volume_mL: leaf(measure('volume', 0.001, 1000, 'mL')),
				pouredAt: leaf(Instant),
				readAt: leaf(Instant),
				state: leaf(z.enum(['counted', 'tooMany', 'spoiled'], { error: 'counted, too many, or spoiled' })),
				count: leaf(count),
				isBlank: leaf(YesNo),
				/** Where it stood, the coldest seen. */
				temperature_C: leaf(temperature_C)
			})
		)
		.optional(),
	titrations,
	disc,
	waits,
	/** Nets, boots and the like that came out of this water wet. */
	gear: z
		.record(SheetId, z.object({ what: leaf(Word), wetAt: leaf(Instant), disinfectedAt: leaf(Instant) }))
		.optional(),
	readings: z.partialRecord(z.enum(parameterCodes), z.record(SheetId, leaf(Figure, 'figure'))).optional(),
	/** What a meter's display was said to show. */
	meters: z.object({ conductivityAt25: leaf(YesNo) }).optional(),
	gaugings,
	tallies: z
		.record(SheetId, z.object({ taxa: z.record(SheetId, leaf(z.number().int(), 'counter')).optional() }))
		.optional(),
	/** `takenBy`: the initials of who does it, where the work is divided. */
	steps: z
		.record(SheetId, z.object({ passedOver: leaf(Text), takenBy: leaf(Word.max(6, 'initials: at most 6 letters')) }))
		.optional(),
	handovers,
	photos,
	copies,
	remarks: z.record(SheetId, leaf(Text)).optional(),
	leaving: z
		.object({
			at: leaf(Instant),
			checked: leaf(YesNo),
			/** What was looked at once more: lids, labels, ice, the bank. */
			looked: z.record(SheetId, leaf(YesNo)).optional()
		})
		.optional(),
	/** As it was once: the word on whichever figure of the parameter was reported then. */
	reviews: z.partialRecord(z.enum(parameterCodes), leaf(Verdict)).optional(),
	/** The word on each determination, by where in the sheet it comes from. */
	verdicts: z.partialRecord(z.enum(parameterCodes), z.record(SourceId, leaf(Verdict))).optional(),
	reported: z.partialRecord(z.enum(parameterCodes), leaf(Choice)).optional()
});

/** A visit's sheet: what its live entries say, at the places the schema names. */
export type Sheet = z.infer<typeof SheetSchema>;
