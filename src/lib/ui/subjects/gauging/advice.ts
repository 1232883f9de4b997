import { writeFixed, writeNumber } from '$lib/core/quantity';
import type { GaugingView } from '$lib/core/subjects/gauging/view';
import { inColumn } from './as-read';

export interface Advice {
	first: string;
	because: string;
}

interface Wanted {
	least: number;
	enough_percent: number;
	shareLimit_percent: number;
}

/** What to do next at a gauging, in two sentences: the deed, then the reason. */
export function sayAdvice(
	view: GaugingView | null,
	{ least, enough_percent, shareLimit_percent }: Wanted,
	tape: 'm' | 'ft' = 'm'
): Advice {
	const counted = view?.verticals.filter((v) => v.share_percent !== null) ?? [];
	if (!view?.start && counted.length === 0)
		return {
			first: 'Start at the edge of the water.',
			because: 'Read the tape where the water begins, then go across.'
		};
	if (counted.length < 3)
		return {
			first: 'Go on across.',
			because: `From five verticals on you see how sure the flow is; the card asks for ${least}.`
		};
	if (view && !view.end && counted.length >= least)
		return { first: 'Note the far edge of the water.', because: 'Without it the last strip is a guess.' };
	const heaviest = counted.reduce((a, b) => (b.share_percent! > a.share_percent! ? b : a));
	const now = view?.expanded_percent ?? null;
	const scatter = view?.uncertainty?.expandedPercent ?? null;
	const next = view?.next ?? null;
	const isHeavy = heaviest.share_percent! > shareLimit_percent;
	if (counted.length >= least && now !== null && now <= enough_percent && !isHeavy)
		return {
			first: 'That is enough for this card.',
			because: `± ${now.toFixed(0)} % from ${counted.length} verticals.`
		};
	const more = counted.length < least ? `${least - counted.length} more to reach the card’s ${least}. ` : '';
	if (next && now !== null && scatter !== null && counted.length >= least - 2)
		return {
			first: `Best next: a vertical at ${inColumn(Number(next.distance_m.toFixed(2)), tape)} ${tape}.`,
			because:
				`${more}Its scatter would go from ± ${writeFixed(scatter, 1)} % to ± ${writeFixed(next.thenPercent, 1)} ` +
				`%${now > scatter ? `; by the standard’s table so many verticals are ± ${now.toFixed(0)} %` : ''}${isHeavy ? `; ${inColumn(heaviest.distance_m!, tape)} ${tape} carries ${heaviest.share_percent!.toFixed(0)} % of the flow, more than ${writeNumber(shareLimit_percent)} %` : ''}.`
		};
	return { first: 'Go on across.', because: more || 'The next vertical tells more.' };
}
