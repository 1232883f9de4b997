import type { Board } from './breaches';
import { crewFor } from './crew';
import type { SamplerTask } from './samplers';

export interface SamplerTrip {
	circuitId: string;
	day: number;
	crew: string[];
}

/**
 * The first day, not before `today`, on which somebody of the circuit that has the site could go to a sampler; null
 * where nobody can.
 */
export function samplerTrip(board: Board, task: SamplerTask, today: number): SamplerTrip | null {
	const circuit = board.facts.circuits.find((c) => c.siteIds.includes(task.siteId));
	if (!circuit) return null;
	const rank = new Map(board.facts.people.map((p, i) => [p.id, i]));
	// to look at a bag no bottle is handed in, and no weekday is kept: the lab plays no part
	const trip = { ...circuit, bottles: 0, weekdays: [0, 1, 2, 3, 4, 5, 6] };
	for (let day = Math.max(today, task.earliest); day <= task.latest; day++) {
		const crew = crewFor(board, trip, day, new Map(), rank);
		if (
			'crew' in crew &&
			board.dayBreaches(trip, day, null, { purpose: 'sampler', siteIds: [task.siteId] }).length === 0
		)
			return { circuitId: circuit.id, day, crew: crew.crew };
	}
	return null;
}
