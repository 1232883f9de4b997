import type { Limits } from '../../method';
import type { Sheet } from '../../logbook';

export type PlateSheet = NonNullable<Sheet['plates']>[string];

export type PlatePhotoSheet = NonNullable<Sheet['platePhotos']>[string];

/** How a plate stands by its age, in the order in which they come. */
export const stages = ['too-early', 'specks', 'readable', 'last-chance', 'too-old'] as const;
export type Stage = (typeof stages)[number];

/** Somebody has to go to it now: to read it, or to write it off. */
export const isDue = (stage: Stage): boolean => stages.indexOf(stage) >= stages.indexOf('readable');

/** Share of the time to reading from which the first specks may show. */
const SPECKS_FROM = 2 / 3;
/** Share of the time in which it may be read that is its last chance. */
const LAST_SHARE = 1 / 4;
const HOUR_ms = 3_600_000;

type ReadingTimes = Pick<Limits, 'plateReadable_h' | 'plateTooOld_h'>;

/** Ages at which each stage begins, h, by the card's limits. */
export function stagesFrom_h({ plateReadable_h, plateTooOld_h }: ReadingTimes): Record<Stage, number> {
	return {
		'too-early': 0,
		specks: SPECKS_FROM * plateReadable_h,
		readable: plateReadable_h,
		'last-chance': plateTooOld_h - LAST_SHARE * (plateTooOld_h - plateReadable_h),
		'too-old': plateTooOld_h
	};
}

export interface OnShelf {
	age_h: number;
	stage: Stage;
	/** The next stage, and hours until it begins; null where none comes. */
	next: { stage: Stage; in_h: number } | null;
}

/** Where a plate that is not read yet stands on the shelf; null where it was not poured, or was read or thrown away. */
export function onShelf({ pouredAt, readAt, state }: PlateSheet, limits: ReadingTimes, now_ms: number): OnShelf | null {
	return pouredAt === undefined || readAt !== undefined || state !== undefined
		? null
		: standsSince(pouredAt, limits, now_ms);
}

/** Where what began to grow at an instant stands by its age. */
export function standsSince(began: string, limits: ReadingTimes, now_ms: number): OnShelf {
	const age_h = Math.max(0, (now_ms - Date.parse(began)) / HOUR_ms);
	const from_h = stagesFrom_h(limits);
	const stage = stages.findLast((s) => age_h >= from_h[s])!;
	const next = stages[stages.indexOf(stage) + 1];
	return { age_h, stage, next: next === undefined ? null : { stage: next, in_h: from_h[next] - age_h } };
}

/** Bottles of a visit for bacteria that were filled, and of which neither we nor a lab poured a plate yet. */
export function bottlesToPour({ bottles, plates }: Pick<Sheet, 'bottles' | 'plates'>): string[] {
	const poured = new Set(Object.values(plates ?? {}).map((p) => p.bottle));
	return Object.entries(bottles ?? {}).flatMap(([id, { kind, filledAt, platedAt, received }]) =>
		kind === 'bacteria' &&
		filledAt !== undefined &&
		platedAt === undefined &&
		received?.verdict !== 'refused' &&
		!poured.has(id)
			? [id]
			: []
	);
}

/** Bottles of a visit that were filled and that nobody has taken in yet. */
export const bottlesToReceive = ({ bottles }: Pick<Sheet, 'bottles'>): string[] =>
	Object.entries(bottles ?? {}).flatMap(([id, { filledAt, platedAt, atLabAt, received }]) =>
		filledAt !== undefined && platedAt === undefined && atLabAt === undefined && received?.verdict === undefined
			? [id]
			: []
	);
