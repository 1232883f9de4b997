const MONTHS = ['Dec–Feb', 'Mar–May', 'Jun–Aug', 'Sep–Nov'] as const;

/** Three months of a year that samplings are set beside each other for; December counts to the year that follows. */
export function quarterOf(at_ms: number): { id: string; name: string } {
	const day = new Date(at_ms);
	const isDecember = day.getUTCMonth() === 11;
	const year = day.getUTCFullYear() + (isDecember ? 1 : 0);
	const nth = Math.floor(((day.getUTCMonth() + 1) % 12) / 3);
	return { id: `${String(year)}-${String(nth)}`, name: `${MONTHS[nth]!} ${String(year)}` };
}

/**
 * Of samplings, the earliest first: the latest of each site in those months, of all time where none are named; one that
 * was counted where there is one, for what was only looked at does not compare.
 */
export function latestOfEach<S extends { siteId: string; started_ms: number; knowsShares: boolean }>(
	samplings: readonly S[],
	quarter: string | null
): Map<string, S> {
	const latest = new Map<string, S>();
	const inMonths = samplings.filter((s) => quarter === null || quarterOf(s.started_ms).id === quarter);
	for (const isCounted of [false, true])
		for (const sampling of inMonths) if (sampling.knowsShares === isCounted) latest.set(sampling.siteId, sampling);
	return latest;
}
