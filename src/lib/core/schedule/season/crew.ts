import type { Board } from './breaches';
import { isTrained, type Circuit, type Skill, type Volunteer } from './season';

/** Rounds that each person has had or has been given: who has had fewest is asked first. */
export type Shares = Map<string, number>;

/**
 * Who goes: for each skill that is needed the holder with the smallest share, then whoever has the smallest share; the
 * circuit's own team before others. Where nobody suitable is free: the skill that is lacking, or null where people are.
 */
export function crewFor(
	board: Board,
	circuit: Circuit,
	day: number,
	shares: Shares,
	rank: ReadonlyMap<string, number>
): { crew: string[] } | { lacking: Skill | null } {
	const busy = new Set(board.on(day).flatMap((r) => r.crew));
	const share = (p: Volunteer) => shares.get(p.id) ?? 0;
	const own = (p: Volunteer) => (p.teamId === circuit.teamId ? 0 : 1);
	const free = board.facts.people
		.filter((p) => !busy.has(p.id) && (p.teamId === circuit.teamId || p.teamId === null) && board.isFree(p.id, day))
		.sort((a, b) => own(a) - own(b) || share(a) - share(b) || rank.get(a.id)! - rank.get(b.id)!);
	const crew: Volunteer[] = [];
	for (const skill of circuit.needs) {
		if (crew.some((p) => isTrained(p, skill, day))) continue;
		const holder = free.find((p) => isTrained(p, skill, day) && !crew.includes(p));
		if (!holder) return { lacking: skill };
		crew.push(holder);
	}
	for (const person of free) if (crew.length < circuit.crew && !crew.includes(person)) crew.push(person);
	if (crew.length < circuit.crew) return { lacking: null };
	return { crew: crew.map((p) => p.id) };
}

/** Whom a round planned by hand would have with it on a day; empty where too few are free. */
export function crewOn(board: Board, circuitId: string, day: number): string[] {
	const rank = new Map(board.facts.people.map((p, i) => [p.id, i]));
	const found = crewFor(board, board.circuit(circuitId), day, new Map(), rank);
	return 'crew' in found ? found.crew : [];
}
