import type { Sheet } from '../../logbook';
import type { AnimalList } from '../../macroinvertebrates';

export interface Opinion {
	/** What all who looked call it; null where nobody has, or they differ. */
	name: string | null;
	isDisputed: boolean;
}

/**
 * What those who looked at a voucher call it together: the narrowest name that all of theirs allow. A wider name is no
 * other opinion: "a mayfly" does not speak against one of its families.
 */
export function agreedName({ opinions }: Pick<Sheet, 'opinions'>, voucherId: string, animals: AnimalList): Opinion {
	const names = Object.values(opinions?.[voucherId] ?? {}).filter((n) => n !== undefined);
	const narrowest = names.find((name) => names.every((other) => animals.isWithin(name, other)));
	return { name: narrowest ?? null, isDisputed: names.length > 0 && narrowest === undefined };
}

/** How a voucher stands: nobody looked, those who looked differ, they agree on another name, or on the counted one. */
export const voucherStandings = ['new', 'disputed', 'renamed', 'agreed'] as const;
export type VoucherStanding = (typeof voucherStandings)[number];
export function standingOf({ name, isDisputed }: Opinion, counted: string, animals: AnimalList): VoucherStanding {
	if (isDisputed) return 'disputed';
	if (name === null) return 'new';
	return animals.isWithin(counted, name) ? 'agreed' : 'renamed';
}

/**
 * The name under which a compartment counts after those who know the animals looked at its voucher: theirs, where they
 * agree and theirs is no wider than the tray's.
 */
export function nameByVoucher(
	sheet: Pick<Sheet, 'vouchers' | 'opinions'>,
	tray: string,
	compartment: string,
	animals: AnimalList
): string | null {
	for (const [id, voucher] of Object.entries(sheet.vouchers ?? {})) {
		if (voucher.tray !== tray || voucher.taxon !== compartment) continue;
		const opinion = agreedName(sheet, id, animals);
		if (standingOf(opinion, compartment, animals) === 'renamed') return opinion.name;
	}
	return null;
}
