import type { Board } from './breaches';
import type { SeasonRound } from './season';

const AS_FAR_AS_days = 45;

/**
 * The day nearest to a round's own, from `earliest` on, on which it breaks no rule; null where there is none in six
 * weeks either way.
 */
export function nearestDay(board: Board, round: SeasonRound, earliest: number): number | null {
	for (let off = 1; off <= AS_FAR_AS_days; off++)
		for (const day of [round.day + off, round.day - off])
			if (day >= earliest && board.breaches({ ...round, day }).length === 0) return day;
	return null;
}
