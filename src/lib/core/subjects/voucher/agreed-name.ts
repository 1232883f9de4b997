import type { Sheet } from '../../logbook';
import { taxonOf } from '../../macroinvertebrates';

export interface Opinion {
	/** What all who looked call it; null where nobody has, or they differ. */
	name: string | null;
	isDisputed: boolean;
}

/** A wider name is no other opinion: "a mayfly" does not speak against one of its families. */
const isWithin = (narrow: string, wide: string): boolean => narrow === wide || taxonOf(narrow)?.order === wide;

/** What those who looked at a voucher call it together: the narrowest name that all of theirs allow. */
export function agreedName({ opinions }: Pick<Sheet, 'opinions'>, voucherId: string): Opinion {
	const names = Object.values(opinions?.[voucherId] ?? {}).filter((n) => n !== undefined);
	const narrowest = names.find((name) => names.every((other) => isWithin(name, other)));
	return { name: narrowest ?? null, isDisputed: names.length > 0 && narrowest === undefined };
}

/** How a voucher stands: nobody looked, those who looked differ, they agree on another name, or on the counted one. */
export const voucherStandings = ['new', 'disputed', 'renamed', 'agreed'] as const;
export type VoucherStanding = (typeof voucherStandings)[number];
export function standingOf({ name, isDisputed }: Opinion, counted: string): VoucherStanding {
	if (isDisputed) return 'disputed';
	if (name === null) return 'new';
	return isWithin(counted, name) ? 'agreed' : 'renamed';
}

/**
 * The name under which a compartment counts after those who know the animals looked at its voucher: theirs, where they
 * agree and theirs is no wider than the tray's.
 */
export function nameByVoucher(
	sheet: Pick<Sheet, 'vouchers' | 'opinions'>,
	tray: string,
	compartment: string
): string | null {
	for (const [id, voucher] of Object.entries(sheet.vouchers ?? {})) {
		if (voucher.tray !== tray || voucher.taxon !== compartment) continue;
		const opinion = agreedName(sheet, id);
		if (standingOf(opinion, compartment) === 'renamed') return opinion.name;
	}
	return null;
}
