import { stringify } from 'csv-stringify/sync';
import JSZip from 'jszip';
import { archiveTables, type ArchiveTable, type SampledEvent } from '../../core/interchange';
import { safe } from '../library/cell';
import { xmlDocument } from '../xml';

export interface About {
	/** Of the program. */
	name: string;
	/** ISO date on which it is written. */
	day: string;
	latitudes: readonly [number, number];
	longitudes: readonly [number, number];
}

/**
 * A Darwin Core Archive: sampling events as its core, animals and measurements as extensions, what each column is
 * (`meta.xml`), and what the whole is (`eml.xml`). Darwin Core text guide, TDWG 2023.
 */
export async function darwinCoreArchive(events: readonly SampledEvent[], about: About): Promise<Uint8Array> {
	const [core, ...extensions] = archiveTables(events);
	const zip = new JSZip();
	for (const table of [core, ...extensions]) zip.file(table.file, csvOf(table));
	zip.file('meta.xml', metaOf(core, extensions));
	zip.file('eml.xml', emlOf(about));
	return zip.generateAsync({ type: 'uint8array', compression: 'DEFLATE' });
}

const nameOf = (term: string): string => term.slice(term.lastIndexOf('/') + 1);
const csvOf = ({ terms, rows }: ArchiveTable): string =>
	stringify([terms.map(nameOf), ...rows.map((r) => r.map(safe))]);

const layout = (table: ArchiveTable) => ({
	'@encoding': 'UTF-8',
	'@fieldsTerminatedBy': ',',
	'@linesTerminatedBy': '\\n',
	'@fieldsEnclosedBy': '"',
	'@ignoreHeaderLines': '1',
	'@rowType': table.rowType,
	files: { location: table.file }
});

const metaOf = (core: ArchiveTable, extensions: readonly ArchiveTable[]): string =>
	xmlDocument({
		archive: {
			'@xmlns': 'http://rs.tdwg.org/dwc/text/',
			'@metadata': 'eml.xml',
			core: { ...layout(core), id: { '@index': '0' }, field: fieldsOf(core) },
			extension: extensions.map((table) => ({
				...layout(table),
				coreid: { '@index': '0' },
				// the first column is the event's id, and no term of the extension
				field: fieldsOf(table).slice(1)
			}))
		}
	});

const fieldsOf = ({ terms }: ArchiveTable) => terms.map((term, i) => ({ '@index': String(i), '@term': term }));

const emlOf = ({ name, day, latitudes, longitudes }: About): string =>
	xmlDocument({
		'eml:eml': {
			'@xmlns:eml': 'https://eml.ecoinformatics.org/eml-2.2.0',
			'@packageId': `${name} ${day}`,
			'@system': 'Keen Riffle',
			dataset: {
				title: `Animals of streams: ${name}`,
				creator: { organizationName: name },
				pubDate: day,
				abstract: {
					para:
						'Samples of macroinvertebrates from wadeable streams by volunteers, with their effort, and what was ' +
						'measured at the same visits. Only animals that were found are listed; one that is not may only have ' +
						'been missed.'
				},
				coverage: {
					geographicCoverage: {
						geographicDescription: 'Sites of the program',
						boundingCoordinates: {
							westBoundingCoordinate: longitudes[0],
							eastBoundingCoordinate: longitudes[1],
							northBoundingCoordinate: latitudes[1],
							southBoundingCoordinate: latitudes[0]
						}
					}
				},
				contact: { organizationName: name }
			}
		}
	});
