import type { Sheet } from '../../logbook';
import type { KeptIn } from './branch';

type Voucher = NonNullable<Sheet['vouchers']>[string];
/** A lot as far as its keeping goes; what nobody wrote is null. */
export type Kept = {
	[K in 'keptIn' | 'keptAt' | 'shelf' | 'toppedUpOn' | 'loans']: Exclude<Voucher[K], undefined> | null;
};

/** Ethanol goes through the best of lids: a vial is looked at once a year. */
export const TOP_UP_months = 12;

export interface Keeping {
	/** Who has it now; null where it stands on its shelf. */
	lent: { id: string; to: string; on: string } | null;
	/** Whole months since its ethanol was last seen to; null where it lies in none. */
	months: number | null;
	wantsTopUp: boolean;
}

/** Where a lot is on a day (ISO), and whether its ethanol is due. */
export function keepingOf({ keptIn, keptAt, toppedUpOn, loans }: Kept, today: string): Keeping {
	const out = Object.entries(loans ?? {})
		.flatMap(([id, { to, lentOn, backOn }]) =>
			to !== undefined && lentOn !== undefined && backOn === undefined ? [{ id, to, on: lentOn }] : []
		)
		.sort((a, b) => (a.on < b.on ? 1 : -1));
	const since = toppedUpOn ?? keptAt?.slice(0, 10) ?? null;
	const months = isWet(keptIn) && since !== null ? monthsBetween(since, today) : null;
	return { lent: out[0] ?? null, months, wantsTopUp: months !== null && months >= TOP_UP_months };
}

const isWet = (keptIn: KeptIn | null): boolean => keptIn === 'ethanol';

function monthsBetween(from: string, to: string): number {
	const [fromYear = 0, fromMonth = 0, fromDay = 0] = from.split('-').map(Number);
	const [toYear = 0, toMonth = 0, toDay = 0] = to.split('-').map(Number);
	return 12 * (toYear - fromYear) + toMonth - fromMonth - (toDay < fromDay ? 1 : 0);
}

/** Kinds that were counted and of which no animal is kept, in the order given: one of each is worth a vial. */
export function notKept(counted: readonly string[], kept: readonly string[]): string[] {
	const there = new Set(kept);
	return [...new Set(counted)].filter((code) => !there.has(code));
}
