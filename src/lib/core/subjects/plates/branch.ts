import { z } from 'zod';
import { count, Instant, leaf, measure, PhotoHash, SheetId, temperature_C, YesNo } from '../../leaf';

export const plateStates = ['counted', 'tooMany', 'spoiled'] as const;

/** Why no figure comes from a plate. */
export const spoiledBy = ['overgrown', 'contaminated', 'dried', 'split', 'tooOld'] as const;

/** More squares of a grid are too small to count in. */
export const MOST_SQUARES = 400;
const gridSquares = count
	.min(1, 'a square at least')
	.max(MOST_SQUARES, `squares over ${String(MOST_SQUARES)} are too small to count in`);

/** A reading of the thermometer beside the plates. */
export const Stood = z.strictObject({ at: Instant, temperature_C, isSimulated: z.literal(true).optional() });

/** Plates poured from the visit's bottles, one branch for each. */
export const plates = z
	.record(
		SheetId,
		z.object({
			/** The bottle whose water was poured. */
			bottle: leaf(SheetId),
			volume_mL: leaf(measure('volume', 0.001, 1000, 'mL')),
			pouredAt: leaf(Instant),
			readAt: leaf(Instant),
			state: leaf(z.enum(plateStates, { error: 'counted, too many, or spoiled' })),
			spoiledBy: leaf(z.enum(spoiledBy, { error: 'overgrown, contaminated, dried out, split or too old' })),
			count: leaf(count),
			/**
			 * Of a grid laid over a crowded plate: its squares, and those, drawn at random, in which colonies were counted.
			 */
			squares: leaf(gridSquares),
			squaresCounted: leaf(gridSquares),
			/** What each person counted on the photo, by member, as it was written before `countedAt`. */
			counters: z.record(SheetId, leaf(count)).optional(),
			isBlank: leaf(YesNo),
			/** Where it stood, the coldest seen. */
			temperature_C: leaf(temperature_C),
			/** How warm it was there, read now and then. */
			stood: z.record(SheetId, leaf(Stood)).optional()
		})
	)
	.optional();

const share = z
	.number({ error: 'a place in a photo is two shares' })
	.min(0, 'left of the photo')
	.max(1, 'out of the photo');

/** A colony that somebody marked: where, in shares of the photo's width and height; other kinds are not counted. */
export const Mark = z.object({ x: share, y: share, kind: z.enum(['counts', 'other']) });
export type Mark = z.infer<typeof Mark>;

const shareAcross = z
	.number({ error: 'the medium is a share of the photo' })
	.positive('the medium is larger than nothing')
	.max(1);

/**
 * A grid laid over the medium in a crowded photo: its middle and half axes in shares of the photo's width and
 * height, and in how many of the grid's squares colonies are counted.
 */
export const PhotoGrid = z.object({
	x: share,
	y: share,
	rx: shareAcross,
	ry: shareAcross,
	squares: count.min(1, 'a square at least')
});
export type PhotoGrid = z.infer<typeof PhotoGrid>;
/** Where a plate's medium lies in a photo. */
export type MediumPlace = Omit<PhotoGrid, 'squares'>;

/** Photos of plates with what was marked on them, by who marked it. The bytes are named by their SHA-256. */
export const platePhotos = z
	.record(
		SheetId,
		z.object({
			plate: leaf(SheetId),
			sha256: leaf(PhotoHash),
			takenAt: leaf(Instant),
			grid: leaf(PhotoGrid),
			marks: z.record(SheetId, z.record(SheetId, leaf(Mark)).optional()).optional(),
			/** Who said that their marks are all, and when. */
			countedAt: z.record(SheetId, leaf(Instant)).optional()
		})
	)
	.optional();

/** What is done with plates and tubes that were read, in this order. */
export const clearingSteps = ['bleached', 'binned', 'washed'] as const;

/** When each was done. */
export const plateClearing = z.partialRecord(z.enum(clearingSteps), leaf(Instant)).optional();

/** Plates, their photos and what becomes of them are the bench's. */
export const ofBench = /^(plates|platePhotos|plateClearing)\//;
