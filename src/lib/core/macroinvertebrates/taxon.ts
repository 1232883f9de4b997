export const sensitivityGroups = ['sensitive', 'middling', 'tolerant'] as const;
export type SensitivityGroup = (typeof sensitivityGroups)[number];

/** A kind of animal as it is told apart at a tray. */
export interface Taxon {
	/** As it stands in a logbook: the scientific name, one word. */
	code: string;
	rank: 'class' | 'order' | 'family';
	/** The larger group that it belongs to; its own code where it is one. */
	order: string;
	/** What people call it. */
	name: string;
	/** 0 stands no organic load, 10 much of it; null where the list does not rate it. */
	tolerance: number | null;
	/** 1 to 10, the most for what asks for the cleanest water; null where the list does not rate it. */
	score: number | null;
	group: SensitivityGroup | null;
}

const numberOf = (cell: string | undefined): number | null => (cell ? Number(cell) : null);

/** Taxa from a table of their own, a line each, cells between bars. */
export const parse = (table: string): readonly Taxon[] =>
	table
		.trim()
		.split('\n')
		.map((line) => {
			const [code = '', rank, order = '', name = '', tolerance, score, group] = line.split('|');
			return {
				code,
				rank: rank as Taxon['rank'],
				order,
				name,
				tolerance: numberOf(tolerance),
				score: numberOf(score),
				group: (group || null) as Taxon['group']
			};
		});
