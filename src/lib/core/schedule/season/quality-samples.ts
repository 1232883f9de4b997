export interface PlannedVisit {
	roundId: string;
	siteId: string;
	crew: readonly string[];
}

export interface QualityRates {
	/** One duplicate in so many samples, one blank in so many. */
	duplicateEvery: number;
	blankEvery: number;
}

export const usualRates: QualityRates = { duplicateEvery: 10, blankEvery: 20 };

export interface QualitySample {
	roundId: string;
	siteId: string;
	kind: 'duplicate' | 'blank';
}

/**
 * Duplicates and blanks over a season: one in every stretch of so many visits, at the site and with the people that
 * have had fewest so far, so that they are spread and nobody can guess a pattern of their own. Visits come in order
 * of time.
 */
export function placeQualitySamples(
	visits: readonly PlannedVisit[],
	rates: QualityRates = usualRates
): QualitySample[] {
	return (['duplicate', 'blank'] as const).flatMap((kind) => {
		const every = kind === 'duplicate' ? rates.duplicateEvery : rates.blankEvery;
		const atSite = new Map<string, number>();
		const withPerson = new Map<string, number>();
		const count = (map: Map<string, number>, key: string) => map.get(key) ?? 0;
		const placed: QualitySample[] = [];
		for (let start = 0; start + every <= visits.length; start += every) {
			const stretch = visits.slice(start, start + every);
			const burden = (v: PlannedVisit) =>
				count(atSite, v.siteId) + v.crew.reduce((n, p) => n + count(withPerson, p), 0) / Math.max(1, v.crew.length);
			const chosen = stretch.reduce((best, v) => (burden(v) < burden(best) ? v : best));
			placed.push({ roundId: chosen.roundId, siteId: chosen.siteId, kind });
			atSite.set(chosen.siteId, count(atSite, chosen.siteId) + 1);
			for (const p of chosen.crew) withPerson.set(p, count(withPerson, p) + 1);
		}
		return placed;
	});
}
