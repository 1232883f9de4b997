import type { Sheet } from '../../logbook';

/**
 * Who gives a visit's bottles to `taker` now, by name: whoever had them last, as custody says, or the crew. What
 * `taker` took of them before does not make them the giver of the rest: it comes from the same hands.
 */
export function giverOf({ custody, arrival }: Pick<Sheet, 'custody' | 'arrival'>, taker: string): string {
	const handovers = Object.values(custody ?? {}).toSorted((a, b) => (a.at ?? '').localeCompare(b.at ?? ''));
	const toOthers = handovers.findLast(({ to }) => to !== undefined && to !== taker);
	const before = handovers.findLast(({ to, from }) => to === taker && from !== undefined && from !== taker);
	return toOthers?.to ?? before?.from ?? Object.keys(arrival?.crew ?? {}).join(', ');
}
