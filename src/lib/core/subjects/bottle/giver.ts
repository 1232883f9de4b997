import type { Sheet } from '../../logbook';

/** What custody has where nobody said whom a bottle came from. */
export const NOT_SAID = 'not said';

/**
 * Who gives a visit's bottles to `taker` now, by name: whoever had them last, as custody says, or the crew, of whom
 * a sheet has the initials. What `taker` took of them before does not make them the giver of the rest: it comes from
 * the same hands.
 */
export function giverOf(
	{ custody, arrival }: Pick<Sheet, 'custody' | 'arrival'>,
	taker: string,
	people: readonly { initials: string; name: string }[]
): string {
	const handovers = Object.values(custody ?? {}).toSorted((a, b) => (a.at ?? '').localeCompare(b.at ?? ''));
	const toOthers = handovers.findLast(({ to }) => to !== undefined && to !== taker);
	const before = handovers.findLast(({ to, from = NOT_SAID }) => to === taker && ![taker, NOT_SAID].includes(from));
	const nameOf = (initials: string) => people.find((p) => p.initials === initials)?.name ?? initials;
	return (
		toOthers?.to ??
		before?.from ??
		Object.keys(arrival?.crew ?? {})
			.map(nameOf)
			.join(', ')
	);
}
