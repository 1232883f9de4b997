/** How a figure was found. Stored with it: a change of way in a series can look like a trend. */
export const ways = [
	'lab',
	'plates',
	'section',
	'flume',
	'bucket',
	'sweep',
	'float',
	'meter',
	'titration',
	'disc',
	'tube',
	'kit',
	'derived'
] as const;
export type Way = (typeof ways)[number];
