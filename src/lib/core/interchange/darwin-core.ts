import type { Kind, Taxon } from '../macroinvertebrates';

/*
 * Samples of animals as the tables of a Darwin Core Archive: an event for each sampling, the animals found in it, and
 * what was measured at the same visit. Terms by their names of Darwin Core (TDWG, dwc.tdwg.org/terms).
 */

/** One sampling of a site's animals, with where and how. */
export interface SampledEvent {
	visitId: string;
	/** The tray's step on its card: a visit can have several. */
	step: string;
	/** ISO instant. */
	at: string;
	site: { code: string; name: string; stream: string; latitude: number; longitude: number; elevation_m: number };
	/** How it was sampled and sorted, in words, and by which card. */
	protocol: string;
	/** What was worked for it, in words; and the bed that was, where that is known. */
	effort: string;
	area_m2: number | null;
	/** How many of each kind are known; else only that it was there. */
	isCounted: boolean;
	/** Classes of abundance, by kind, where the tray was sorted so. */
	classes: Readonly<Record<string, string>>;
	kinds: readonly Kind[];
	measured: readonly { name: string; value: string; unit: string; accuracy: string; way: string }[];
}

export interface ArchiveTable {
	/** Its file in the archive. */
	file: string;
	/** What a row of it is, by the term's address. */
	rowType: string;
	/** Terms of its columns by their addresses, the first the event's id. */
	terms: readonly string[];
	rows: string[][];
}

const DWC = 'http://rs.tdwg.org/dwc/terms/';
const dwc = (name: string): string => `${DWC}${name}`;
const eventTerms = [
	'eventID',
	'eventDate',
	'samplingProtocol',
	'samplingEffort',
	'sampleSizeValue',
	'sampleSizeUnit',
	'locationID',
	'locality',
	'waterBody',
	'decimalLatitude',
	'decimalLongitude',
	'geodeticDatum',
	'minimumElevationInMeters',
	'maximumElevationInMeters'
];
const occurrenceTerms = [
	'eventID',
	'occurrenceID',
	'basisOfRecord',
	'occurrenceStatus',
	'scientificName',
	'taxonRank',
	'order',
	'vernacularName',
	'individualCount',
	'organismQuantity',
	'organismQuantityType',
	'identificationRemarks'
];
const measurementTerms = [
	'eventID',
	'measurementType',
	'measurementValue',
	'measurementUnit',
	'measurementAccuracy',
	'measurementMethod'
];

const eventId = ({ visitId, step }: SampledEvent): string => `${visitId}/${step}`;

/**
 * The tables of an archive, the events first. What was not found is not written: no school of sorting says for certain
 * that an animal is not there. Animals that nobody could name are there as animals (`Animalia`), with the remark.
 */
export function archiveTables(events: readonly SampledEvent[]): [ArchiveTable, ArchiveTable, ArchiveTable] {
	return [
		{ file: 'event.csv', rowType: dwc('Event'), terms: eventTerms.map(dwc), rows: events.map(eventRow) },
		{
			file: 'occurrence.csv',
			rowType: dwc('Occurrence'),
			terms: occurrenceTerms.map(dwc),
			rows: events.flatMap(occurrenceRows)
		},
		{
			file: 'measurement.csv',
			rowType: dwc('MeasurementOrFact'),
			terms: measurementTerms.map(dwc),
			rows: events.flatMap((e) =>
				e.measured.map(({ name, value, unit, accuracy, way }) => [eventId(e), name, value, unit, accuracy, way])
			)
		}
	];
}

function eventRow(event: SampledEvent): string[] {
	const { at, protocol, effort, area_m2, site } = event;
	return [
		eventId(event),
		at,
		protocol,
		effort,
		area_m2 === null ? '' : String(Number(area_m2.toFixed(3))),
		area_m2 === null ? '' : 'square metre',
		site.code,
		site.name,
		site.stream,
		String(site.latitude),
		String(site.longitude),
		'WGS84',
		String(site.elevation_m),
		String(site.elevation_m)
	];
}

/** "Chironomidae-red" is one look of a family; "Baetis-rhodani" is a species of two words. */
const scientificName = ({ code, rank }: Taxon): string =>
	rank === 'species' ? code.replaceAll('-', ' ') : code.split('-')[0]!;

const occurrenceRows = (event: SampledEvent): string[][] =>
	event.kinds
		.filter((k) => k.count > 0)
		.map(({ code, taxon, count }) => {
			const abundance = event.classes[code];
			const isNumber = event.isCounted && abundance === undefined;
			return [
				eventId(event),
				`${eventId(event)}/${code}`,
				'HumanObservation',
				'present',
				taxon ? scientificName(taxon) : 'Animalia',
				taxon ? taxon.rank : 'kingdom',
				taxon && taxon.rank !== 'class' ? taxon.order : '',
				taxon?.name ?? '',
				isNumber ? String(count) : '',
				abundance ?? (isNumber ? String(count) : ''),
				quantityType(isNumber, abundance),
				taxon ? '' : 'not named yet'
			];
		});

function quantityType(isNumber: boolean, abundance: string | undefined): string {
	if (abundance !== undefined) return 'abundance class';
	return isNumber ? 'individuals' : '';
}
