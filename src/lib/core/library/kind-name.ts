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
	'cards'
] as const;
export type KindName = (typeof kindNames)[number];
