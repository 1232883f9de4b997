/** Method cards are named by others and listed here; they are kept and edited in a way of their own. */
export const kindNames = [
	'program',
	'streams',
	'sites',
	'teams',
	'people',
	'depots',
	'labs',
	'drives',
	'circuits',
	'instruments',
	'consumables',
	'gear',
	'samplers',
	'flumes',
	'parameters',
	'thresholds',
	'animals',
	'cards'
] as const;
export type KindName = (typeof kindNames)[number];

/** A thing of the library. `id` tells it apart for good; its name may change. */
export type Row = { id: string } & Record<string, unknown>;

/** All that a program has set up, by kind. */
export type Library = Record<KindName, readonly Row[]>;
