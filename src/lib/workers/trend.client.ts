import { proxy, wrap } from 'comlink';
import type { siteTrend, SiteTrend, TrendPoint } from '$lib/core/interpret';

export interface TrendWork {
	trend: Promise<SiteTrend | null>;
	/** Ends the work at once; `trend` then never settles. */
	cancel: () => void;
}

/** Works out a trend off the page's thread. `progress` is told the share done. */
export function workOutTrend(points: readonly TrendPoint[], progress: (share: number) => void): TrendWork {
	const worker = new Worker(new URL('./trend.worker.ts', import.meta.url), { type: 'module' });
	const remote = wrap<typeof siteTrend>(worker);
	const trend = remote([...points], proxy(progress)).finally(() => worker.terminate());
	return { trend, cancel: () => worker.terminate() };
}
