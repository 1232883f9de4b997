import type { Way } from '../quantity';

/** How a figure was found, as it stands after "by". */
export const wayWords: Record<Way, string> = {
	lab: 'the lab',
	plates: 'plates',
	tubes: 'tubes, by the most probable number',
	section: 'a cross-section',
	flume: 'a flume',
	bucket: 'bucket and stopwatch',
	sweep: 'a sweep',
	float: 'floats',
	meter: 'a meter',
	thermometer: 'a thermometer',
	titration: 'titration',
	staff: 'a staff gauge',
	tray: 'a sorted tray',
	disc: 'a disc',
	tube: 'a tube',
	kit: 'a colour kit',
	derived: 'working it out from other figures'
};
