export interface StreamInOrder {
	id: string;
	joins: { streamId: string; at_km: number } | null;
}

/** Sites as water meets them: down each stream, a tributary's sites where it joins. */
export function inThreadOrder<S extends { streamId: string; river_km: number }>(
	streams: readonly StreamInOrder[],
	sites: readonly S[]
): S[] {
	const down = (streamId: string): S[] => {
		const own = sites.filter((s) => s.streamId === streamId).map((s) => ({ km: s.river_km, sites: [s] }));
		const joining = streams
			.filter((s) => s.joins?.streamId === streamId)
			.map((s) => ({ km: s.joins!.at_km, sites: down(s.id) }));
		return [...joining, ...own].sort((a, b) => b.km - a.km).flatMap((part) => part.sites);
	};
	return streams.filter((s) => s.joins === null).flatMap((s) => down(s.id));
}
