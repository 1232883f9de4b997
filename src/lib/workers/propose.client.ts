import { proxy, wrap } from 'comlink';
import type { Proposal, SeasonRound, SeasonWire } from '$lib/core/schedule';
import type { ProposeWork } from './propose.worker';

/** Proposes a season off the page's thread. `stop` ends the work at once; `proposal` then never settles. */
export function proposeSeason(
	wire: SeasonWire,
	fixed: readonly SeasonRound[],
	seed: number,
	progress: (share: number) => void
) {
	const worker = new Worker(new URL('./propose.worker.ts', import.meta.url), { type: 'module' });
	const remote = wrap<ProposeWork>(worker);
	const proposal: Promise<Proposal> = remote(wire, [...fixed], seed, proxy(progress)).finally(() => worker.terminate());
	return { proposal, stop: () => worker.terminate() };
}
