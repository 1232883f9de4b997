import { z } from 'zod';
import { count, Instant, leaf, SheetId, Word } from '../../leaf';

export const keptIn = ['ethanol', 'dry', 'photo'] as const;
export type KeptIn = (typeof keptIn)[number];

/** Whether a lot lies in a vial that wants its label: what is kept as a photo went back alive. */
export const needsVialLabel = <Lot extends { label: string | null; keptIn: KeptIn | null }>(
	lot: Lot
): lot is Lot & { label: string } => lot.label !== null && lot.keptIn !== 'photo';

const Day = z.iso.date({ error: 'a day is like 2026-05-14' });

/** Animals kept so that somebody can look again, each lot under the label that lies with it. */
export const vouchers = z
	.record(
		SheetId,
		z.object({
			/** The step whose tray it came from, and the compartment. */
			tray: leaf(SheetId),
			taxon: leaf(SheetId),
			count: leaf(count),
			label: leaf(Word),
			keptIn: leaf(z.enum(keptIn)),
			keptAt: leaf(Instant),
			/** Where its vial stands: the jar, and the place on the shelf. */
			shelf: leaf(Word),
			/** The day on which its ethanol was topped up or made afresh. */
			toppedUpOn: leaf(Day),
			/** Who had it, from when until when. */
			loans: z.record(SheetId, z.object({ to: leaf(Word), lentOn: leaf(Day), backOn: leaf(Day) })).optional()
		})
	)
	.optional();
/** Whoever looks after the shelf of vials. */
export const ofBench = /^vouchers\/[^/]+\/(shelf|toppedUpOn|loans)(\/|$)/;

/** What those who know the animals call a voucher, by voucher and by member: one name each, that may change. */
export const opinions = z.record(SheetId, z.record(SheetId, leaf(SheetId)).optional()).optional();
export const ofReviewer = /^opinions(\/|$)/;
