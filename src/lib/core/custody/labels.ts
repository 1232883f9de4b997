import type { BottleKind } from '../subjects/bottle/branch';

/** What a bottle is filled for. */
export type SampleRole = 'routine' | 'duplicate' | 'blank';

export interface BottleLabel {
	/** Never two alike on a round: site, day, kind, and what the sample is for. */
	code: string;
	site: string;
	/** ISO date. */
	date: string;
	kind: BottleKind;
	role: SampleRole;
	preserved: string | null;
}

const kindLetter = { bacteria: 'B', nutrients: 'N', fresh: 'F' } as const satisfies Record<BottleKind, string>;
const kindOfLetter = Object.fromEntries(Object.entries(kindLetter).map(([kind, letter]) => [letter, kind])) as Record<
	string,
	BottleKind
>;
const roleLetter: Record<SampleRole, string> = { routine: '', duplicate: 'D', blank: 'K' };

/** The code of one bottle: `QU1-260515-B`, with D for a duplicate and K for a blank. */
export const labelCode = (site: string, date: string, kind: BottleKind, role: SampleRole = 'routine'): string =>
	`${site}-${date.slice(2).replaceAll('-', '')}-${kindLetter[kind]}${roleLetter[role]}`;

/**
 * The code of kept animals: `TE3-260514-VIQ1`. It names the hand that wrote it, for two hands at one tray may both be
 * at their first with no network between them.
 */
export const voucherCode = (site: string, date: string, initials: string, nth: number): string =>
	`${site}-${date.slice(2).replaceAll('-', '')}-V${initials}${nth}`;

/** The labels of a round's bottles, in the order of its stops, with everything on them but the time. */
export function roundLabels(round: {
	date: string;
	sites: readonly string[];
	bottles: readonly { kind: BottleKind; preserved?: string | undefined }[];
	duplicates: readonly string[];
	blanks: readonly string[];
}): BottleLabel[] {
	const rolesAt = (site: string): SampleRole[] => [
		'routine',
		...(round.duplicates.includes(site) ? (['duplicate'] as const) : []),
		...(round.blanks.includes(site) ? (['blank'] as const) : [])
	];
	return round.sites.flatMap((site) =>
		rolesAt(site).flatMap((role) =>
			round.bottles.map(({ kind, preserved }) => ({
				code: labelCode(site, round.date, kind, role),
				site,
				date: round.date,
				kind,
				role,
				preserved: preserved ?? null
			}))
		)
	);
}

/**
 * What a label's code says, as typed or scanned; null where it is no such code. A scanned address that carries one is
 * taken too.
 */
export function readLabelCode(text: string): Omit<BottleLabel, 'preserved'> | null {
	const bare = /[?&]label=([^&#]+)/.exec(text)?.[1] ?? text;
	const match = /^(.{1,20})-(\d\d)(\d\d)(\d\d)-([BNF])([DK]?)$/.exec(decodeURIComponent(bare).trim().toUpperCase());
	if (!match) return null;
	const [, site, year, month, day, kind, role] = match as unknown as [
		string,
		string,
		string,
		string,
		string,
		string,
		'' | 'D' | 'K'
	];
	const date = `20${year}-${month}-${day}`;
	if (Number.isNaN(Date.parse(date))) return null;
	const found = {
		site,
		date,
		kind: kindOfLetter[kind]!,
		role: ({ '': 'routine', D: 'duplicate', K: 'blank' } as const)[role]
	};
	return { ...found, code: labelCode(site, date, found.kind, found.role) };
}
