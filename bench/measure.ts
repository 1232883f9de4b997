/** What a benchmark says: both sides measured in the same run, or `theirs` a limit that is named. */
export interface Measured {
	ours: number;
	theirs: number;
	/** What else belongs to the figure, for the person who reads the table. */
	note?: string;
}

export interface Bench {
	name: string;
	unit: string;
	/** Ratio that is aimed at. */
	reach: number;
	theirs: string;
	/** What has to be running: the served application with its demo, or nothing. */
	needs: 'application' | 'nothing';
	run: (where: Where) => Promise<Measured>;
}

/** The served application with its demo, and its database. */
export interface Where {
	url: string;
	databaseUrl: string;
	scratch: string;
}

export function median(values: readonly number[]): number {
	const sorted = [...values].sort((a, b) => a - b);
	return sorted[Math.floor(sorted.length / 2)] ?? NaN;
}

export async function timed(work: () => Promise<unknown>): Promise<number> {
	const began = performance.now();
	await work();
	return performance.now() - began;
}

/** The quickest of so many runs, ms: what the work takes when nothing else disturbs it. */
export function bestOf(runs: number, work: () => void): number {
	let best = Infinity;
	for (let i = 0; i < runs; i++) {
		const began = performance.now();
		work();
		best = Math.min(best, performance.now() - began);
	}
	return best;
}
