import type { Limits } from '../../method';
import type { Sheet } from '../../logbook';
import { coldHours, standsStillAt_C } from './warmth';

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
type ShelfLimits = ReadingTimes & Pick<Limits, 'plateLeastTemperature_C'>;

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
	/** The next stage, and hours until it begins; null where none comes, or it stands too cold to come to it. */
	next: { stage: Stage; in_h: number } | null;
	/** The temperature at which its clock stands still just now. */
	standsStill_C: number | null;
}

/** Where a plate that is not read yet stands on the shelf; null where it was not poured, or was read or thrown away. */
export function onShelf(plate: PlateSheet, limits: ShelfLimits, now_ms: number): OnShelf | null {
	const { pouredAt, readAt, state } = plate;
	if (pouredAt === undefined || readAt !== undefined || state !== undefined) return null;
	const least_C = limits.plateLeastTemperature_C;
	const cold_h = coldHours(plate, { from_ms: Date.parse(pouredAt), to_ms: now_ms }, least_C);
	return standsSince(pouredAt, limits, now_ms, { cold_h, still_C: standsStillAt_C(plate, least_C) });
}

/**
 * Where what began to grow at an instant stands by its age. Cold hours bring it no nearer to being read, and too old
 * all the same.
 */
export function standsSince(
	began: string,
	limits: ReadingTimes,
	now_ms: number,
	{ cold_h, still_C }: { cold_h: number; still_C: number | null } = { cold_h: 0, still_C: null }
): OnShelf {
	const age_h = Math.max(0, (now_ms - Date.parse(began)) / HOUR_ms);
	const from_h = stagesFrom_h(limits);
	const grown_h = (stage: Stage) => (ripens.has(stage) ? age_h - cold_h : age_h);
	const ripe = stages.findLast((s) => ripens.has(s) && grown_h(s) >= from_h[s])!;
	const late = stages.findLast((s) => !ripens.has(s) && age_h >= from_h[s]);
	// what is not ripe has no last chance to be read, and is too old in the end
	const stage = late === 'too-old' || (late !== undefined && ripe === 'readable') ? late : ripe;
	const next = stages[stages.indexOf(stage) + 1];
	const isHeld = still_C !== null && next !== undefined && ripens.has(next);
	return {
		age_h,
		stage,
		next: next === undefined || isHeld ? null : { stage: next, in_h: Math.max(0, from_h[next] - grown_h(next)) },
		standsStill_C: isHeld ? still_C : null
	};
}
/** Stages to which a plate grows; to the others it only ages. */
const ripens: ReadonlySet<Stage> = new Set(['too-early', 'specks', 'readable']);

/** Whether plates or tubes of a visit were read, and none grows on: then they are cleared away. */
export function isAllRead({ plates, growthTubes }: Pick<Sheet, 'plates' | 'growthTubes'>): boolean {
	const [poured, filled] = [Object.values(plates ?? {}), Object.values(growthTubes ?? {})];
	return (
		poured.length + filled.length > 0 &&
		poured.every((p) => p.state !== undefined) &&
		filled.every((t) => t.readAt !== undefined)
	);
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
