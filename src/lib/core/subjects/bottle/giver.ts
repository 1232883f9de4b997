import { Word } from '../../leaf';
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
	return toOthers?.to ?? before?.from ?? crewIn(Object.keys(arrival?.crew ?? {}), nameOf);
}

/** By name; where so many names have no room in custody, by initials. */
function crewIn(initials: readonly string[], nameOf: (initials: string) => string): string {
	const names = initials.map(nameOf).join(', ');
	return Word.safeParse(names).success ? names : initials.join(', ');
}
