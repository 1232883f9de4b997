import { parse, type Info } from 'csv-parse/sync';
import { XMLParser } from 'fast-xml-parser';
import { SyntaxValidator } from 'fast-xml-validator';
import { z } from 'zod';
import type { FileRow, KindName } from '../../core/library';
import { distance_km } from '../../core/schedule';
import { unescaped } from './cell';

/* Files that come in: CSV for everything; GeoJSON and GPX for sites (points) and streams (lines). */

/** More than this is no list that a person keeps. */
export const MOST_ROWS = 2000;

const MOST_HEADINGS = 200;
const MOST_LETTERS = 20_000;

export type FileRead = { rows: FileRow[] } | { why: string };

/** Reads a file by what it is, whatever its name says. */
export function readFile(text: string, kind: KindName): FileRead {
	const start = text.replace(/^\uFEFF/, '').trimStart();
	const asText = () => (start.startsWith('{') ? readGeoJson(start, kind) : readCsv(text));
	const read = start.startsWith('<') ? readGpx(start, kind) : asText();
	if ('rows' in read && read.rows.length > MOST_ROWS) return { why: tooMany(read.rows.length) };
	if ('rows' in read && read.rows.length === 0) return { why: 'There is nothing in this file that could be taken.' };
	return read;
}

const tooMany = (n: number) =>
	`${n.toLocaleString('en')} rows; at most ${MOST_ROWS.toLocaleString('en')} are taken at once. Nothing was written; ` +
	'leave out what is not needed.';

const commas = (line: string, mark: string) => line.split(mark).length;

/** Rows of a file with headings, whichever of comma, semicolon and tab parts its cells. */
export function readCsv(text: string): FileRead {
	const begins = text.startsWith('\uFEFF') ? 1 : 0;
	const ends = text.indexOf('\n');
	const head = text.slice(begins, ends === -1 ? MOST_LETTERS : Math.min(ends, begins + 10 * MOST_LETTERS));
	const delimiter = [',', ';', '\t'].sort((a, b) => commas(head, b) - commas(head, a))[0]!;
	let records: { record: string[]; info: Info }[];
	try {
		records = parse(text, {
			bom: true,
			delimiter,
			info: true,
			relax_column_count: true,
			skip_empty_lines: true,
			trim: true
		}) as unknown as typeof records;
	} catch (trouble) {
		const line = (trouble as { lines?: number }).lines;
		return {
			why:
				`This is no CSV${line ? ` from line ${line} on` : ''}: ` +
				`${trouble instanceof Error ? trouble.message : 'it cannot be read'}. A quotation mark may not be closed.`
		};
	}
	const headings = records[0]?.record ?? [];
	if (headings.length > MOST_HEADINGS)
		return { why: `${headings.length.toLocaleString('en')} headings; no list has more than ${MOST_HEADINGS}.` };
	const long = records.find(({ record }) => record.some((cell) => cell.length > MOST_LETTERS));
	if (long)
		return {
			why:
				`Line ${long.info.lines}: a cell has more than ${MOST_LETTERS.toLocaleString('en')} letters. ` +
				'Nothing was read.'
		};
	const seen = new Set<string>();
	const twice = headings.find((h) => h !== '' && (seen.has(h) || !seen.add(h)));
	if (twice !== undefined) return { why: `The heading “${twice}” is there twice.` };
	return {
		rows: records.slice(1).map(({ record, info }) => ({
			line: info.lines,
			cells: Object.fromEntries(headings.flatMap((h, i) => (h === '' ? [] : [[h, unescaped(record[i] ?? '')]]))),
			...(record.length === headings.length
				? {}
				: { broken: `The row has ${record.length} cells, the headings are ${headings.length}.` })
		}))
	};
}

const Position = z.tuple([z.number(), z.number()]).rest(z.number());
const Cell = z.union([z.string(), z.number(), z.boolean(), z.null()]);
const Feature = z.object({
	type: z.literal('Feature'),
	geometry: z.union([
		z.null(),
		z.object({ type: z.literal('Point'), coordinates: Position }),
		z.object({ type: z.literal('LineString'), coordinates: z.array(Position).min(2) }),
		z.object({ type: z.enum(['Polygon', 'MultiPoint', 'MultiLineString', 'MultiPolygon', 'GeometryCollection']) })
	]),
	properties: z.record(z.string(), z.unknown()).nullable()
});
const Collection = z.object({ type: z.literal('FeatureCollection'), features: z.array(z.unknown()) });

function readGeoJson(text: string, kind: KindName): FileRead {
	let json: unknown;
	try {
		json = JSON.parse(text);
	} catch (trouble) {
		return { why: `This is no JSON: ${trouble instanceof Error ? trouble.message : 'it cannot be read'}.` };
	}
	const collection = Collection.safeParse(json);
	if (!collection.success) return { why: 'This is no GeoJSON FeatureCollection.' };
	if (collection.data.features.length > MOST_ROWS) return { why: tooMany(collection.data.features.length) };
	return {
		rows: collection.data.features.flatMap((given, i): FileRow[] => {
			const line = i + 1;
			const feature = Feature.safeParse(given);
			if (!feature.success)
				return [{ line, cells: {}, broken: `Feature ${line} is not one: ${feature.error.issues[0]!.message}.` }];
			const { geometry, properties } = feature.data;
			const cells: Record<string, string> = {};
			for (const [name, value] of Object.entries(properties ?? {}))
				if (Cell.safeParse(value).success) cells[name] = String((value as string | number | boolean | null) ?? '');
			if (geometry && 'coordinates' in geometry && geometry.type === 'Point' && kind !== 'streams') {
				const [longitude, latitude] = geometry.coordinates;
				return [{ line, cells: { ...cells, latitude: String(latitude), longitude: String(longitude) } }];
			}
			if (geometry && 'coordinates' in geometry && geometry.type === 'LineString' && kind === 'streams') {
				const points = geometry.coordinates.map(([longitude, latitude]) => ({ latitude, longitude }));
				return [{ line, cells: { length_km: lengthOf(points), ...cells } }];
			}
			return geometry === null ? [{ line, cells }] : []; // a line is no site, a point no stream
		})
	};
}

const lengthOf = (points: readonly { latitude: number; longitude: number }[]): string =>
	points
		.slice(1)
		.reduce((sum, p, i) => sum + distance_km(points[i]!, p), 0)
		.toFixed(3);

function listOf<T>(value: T | T[] | undefined): T[] {
	if (value === undefined) return [];
	return Array.isArray(value) ? value : [value];
}

interface GpxPoint {
	'@lat'?: string;
	'@lon'?: string;
	name?: string;
	desc?: string;
	ele?: string;
	extensions?: { field?: Named | Named[] };
}
interface Named {
	'@name'?: string;
	'#text'?: string;
}
interface GpxLine {
	name?: string;
	trkseg?: { trkpt?: GpxPoint | GpxPoint[] } | { trkpt?: GpxPoint | GpxPoint[] }[];
	rtept?: GpxPoint | GpxPoint[];
	extensions?: GpxPoint['extensions'];
}

function readGpx(text: string, kind: KindName): FileRead {
	if (/<!DOCTYPE/i.test(text))
		return { why: 'This file brings its own definitions (DOCTYPE); such files are not read.' };
	try {
		SyntaxValidator.validate(text);
	} catch (trouble) {
		const line = (trouble as { line?: number }).line;
		return {
			why:
				`This is no XML${line ? `: line ${line}` : ''}. ` +
				(trouble instanceof Error ? trouble.message : 'It cannot be read.')
		};
	}
	const parser = new XMLParser({
		ignoreAttributes: false,
		attributeNamePrefix: '@',
		parseTagValue: false,
		parseAttributeValue: false,
		removeNSPrefix: true,
		htmlEntities: true
	});
	const { gpx } = parser.parse(text) as {
		gpx?: { wpt?: GpxPoint | GpxPoint[]; trk?: GpxLine | GpxLine[]; rte?: GpxLine | GpxLine[] };
	};
	if (!gpx) return { why: 'This is no GPX: it has no gpx element.' };
	if (kind === 'streams')
		return {
			rows: [...listOf(gpx.trk), ...listOf(gpx.rte)].map((line, i) => {
				const points = [...listOf(line.trkseg).flatMap((s) => listOf(s.trkpt)), ...listOf(line.rtept)];
				return {
					line: i + 1,
					cells: { name: line.name ?? '', length_km: lengthOf(points.map(at)), ...extended(line.extensions) }
				};
			})
		};
	const places = listOf(gpx.wpt);
	if (places.length > MOST_ROWS) return { why: tooMany(places.length) };
	return {
		rows: places.map((p, i) => ({
			line: i + 1,
			cells: {
				code: (p.name ?? '').replace(/[^A-Za-z0-9-]/g, '').slice(0, 12),
				name: p.name ?? '',
				about: (p.desc ?? '').slice(0, 120),
				...(p.ele === undefined ? {} : { elevation_m: p.ele }),
				...extended(p.extensions),
				latitude: p['@lat'] ?? '',
				longitude: p['@lon'] ?? ''
			}
		}))
	};
}

const at = (p: GpxPoint) => ({ latitude: Number(p['@lat']), longitude: Number(p['@lon']) });
const extended = (extensions: GpxPoint['extensions']): Record<string, string> =>
	Object.fromEntries(listOf(extensions?.field).map((f) => [f['@name'] ?? '', f['#text'] ?? '']));
