import type { Board, Breach } from './breaches';
import { crewFor, type Shares } from './crew';
import { seasonOf, type Circuit, type Skill } from './season';

/** What keeps a day from being used, told as the rule that would have to give. */
export type Blocker =
	| Extract<
			Breach,
			{
				rule:
					| 'holiday'
					| 'weekday'
					| 'lab-closed'
					| 'lab-full'
					| 'wet-gear'
					| 'refused'
					| 'barred'
					| 'no-order'
					| 'kit-twice';
			}
	  >
	| { rule: 'nobody-free' }
	| { rule: 'skill-missing'; skill: Skill };

/** A stretch of a season in which a circuit should have run and could not. */
export interface Unmet {
	circuitId: string;
	/** The rounds on both sides, or the ends of the season. */
	from: number;
	to: number;
	/** Days that the spacing would have allowed. */
	days: number;
	/** How many of those each rule shuts out. */
	shutBy: { blocker: Blocker; days: number }[];
	/** The one rule that would have to give, and the day that this opens; null where every day is shut twice over. */
	change: { blocker: Blocker; day: number } | null;
}

/** From the mildest to ask of people to the hardest. */
const MILDEST: readonly Blocker['rule'][] = [
	'kit-twice',
	'weekday',
	'holiday',
	'wet-gear',
	'lab-full',
	'nobody-free',
	'skill-missing',
	'refused',
	'no-order',
	'lab-closed',
	'barred'
];

/**
 * The stretches of a board in which a circuit is left waiting too long, each with its reason and the smallest change
 * that would help.
 */
export function whyNot(board: Board, circuit: Circuit, shares: Shares, rank: ReadonlyMap<string, number>): Unmet[] {
	const { least_days, aim_days, most_days } = circuit.spacing;
	const { from, to } = seasonOf(board.facts, circuit);
	const days = board
		.of(circuit.id)
		.map((r) => r.day)
		.sort((a, b) => a - b);
	// a season without a past starts as if the last round had been long enough ago
	const hasPast = days.length > 0 && days[0]! <= from;
	const starts = hasPast ? days : [from, ...days];
	return starts.flatMap((start, i): Unmet[] => {
		const isLast = i === starts.length - 1;
		const end = isLast ? to : starts[i + 1]!;
		if (end - start <= most_days) return [];
		const rests = hasPast || i > 0 ? least_days : 0;
		const window: number[] = [];
		for (let day = Math.max(from, start + rests); day <= Math.min(to, isLast ? to : end - least_days); day++)
			window.push(day);
		const shut = window.map((day) => ({ day, blockers: blockersOf(board, circuit, day, shares, rank) }));
		const wished = shut.filter((d) => Math.abs(d.day - start - aim_days) <= most_days - aim_days);
		const single = shut
			.filter((d) => d.blockers.length === 1)
			.sort(
				(a, b) =>
					MILDEST.indexOf(a.blockers[0]!.rule) - MILDEST.indexOf(b.blockers[0]!.rule) ||
					Math.abs(a.day - start - aim_days) - Math.abs(b.day - start - aim_days)
			)[0];
		return [
			{
				circuitId: circuit.id,
				from: start,
				to: end,
				days: window.length,
				shutBy: counted(wished.length ? wished : shut),
				change: single ? { blocker: single.blockers[0]!, day: single.day } : null
			}
		];
	});
}

function blockersOf(
	board: Board,
	circuit: Circuit,
	day: number,
	shares: Shares,
	rank: ReadonlyMap<string, number>
): Blocker[] {
	const found: Blocker[] = [];
	for (const breach of board.dayBreaches(circuit, day))
		if (isBlocker(breach) && !found.some((b) => b.rule === breach.rule)) found.push(breach);
	const going = crewFor(board, circuit, day, shares, rank);
	if ('lacking' in going)
		found.push(going.lacking === null ? { rule: 'nobody-free' } : { rule: 'skill-missing', skill: going.lacking });
	return found;
}

const isBlocker = (breach: Breach): breach is Extract<Breach, Blocker> =>
	(MILDEST as readonly string[]).includes(breach.rule);

function counted(shut: readonly { blockers: Blocker[] }[]): Unmet['shutBy'] {
	const counts = new Map<string, { blocker: Blocker; days: number }>();
	for (const { blockers } of shut)
		for (const blocker of blockers) {
			const there = counts.get(blocker.rule);
			if (there) there.days++;
			else counts.set(blocker.rule, { blocker, days: 1 });
		}
	return [...counts.values()].sort((a, b) => b.days - a.days);
}
