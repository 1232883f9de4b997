/**
 * How a figure was found, in the order in which those of one parameter are reported (`visit/report-choice.ts` says
 * why). Stored with the figure: a change of way in a series can look like a trend.
 */
export const ways = [
	'lab',
	'plates',
	'tubes',
	'section',
	'flume',
	'bucket',
	'sweep',
	'float',
	'meter',
	'thermometer',
	'titration',
	'staff',
	'tray',
	'disc',
	'tube',
	'kit',
	'derived'
] as const;
export type Way = (typeof ways)[number];
