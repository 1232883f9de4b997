import { stringify } from 'csv-stringify/sync';
import { lookupIn, writeRow, type Kind, type Library, type Texts } from '../../core/library';
import { sitesAsGpx } from '../gpx';
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

export const asGpx = (kind: Kind, library: Library): string => sitesAsGpx(textsOf(kind, library));
