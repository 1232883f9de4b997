import { stringify } from 'csv-stringify/sync';
import { lookupIn, writeRow, type Kind, type Library, type Texts } from '../../core/library';
import { escapedXml } from '../../core/interchange';
import { safe } from './cell';

/* Files that go out. Each holds every field, so that what comes back is what went. */

const textsOf = (kind: Kind, library: Library): Texts[] => {
	const lookup = lookupIn(library);
	return library[kind.name].map((row) => writeRow(kind, row, lookup));
};

export const asCsv = (kind: Kind, library: Library): string =>
	stringify([Object.keys(kind.fields), ...textsOf(kind, library).map((t) => Object.values(t).map(safe))], {
		bom: true
	});

/** Sites as points; streams as features without a geometry, for the network knows lengths and not courses. */
export function asGeoJson(kind: Kind, library: Library) {
	return {
		type: 'FeatureCollection' as const,
		features: textsOf(kind, library).map(({ latitude, longitude, ...rest }) => ({
			type: 'Feature' as const,
			geometry:
				latitude === undefined || longitude === undefined
					? null
					: { type: 'Point' as const, coordinates: [Number(longitude), Number(latitude)] },
			properties: rest
		}))
	};
}

/** Sites as GPX 1.1 waypoints, with what GPX has no word for as extensions. */
export function sitesAsGpx(kind: Kind, library: Library): string {
	const point = ({ latitude = '', longitude = '', ...rest }: Texts) =>
		[
			`<wpt lat="${latitude}" lon="${longitude}"><ele>${rest['elevation_m'] ?? ''}</ele><name>${escapedXml(rest['code'] ?? '')}</name><desc>${escapedXml(rest['about'] ?? '')}</desc>`,
			`<extensions>${Object.entries(rest)
				.map(([name, text]) => `<riffle:field name="${name}">${escapedXml(text)}</riffle:field>`)
				.join('')}</extensions></wpt>`
		].join('');
	return [
		'<?xml version="1.0" encoding="UTF-8"?>',
		'<gpx version="1.1" creator="Keen Riffle" xmlns="http://www.topografix.com/GPX/1/1" xmlns:riffle="urn:keen-riffle:library">',
		...textsOf(kind, library).map(point),
		'</gpx>',
		''
	].join('\n');
}
