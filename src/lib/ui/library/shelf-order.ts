import type { Texts } from '$lib/core/library';

export interface ShelfRow {
	id: string;
	name: string;
	texts: Texts;
	/** Of its numbers that have none of their own. */
	unit: string;
	endedOn: string | null;
	doubts: string[];
}

export interface Wanted {
	search: string;
	/** A field and the text that it must have. */
	filter: { field: string; text: string } | null;
	sort: { field: string; descending: boolean; isNumber?: boolean };
	withEnded: boolean;
}

const inWords = new Intl.Collator('en', { numeric: true, sensitivity: 'base' });

/**
 * Rows in which every word of the search stands somewhere, in the order that was asked for; what is empty comes last.
 */
export function shelfOrder(rows: readonly ShelfRow[], { search, filter, sort, withEnded }: Wanted): ShelfRow[] {
	const words = search.toLowerCase().split(/\s+/).filter(Boolean);
	const turn = sort.descending ? -1 : 1;
	return rows
		.filter((r) => withEnded || r.endedOn === null)
		.filter((r) => filter === null || filter.text === '' || r.texts[filter.field]?.split('; ').includes(filter.text))
		.filter((r) => {
			const all = Object.values(r.texts).join(' ').toLowerCase();
			// numbers are kept with a point; whoever writes a comma finds them too
			return words.every((w) => all.includes(w) || all.includes(w.replace(',', '.')));
		})
		.sort((a, b) => {
			const [x, y] = [a.texts[sort.field] ?? '', b.texts[sort.field] ?? ''];
			if ((x === '') !== (y === '')) return x === '' ? 1 : -1;
			const order = sort.isNumber ? Number(x) - Number(y) : inWords.compare(x, y);
			return turn * order || inWords.compare(a.name, b.name);
		});
}

/** The texts that a field has on the shelf, once each. */
export const textsOf = (rows: readonly ShelfRow[], field: string): string[] =>
	[...new Set(rows.flatMap((r) => (r.texts[field] ?? '').split('; ')).filter(Boolean))].sort(inWords.compare);
