import { Board, propose, type SeasonFacts } from '../src/lib/core/schedule';
import { bestOf, type Bench } from './measure';

const FROM = 20_529;
const WEEKS = 40;
export const newId = (circuitId: string, n: number) => `${circuitId} ${n}`;

/**
 * A season of so many sites, each a circuit of its own, three or four to a team with its kit, two rivers, one busy
 * lab.
 */
export function season(sites: number): SeasonFacts {
	const teams = Math.ceil(sites / 3.4);
	return {
		from: FROM,
		to: FROM + WEEKS * 7 - 1,
		circuits: Array.from({ length: sites }, (_, n) => ({
			id: `c${n}`,
			name: `circuit ${n}`,
			siteIds: [`s${n}`],
			water: n % teams === 0 && n >= teams ? 'other' : 'main',
			kit: `kit ${n % teams}`,
			teamId: `t${n % teams}`,
			weekdays: [1, 2, 3],
			spacing: { least_days: 15, aim_days: 30, most_days: 37 },
			crew: 2,
			needs: n % 2 ? (['trained crew'] as const) : [],
			labId: 'bench',
			bottles: 1
		})),
		people: Array.from({ length: teams * 4 }, (_, n) => ({
			id: `p${n}`,
			teamId: `t${n % teams}`,
			skills: ['trained crew'],
			trainedUntil: null,
			weekdays: n % 3 ? [1, 2, 3, 4, 5] : [1, 3],
			away: [{ from: FROM + 3 * n, to: FROM + 3 * n + 10 }]
		})),
		labs: { bench: { weekdays: [1, 2, 3, 4], closed: [FROM + 50], bottlesADay: Math.max(4, Math.ceil(sites / 8)) } },
		dryingDays: () => 7,
		disinfected: new Set()
	};
}

const proposes = (sites: number, limit_s: number): Bench => ({
	name: `season-propose-${sites}`,
	unit: 'ms',
	reach: 1,
	theirs: `limit ${limit_s} s`,
	needs: 'nothing',
	run: () => {
		const facts = season(sites);
		let proposal = propose(facts, [], { seed: 1, newId });
		const ours = bestOf(3, () => (proposal = propose(facts, [], { seed: 1, newId })));
		const board = new Board(facts, proposal.rounds);
		const broken = proposal.rounds.flatMap((r) => board.breaches(r)).filter((b) => b.rule !== 'too-far');
		if (broken.length) throw new Error(`a rule is broken: ${JSON.stringify(broken[0])}`);
		return Promise.resolve({
			ours,
			theirs: limit_s * 1000,
			note: `${proposal.rounds.length} rounds, no rule broken, ${proposal.unmet.length} wishes not met`
		});
	}
});

export const seasonPropose10 = proposes(10, 1);
export const seasonPropose100 = proposes(100, 10);
