import type { FileRow } from '../library';
import { animalList, type OwnAnimal } from '../macroinvertebrates';
import type { TraySchool } from '../subjects/tray/step';
import { schoolWords } from '../subjects/tray/words';
import { counted, listed, sayDay } from '../wording';
import type { KnownTray } from './known-tray';
import { countFieldOf, missingCountFields, type CountField, type CountMapping } from './mapping';
import { readCountRow, type CountRow } from './read-counts';

export interface PlannedSample {
	/** As the file names it. */
	name: string;
	lines: number[];
	/** `same`: just these counts stand there. `opens`: no such visit is there yet, and one is opened for it. */
	verdict: 'new' | 'opens' | 'same' | 'refused';
	at: { visitId: string; step: string } | { site: string; day: string } | null;
	school: TraySchool;
	/** Its tray was said to be sorted before: that moment stays. */
	isEnded: boolean;
	kinds: { code: string; count: number }[];
	animals: number;
	/** Why it is not written. */
	why: string[];
	/** What is written, and ought to be looked at. */
	doubts: string[];
}

export interface CountPlan {
	samples: PlannedSample[];
	rows: CountRow[];
	/** Names of animals that nobody here knows, each once. */
	strange: string[];
	/** Headings that say nothing here, each with the first that stands under it. */
	unknown: { heading: string; example: string }[];
	missingFields: CountField[];
}

interface PlanOptions {
	mapping: CountMapping;
	/** What the program says of its own animals. */
	animals: readonly OwnAnimal[];
	trays: readonly KnownTray[];
	/** Codes of the program's sites. */
	sites: readonly string[];
	/** Today's ISO day: nothing was counted after it. */
	today: string;
	/** How trays of visits are sorted that are opened for what has none; null: nothing is opened. */
	opensAs: TraySchool | null;
}

/** What a file of counts would write, sample by sample. Nothing is written here. */
export function planCounts(file: readonly FileRow[], options: PlanOptions): CountPlan {
	const { mapping } = options;
	const animals = animalList(options.animals);
	const headings = [...new Set(file.flatMap((r) => Object.keys(r.cells)))];
	const meant = new Map(headings.map((h) => [h, countFieldOf(h, mapping)]));
	const missingFields = missingCountFields(new Set(meant.values()));
	const rows = missingFields.length ? [] : file.map((row) => readCountRow(row, mapping, animals));
	const bySample = new Map<string, CountRow[]>();
	for (const row of rows) {
		const there = bySample.get(nameOf(row));
		if (there) there.push(row);
		else bySample.set(nameOf(row), [row]);
	}
	const samples = [...bySample].map(([name, of]) => sampleOf(name, of, options));
	refuseTwice(samples);
	return {
		samples,
		rows,
		strange: [...new Set(rows.filter((r) => r.isStrange).map((r) => r.word))],
		unknown: headings
			.filter((h) => meant.get(h) === null)
			.map((heading) => ({ heading, example: file.find((r) => r.cells[heading])?.cells[heading] ?? '' })),
		missingFields
	};
}

const sayIso = (day: string): string => sayDay(Date.parse(day), 'UTC', true);
const nameOf = ({ label, site, day }: CountRow): string =>
	label || `${site || 'no site'}, ${day ? sayIso(day) : 'no day'}`;

function sampleOf(name: string, rows: readonly CountRow[], options: PlanOptions): PlannedSample {
	const found = placeOf(rows, options);
	const counts = new Map<string, CountRow[]>();
	for (const row of rows)
		if (row.code !== null && row.count > 0) counts.set(row.code, [...(counts.get(row.code) ?? []), row]);
	const kinds = [...counts].map(([code, of]) => ({ code, count: of.reduce((sum, r) => sum + r.count, 0) }));
	const unread = rows.filter((r) => r.why !== null);
	const why = unread.length
		? [`It waits for ${counted(unread.length, 'row')}. ${unread[0]!.why}`]
		: [...('why' in found ? [found.why] : []), ...(kinds.length ? [] : ['There is no animal in it.'])];
	const sample: PlannedSample = {
		name,
		lines: rows.map((r) => r.line),
		verdict: 'refused',
		at: null,
		school: 'count',
		isEnded: false,
		kinds,
		animals: kinds.reduce((sum, k) => sum + k.count, 0),
		why,
		doubts: doubtsOf(rows, counts)
	};
	if ('why' in found) return sample;
	if ('opens' in found)
		return why.length ? sample : { ...sample, verdict: 'opens', at: found.opens, school: options.opensAs ?? 'count' };
	const { tray } = found;
	const at = { visitId: tray.visitId, step: tray.step };
	const here = { ...sample, at, school: tray.school, isEnded: tray.isEnded };
	if (why.length) return here;
	if (isSame(kinds, tray)) return { ...here, verdict: 'same', doubts: [] };
	const there = Object.values(tray.kinds).reduce((sum, n) => sum + n, 0);
	if (there === 0) return { ...here, verdict: 'new' };
	return {
		...here,
		why: [
			tray.from === null
				? `${counted(there, 'animal')} were counted in it already. A count is not added to another.`
				: `${tray.from} brought ${counted(there, 'animal')} for it already. Strike those first, below.`
		]
	};
}

type Found = { tray: KnownTray } | { opens: { site: string; day: string } } | { why: string };

/** The tray that rows speak of. */
function placeOf(rows: readonly CountRow[], { trays, sites, today, opensAs }: PlanOptions): Found {
	const { label } = rows[0]!;
	// of a label's rows each may name its site and day too, or only the first
	const said = (which: 'site' | 'day') => [...new Set(rows.flatMap((r) => r[which] || []))];
	const [site, day] = [said('site'), said('day')];
	if (site.length > 1 || day.length > 1)
		return { why: `Its rows name ${listed([...site, ...day.map(sayIso)])}: which is it?` };
	if (label === '' && (site.length === 0 || day.length === 0))
		return { why: site.length ? 'It names no day.' : 'It names no site.' };
	const isIt = (t: KnownTray) =>
		(label === '' || t.label?.toUpperCase() === label) &&
		(site.length === 0 || t.site.toUpperCase() === site[0]) &&
		(day.length === 0 || t.day === day[0]);
	const [tray, twin] = trays.filter(isIt);
	if (twin)
		return {
			why:
				label === ''
					? `Two trays were sorted there on that day: name the sample by its label.`
					: `Two samples have the label ${label}: name the site and the day too.`
		};
	if (tray)
		return knowsWhole(tray)
			? { tray }
			: { why: `Its card says: ${schoolWords[tray.school]}. A count of all has no place there.` };
	if (label !== '' && trays.some((t) => t.label?.toUpperCase() === label))
		return { why: `The sample ${label} is of another site, or another day.` };
	const [ofSite, ofDay] = [site[0], day[0]];
	if (!ofSite || !ofDay) return { why: `No sample of this program has the label ${label}.` };
	if (!sites.includes(ofSite)) return { why: `There is no site ${ofSite} in this program.` };
	if (ofDay > today) return { why: `${sayIso(ofDay)} is still to come.` };
	return opensAs === null
		? {
				why:
					`No visit to ${ofSite} on ${sayIso(ofDay)} has a tray of animals. One can be opened for it: choose its ` +
					'card above.'
			}
		: { opens: { site: ofSite, day: ofDay } };
}

/** Schools into which the count of a whole sample fits. A pick has its clock, a grid its squares. */
const knowsWhole = ({ school }: KnownTray): boolean => ['count', 'classes', 'presence'].includes(school);

function isSame(kinds: PlannedSample['kinds'], { kinds: there, school }: KnownTray): boolean {
	const known = Object.entries(there).filter(([, n]) => n > 0);
	return (
		known.length === kinds.length &&
		kinds.every(({ code, count }) => (school === 'count' ? there[code] === count : (there[code] ?? 0) > 0))
	);
}

function doubtsOf(rows: readonly CountRow[], counts: ReadonlyMap<string, readonly CountRow[]>): string[] {
	const left = rows.filter((r) => r.code === null && r.why === null && r.count > 0);
	const said = (r: CountRow) => `${r.word} ${r.count}`;
	return [
		...[...counts].flatMap(([code, of]) =>
			of.length > 1 ? [`Counted together as ${code}: ${listed(of.map(said))}.`] : []
		),
		...(left.length ? [`Left out: ${listed(left.map(said))}.`] : [])
	];
}

/** Two names of one tray in one file: neither is written, for nobody can tell whether they are one count or two. */
function refuseTwice(samples: PlannedSample[]): void {
	const seen = new Map<string, PlannedSample>();
	for (const sample of samples) {
		if (sample.at === null || sample.verdict === 'refused') continue;
		const key = JSON.stringify(sample.at);
		const first = seen.get(key);
		if (first === undefined) seen.set(key, sample);
		else
			for (const [one, other] of [
				[first, sample],
				[sample, first]
			] as const)
				Object.assign(one, { verdict: 'refused', why: [`${other.name} is the same sample. Leave one of them out.`] });
	}
}
