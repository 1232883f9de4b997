import type { VisitPlan } from './logbook-writer';

/* When the demo's teams went out, as days before the last one; and the incidents that make its story. */

export type Team = 'Upper' | 'Middle' | 'Lower';
export const teams: readonly Team[] = ['Upper', 'Middle', 'Lower'];

const DAY_ms = 86_400_000;
const ROUNDS = 36;
const EVERY_days = 30;
/** Days since each team was last out: one is out now, one is done for this month, one is due. */
const LAST_OUT: Record<Team, number> = { Upper: 12, Middle: 0, Lower: 33 };

/**
 * Days ago of each round of a team, oldest first; none but today's on a Friday, Saturday or Sunday, so couriers run.
 */
export function roundDays(team: Team, now_ms: number): number[] {
	const days = Array.from({ length: ROUNDS }, (_, k) => LAST_OUT[team] + EVERY_days * k).map((ago) =>
		ago === 0 ? 0 : ago + afterThursday(now_ms - ago * DAY_ms)
	);
	return days.reverse();
}

const afterThursday = (at_ms: number) => [3, 0, 0, 0, 0, 1, 2][new Date(at_ms).getUTCDay()]!;

/** Storms worth remembering: one just before the Lower team's last round, others over the years. */
export const stormDaysAgo = [34, 35, 162, 398, 641, 905];

/** What went wrong where: by site and number of rounds back. */
export const incidents: Record<string, Partial<Record<number, NonNullable<VisitPlan['incident']> | 'missed'>>> = {
	TE1: { 14: 'ice', 5: 'depth-in-dm' },
	HO2: { 2: 'two-values' },
	TE2: { 0: 'depth-in-dm', 9: 'late-to-lab' },
	EB1: { 7: 'depth-in-dm' },
	EB2: { 1: 'two-values' },
	TE4: { 4: 'late-to-lab' },
	TE5: { 11: 'late-to-lab', 3: 'depth-in-dm' },
	QU1: { 0: 'missed' }
};

/** Card version 2 came into use this many days ago. */
export const SECOND_VERSION_days = 700;
/** Since when the Middle team's oxygen probe has not been calibrated. */
export const FORGOTTEN_PROBE_days = 240;
