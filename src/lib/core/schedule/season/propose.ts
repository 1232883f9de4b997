import { seeded, type Chance } from '../../statistics';
import { Board } from './breaches';
import { crewFor, type Shares } from './crew';
import { seasonOf, type Circuit, type SeasonFacts, type SeasonRound } from './season';
import { whyNot, type Unmet } from './why-not';

export interface Proposal {
	/** Rounds that were there and rounds that are proposed, by day. */
	rounds: SeasonRound[];
	unmet: Unmet[];
	/** Sum over all gaps of squared days off the wished spacing; smaller is better. */
	cost: number;
}

export interface ProposeOptions {
	seed: number;
	/** Names a proposed round. */
	newId: (circuitId: string, number: number) => string;
	/** Hears the share that is done; what it throws stops the work. */
	onProgress?: (share: number) => void;
}

/** How many times every circuit is planned again around the others; more brought nothing in trials. */
const PASSES = 4;
/** What being at a sampler in time is worth: a grab may stand eight days off its wish for it. */
const IN_TIME = 64;
/**
 * What going out together with another round costs: circuits are spread over the days, for one lab and one
 * coordinator serve all.
 */
const SAME_DAY = 25;
/**
 * What leaving a stretch longer than the most costs, beside the square of its days: more than any plan that keeps it.
 */
const TOO_FAR = 100_000;

/**
 * Fills a season: every circuit gets rounds as near to its wished spacing as the rules allow, none of which any
 * proposed round breaks. The same facts and seed give the same plan. Rounds that are there are not moved.
 *
 * Method: for one circuit the best days given all others are found exactly, by dynamic programming over its possible
 * days; circuits are planned in turn, those with fewest possible days first, and again around each other as long as
 * the whole gets better (block coordinate descent).
 */
export function propose(
	facts: SeasonFacts,
	fixed: readonly SeasonRound[],
	{ seed, newId, onProgress }: ProposeOptions
): Proposal {
	const chance = seeded(seed);
	const rank = new Map(shuffled(facts.people, chance).map((p, i) => [p.id, i]));
	const board = new Board(facts, fixed);
	const shares: Shares = new Map();
	for (const round of fixed)
		if (round.state !== 'refused') for (const id of round.crew) shares.set(id, (shares.get(id) ?? 0) + 1);
	const order = shuffled(facts.circuits, chance).sort(
		(a, b) => a.weekdays.length - b.weekdays.length || b.siteIds.length - a.siteIds.length
	);
	const planned = new Map<string, SeasonRound[]>();

	const take = (circuit: Circuit) => {
		for (const round of planned.get(circuit.id) ?? []) {
			board.remove(round);
			for (const id of round.crew) shares.set(id, shares.get(id)! - 1);
		}
	};
	const put = (circuit: Circuit, rounds: SeasonRound[]) => {
		planned.set(circuit.id, rounds);
		for (const round of rounds) {
			board.add(round);
			for (const id of round.crew) shares.set(id, (shares.get(id) ?? 0) + 1);
		}
	};

	let before = Infinity;
	for (let pass = 0; pass < PASSES; pass++) {
		let cost = 0;
		for (const [k, circuit] of order.entries()) {
			take(circuit);
			const days = bestDays(board, circuit, facts, (day) => 'crew' in crewFor(board, circuit, day, shares, rank));
			cost += days.cost;
			const rounds: SeasonRound[] = [];
			for (const [n, day] of days.days.entries()) {
				const going = crewFor(board, circuit, day, shares, rank);
				if (!('crew' in going)) continue;
				rounds.push({ id: newId(circuit.id, n), circuitId: circuit.id, day, crew: going.crew, state: 'planned' });
				for (const id of going.crew) shares.set(id, (shares.get(id) ?? 0) + 1);
			}
			for (const round of rounds) for (const id of round.crew) shares.set(id, shares.get(id)! - 1);
			put(circuit, rounds);
			onProgress?.((pass * order.length + k + 1) / (PASSES * order.length));
		}
		if (cost >= before) break;
		before = cost;
	}
	onProgress?.(1);
	const unmet = facts.circuits.flatMap((circuit) => whyNot(board, circuit, shares, rank));
	const rounds = [...fixed, ...[...planned.values()].flat()].sort((a, b) => a.day - b.day || (a.id < b.id ? -1 : 1));
	return { rounds, unmet, cost: before };
}

/** The days on which a circuit runs best, given all that is on the board. */
function bestDays(
	board: Board,
	circuit: Circuit,
	facts: SeasonFacts,
	hasCrew: (day: number) => boolean
): { days: number[]; cost: number } {
	const { least_days, aim_days, most_days } = circuit.spacing;
	const season = seasonOf(facts, circuit);
	const there = board
		.of(circuit.id)
		.map((r) => r.day)
		.sort((a, b) => a - b);
	const possible: number[] = [];
	for (let day = season.from; day <= season.to; day++)
		if (
			there.every((d) => Math.abs(d - day) >= least_days) &&
			board.dayBreaches(circuit, day).length === 0 &&
			hasCrew(day)
		)
			possible.push(day);
	// nodes in order of day: those that are there, those that are possible, and the season's two ends, where a
	// stretch costs only what it exceeds the wish by
	const nodes = [...there.map((day) => ({ day, fixed: true })), ...possible.map((day) => ({ day, fixed: false }))].sort(
		(a, b) => a.day - b.day
	);
	const gapCost = (gap: number) =>
		(gap - aim_days) ** 2 + (gap > most_days ? TOO_FAR * (1 + Math.floor((gap - most_days) / aim_days)) : 0);
	const tasks = (facts.tasks ?? []).filter(
		(t) => circuit.siteIds.includes(t.siteId) && !there.some((d) => d >= t.earliest && d <= t.latest)
	);
	const gain = (day: number) =>
		IN_TIME * tasks.filter((t) => day >= t.earliest && day <= t.latest).length - SAME_DAY * board.on(day).length;
	const endCost = (gap: number) => (gap > aim_days ? gapCost(gap) : 0);
	const hasPast = there.some((d) => d < season.from);
	const cost: number[] = [];
	const from: number[] = [];
	let lastFixed = -1;
	for (const [i, node] of nodes.entries()) {
		const worth = node.fixed ? 0 : gain(node.day);
		cost[i] = hasPast && node.day >= season.from ? Infinity : endCost(Math.max(0, node.day - season.from)) - worth;
		if (node.day < season.from) cost[i] = 0;
		from[i] = -1;
		if (lastFixed !== -1) cost[i] = Infinity; // a round that is there cannot be stepped over
		for (let j = i - 1; j >= Math.max(0, lastFixed); j--) {
			const gap = node.day - nodes[j]!.day;
			if (gap < least_days && !(node.fixed && nodes[j]!.fixed)) continue;
			const total = cost[j]! + gapCost(gap) - worth;
			if (total < cost[i]) [cost[i], from[i]] = [total, j];
		}
		if (node.fixed) lastFixed = i;
	}
	let best = lastFixed;
	let least =
		lastFixed === -1
			? endCost(season.to - season.from) + TOO_FAR
			: cost[lastFixed]! + endCost(season.to - nodes[lastFixed]!.day);
	for (let i = lastFixed + 1; i < nodes.length; i++) {
		const total = cost[i]! + endCost(season.to - nodes[i]!.day);
		if (total < least) [least, best] = [total, i];
	}
	const days: number[] = [];
	for (let i = best; i !== -1; i = from[i]!) if (!nodes[i]!.fixed) days.push(nodes[i]!.day);
	return { days: days.reverse(), cost: least };
}

function shuffled<T>(items: readonly T[], chance: Chance): T[] {
	const list = [...items];
	for (let i = list.length - 1; i > 0; i--) {
		const j = Math.floor(chance.uniform() * (i + 1));
		[list[i], list[j]] = [list[j]!, list[i]!];
	}
	return list;
}
