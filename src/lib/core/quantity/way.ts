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

/** Ways in which a figure is read off something; in the others arithmetic makes it, and its digits say nothing. */
const read: readonly Way[] = ['lab', 'meter', 'thermometer', 'staff', 'disc', 'tube', 'kit'];
export const isRead = (way: Way): boolean => read.includes(way);
