import type { RoutePoint } from '../core/interchange';
import { xmlDocument } from './xml';

/** A GPX 1.1 file around what is in it; names of elements as GPX has them, attributes with an @. */
const gpxOf = (inside: object, more: Record<string, string> = {}): string =>
	xmlDocument({
		gpx: {
			'@version': '1.1',
			'@creator': 'Keen Riffle',
			'@xmlns': 'http://www.topografix.com/GPX/1/1',
			...more,
			...inside
		}
	});

const at = ({ latitude, longitude, name, about }: RoutePoint) => ({
	'@lat': String(latitude),
	'@lon': String(longitude),
	name,
	desc: about
});

/** A round: its stops as waypoints, and the way between them as a route. */
export const routeAsGpx = (name: string, points: readonly RoutePoint[]): string =>
	gpxOf({ wpt: points.map(at), rte: { name, rtept: points.map(at) } });

/** Sites as waypoints, with what GPX has no word for as extensions; `rows` are texts by the names of their fields. */
export const sitesAsGpx = (rows: readonly Record<string, string>[]): string =>
	gpxOf(
		{
			wpt: rows.map(({ latitude = '', longitude = '', ...rest }) => ({
				'@lat': latitude,
				'@lon': longitude,
				...(rest['elevation_m'] ? { ele: rest['elevation_m'] } : {}),
				name: rest['code'] ?? '',
				desc: rest['about'] ?? '',
				extensions: {
					'riffle:field': Object.entries(rest).map(([name, text]) => ({ '@name': name, '#': text }))
				}
			}))
		},
		{ '@xmlns:riffle': 'urn:keen-riffle:library' }
	);
