import type { Blocker } from './why-not';
import type { Board, Breach } from './breaches';
import { crewFor } from './crew';
import type { Circuit } from './season';

/** Rain of a day at a gauge; null where the gauge said nothing. */
export interface RainDay {
	day: number;
	rain_mm: number | null;
}

export interface Storm {
	/** The last day of its rain: from its end the time for a storm round is counted. */
	day: number;
	/** Over all its days in a row. */
	rain_mm: number;
}

/** Storms in a rain record: days with at least `least_mm`, those in a row as one. */
export function stormsIn(rain: readonly RainDay[], least_mm: number): Storm[] {
	const storms: Storm[] = [];
	for (const { day, rain_mm } of [...rain].sort((a, b) => a.day - b.day)) {
		if (rain_mm === null || rain_mm < least_mm) continue;
		const last = storms.at(-1);
		if (last?.day === day - 1) {
			last.day = day;
			last.rain_mm += rain_mm;
		} else storms.push({ day, rain_mm });
	}
	return storms;
}

/** What a gauge said, and where a storm round could still go. */
export interface AfterStorm {
	/** Null where the program has no gauge. */
	gauge: { name: string; isSimulated: boolean } | null;
	/** Rain of the last days, for whoever wants to see it. */
	rain: RainDay[];
	/** Rain in a day that counts as a storm, and how soon a round goes after it. */
	least_mm: number;
	within_h: number;
	/** The latest storm for which there is still time; null where there is none. */
	storm: Storm | null;
	offers: StormOffer[];
}

export interface StormOffer {
	circuitId: string;
	/** The first day that breaks no rule, with who goes; null where none does. */
	go: { day: number; crew: string[] } | null;
	/** The day of a round that is planned in that time anyway. */
	anyway: number | null;
	/** What stands against each day in the window, where no day does. */
	against: { day: number; why: (Breach | Blocker)[] }[];
}

/**
 * For each circuit the first day, from now on and at most `within_days` after the storm, on which a storm round breaks
 * no rule. The spacing of grabs does not hold for it.
 */
export function stormOffers(
	board: Board,
	storm: Storm,
	now: { day: number; minute: number },
	within_days: number
): StormOffer[] {
	const shares = new Map<string, number>();
	for (const circuit of board.facts.circuits)
		for (const round of board.of(circuit.id)) for (const id of round.crew) shares.set(id, (shares.get(id) ?? 0) + 1);
	const rank = new Map(board.facts.people.map((p, i) => [p.id, i]));
	return board.facts.circuits.map((circuit) => offerFor(circuit));

	function offerFor(circuit: Circuit): StormOffer {
		const against: StormOffer['against'] = [];
		const isTooLate = now.minute > (circuit.latestStart_min ?? Infinity);
		const from = Math.max(now.day + (isTooLate ? 1 : 0), storm.day);
		const anyway =
			board.of(circuit.id).find((r) => r.state === 'planned' && r.day >= now.day && r.day <= storm.day + within_days)
				?.day ?? null;
		if (anyway !== null) return { circuitId: circuit.id, go: null, anyway, against };
		for (let day = from; day <= storm.day + within_days; day++) {
			const why: (Breach | Blocker)[] = board.dayBreaches(circuit, day, null, { purpose: 'storm' });
			const crew = crewFor(board, circuit, day, shares, rank);
			if (!('crew' in crew))
				why.push(crew.lacking === null ? { rule: 'nobody-free' } : { rule: 'skill-missing', skill: crew.lacking });
			if (why.length === 0 && 'crew' in crew)
				return { circuitId: circuit.id, go: { day, crew: crew.crew }, anyway, against: [] };
			against.push({ day, why });
		}
		return { circuitId: circuit.id, go: null, anyway, against };
	}
}
