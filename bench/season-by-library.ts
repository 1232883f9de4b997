import loadSolver from 'highs';
import { Board, propose, type Circuit, type SeasonFacts } from '../src/lib/core/schedule';
import { bestOf, type Bench } from './measure';
import { newId, season } from './season-propose';

/*
 * Our search for a season against a general solver of integer programs (HiGHS). The program: for each circuit a path of
 * days from the season's start to its end, each step costing what our search counts for a gap; paths share the lab's
 * bottles a day, a team's people, and gear that must dry between waters. Who goes is left out, which can only help the
 * solver: its cost is a bound that ours cannot pass.
 */

const LIMIT_s = 60;
const TOO_FAR = 100_000;

interface Arc {
	name: string;
	cost: number;
	/** Day on which the step arrives; null for the season's end. */
	day: number | null;
}

/** The cost that our search gives a gap. */
function gapCost({ spacing: { aim_days, most_days } }: Circuit, gap: number): number {
	return (gap - aim_days) ** 2 + (gap > most_days ? TOO_FAR * (1 + Math.floor((gap - most_days) / aim_days)) : 0);
}

function asProgram(facts: SeasonFacts): string {
	const board = new Board(facts, []);
	const objective: string[] = [];
	const rows: string[] = [];
	const all: Arc[] = [];
	const visits = new Map<string, string[]>(); // arcs that arrive at a circuit's day
	for (const circuit of facts.circuits) {
		const days: number[] = [];
		for (let day = facts.from; day <= facts.to; day++) if (board.dayBreaches(circuit, day).length === 0) days.push(day);
		const leaving = new Map<number | 'start', string[]>();
		const endCost = (gap: number) => (gap > circuit.spacing.aim_days ? gapCost(circuit, gap) : 0);
		const add = (from: number | 'start', day: number | null, cost: number) => {
			const name = `x_${circuit.id}_${from}_${day ?? 'end'}`;
			all.push({ name, cost, day });
			leaving.set(from, [...(leaving.get(from) ?? []), name]);
			if (day !== null) visits.set(`${circuit.id} ${day}`, [...(visits.get(`${circuit.id} ${day}`) ?? []), name]);
		};
		for (const day of days) {
			if (day - facts.from <= 2 * circuit.spacing.aim_days) add('start', day, endCost(day - facts.from));
			for (const next of days)
				if (next - day >= circuit.spacing.least_days && next - day <= 2 * circuit.spacing.aim_days)
					add(day, next, gapCost(circuit, next - day));
			if (facts.to - day <= 2 * circuit.spacing.aim_days) add(day, null, endCost(facts.to - day));
		}
		rows.push(`${(leaving.get('start') ?? []).join(' + ')} = 1`);
		for (const day of days)
			rows.push(
				`${(visits.get(`${circuit.id} ${day}`) ?? []).join(' + ')} ` +
					`${(leaving.get(day) ?? []).map((n) => `- ${n}`).join(' ')} = 0`
			);
	}
	for (const arc of all) if (arc.cost) objective.push(`${arc.cost} ${arc.name}`);
	const at = (circuit: Circuit, day: number) => visits.get(`${circuit.id} ${day}`) ?? [];
	for (let day = facts.from; day <= facts.to; day++) {
		const bottles = facts.circuits.flatMap((c) => at(c, day));
		if (bottles.length) rows.push(`${bottles.join(' + ')} <= ${facts.labs['bench']!.bottlesADay}`);
		for (const team of new Set(facts.circuits.map((c) => c.teamId))) {
			const own = facts.circuits.filter((c) => c.teamId === team);
			const free = facts.people.filter((p) => p.teamId === team && board.isFree(p.id, day)).length;
			const going = own.flatMap((c) => at(c, day));
			if (going.length) rows.push(`${going.join(' + ')} <= ${Math.floor(free / 2)}`);
			// wet gear: of two waters only one within the days that it dries
			for (const wet of own.filter((c) => c.water === 'other'))
				for (let near = day - facts.dryingDays(day) + 1; near < day + facts.dryingDays(day); near++)
					for (const dry of own.filter((c) => c.water !== wet.water)) {
						const both = [...at(wet, day), ...at(dry, near)];
						if (at(wet, day).length && at(dry, near).length) rows.push(`${both.join(' + ')} <= 1`);
					}
		}
	}
	return (
		`Minimize\n obj: ${objective.join(' + ')}\nSubject ` +
		`To\n${rows.map((r, i) => ` r${i}: ${r}`).join('\n')}\nBinary\n ${all.map((a) => a.name).join(' ')}\nEnd\n`
	);
}

const against = (sites: number): Bench => ({
	name: `season-library-${sites}`,
	unit: 'ms',
	reach: 1,
	theirs: 'HiGHS, an integer program solver',
	needs: 'nothing',
	run: async () => {
		const facts = season(sites);
		let proposal = propose(facts, [], { seed: 1, newId });
		const ours = bestOf(3, () => (proposal = propose(facts, [], { seed: 1, newId })));
		const program = asProgram(facts);
		const solver = await loadSolver();
		const begun = performance.now();
		const solved = solver.solve(program, { time_limit: LIMIT_s, output_flag: false });
		const theirs = performance.now() - begun;
		return {
			ours,
			theirs,
			note: `cost ours ${Math.round(proposal.cost)}, solver ${Math.round(solved.ObjectiveValue)} (${solved.Status})`
		};
	}
});

export const seasonLibrary10 = against(10);
export const seasonLibrary100 = against(100);
