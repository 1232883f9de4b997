import { expose } from 'comlink';
import { factsFromWire, propose, type Proposal, type SeasonRound, type SeasonWire } from '$lib/core/schedule';

const work = (
	wire: SeasonWire,
	fixed: readonly SeasonRound[],
	seed: number,
	onProgress: (share: number) => void
): Proposal =>
	propose(factsFromWire(wire), fixed, { seed, newId: (circuitId, n) => `proposed ${circuitId} ${n}`, onProgress });

expose(work);
export type ProposeWork = typeof work;
