export const sensitivityGroups = ['sensitive', 'middling', 'tolerant'] as const;
export type SensitivityGroup = (typeof sensitivityGroups)[number];

export const taxonRanks = ['class', 'order', 'family', 'genus', 'species'] as const;
export type TaxonRank = (typeof taxonRanks)[number];
/** Names of larger groups, which say less of an animal than its family does. */
export const isLargerGroup = ({ rank }: Pick<Taxon, 'rank'>): boolean => rank === 'class' || rank === 'order';

/** A kind of animal as it is told apart at a tray. */
export interface Taxon {
	/** As it stands in a logbook: the scientific name, one word. */
	code: string;
	rank: TaxonRank;
	/** The larger group that it belongs to; its own code where it is one. */
	order: string;
	/** What people call it. */
	name: string;
	/** 0 stands no organic load, 10 much of it; null where the list does not rate it. */
	tolerance: number | null;
	/** 1 to 10, the most for what asks for the cleanest water; null where the list does not rate it. */
	score: number | null;
	group: SensitivityGroup | null;
	/** The family whose score it has, where it is one name of several for it; else its own code. */
	scoresAs: string;
	/** Larger groups that it belongs to, by their codes: the same animal may have been given one of these names. */
	within: readonly string[];
}

const numberOf = (cell: string | undefined): number | null => (cell ? Number(cell) : null);

/** Taxa from a table of their own, a line each, cells between bars. */
export function parse(table: string): readonly Taxon[] {
	const rows = table
		.trim()
		.split('\n')
		.map((line) => {
			const [code = '', rank, order = '', name = '', tolerance, score, group] = line.split('|');
			return {
				code,
				rank: rank as TaxonRank,
				order,
				name,
				tolerance: numberOf(tolerance),
				score: numberOf(score),
				group: (group || null) as Taxon['group']
			};
		});
	const larger = rows.filter(isLargerGroup);
	return rows.map((row) => ({
		...row,
		// red midges and the others are one family under two names
		scoresAs: row.code.split('-')[0]!,
		within: isLargerGroup(row) ? [] : larger.filter((group) => group.order === row.order).map(({ code }) => code)
	}));
}
