import { writeFixed, writeNumber } from '../../quantity';
import { distance_km } from '../../schedule';
import { maybeDate, maybeDayAndTime, maybeTime } from '../calendar-fields';
import { maybeNumber, maybeReference, number, oneOf, reference, someOf, words } from '../field';
import { kind, type Library, type Row } from '../kind';

export const streams = kind({
	name: 'streams',
	one: 'stream',
	many: 'Streams',
	about: 'The main stream first, then what joins it: the thread is drawn from this, and a site finds its place on it.',
	isNeeded: true,
	fields: {
		name: words({ label: 'Name', isRequired: true }),
		length_km: number({ label: 'Length', unit: 'km', least: 0.01, most: 10_000 }),
		joinsStreamId: maybeReference({
			label: 'Joins',
			kinds: ['streams'],
			help: 'nothing for one that leaves the catchment'
		}),
		joinsAt_km: maybeNumber({ label: 'Joins at', unit: 'km above that one’s mouth', least: 0, most: 10_000 })
	},
	key: ['name'],
	columns: ['name', 'length_km', 'joinsStreamId', 'joinsAt_km'],
	nameOf: (row) => row.name,
	objections: (row, library) => {
		const others = (library.streams as readonly StreamRow[]).filter((s) => s.id !== row.id);
		const joined = others.find((s) => s.id === row.joinsStreamId);
		if (row.joinsStreamId === row.id) return [{ field: 'joinsStreamId', why: `${row.name} cannot join itself.` }];
		if ((row.joinsStreamId === null) !== (row.joinsAt_km === null))
			return [
				{
					field: 'joinsAt_km',
					why: 'A stream that joins another does so at a distance above its mouth; say both or neither.'
				}
			];
		if (joined && row.joinsAt_km! > joined.length_km)
			return [
				{
					field: 'joinsAt_km',
					why:
						`${joined.name} is ${writeNumber(joined.length_km)} km long; nothing joins it at ` +
						`${writeNumber(row.joinsAt_km!)} km.`
				}
			];
		const circle = circleFrom(row, others);
		if (circle)
			return [
				{ field: 'joinsStreamId', why: `This makes a circle: ${circle.join(' → ')}. Water does not run in one.` }
			];
		const beyond = [
			...(library.sites as readonly SiteRow[])
				.filter((s) => s.streamId === row.id && s.river_km > row.length_km)
				.map((s) => `${s.code} lies at ${writeNumber(s.river_km)} km`),
			...others
				.filter((s) => s.joinsStreamId === row.id && (s.joinsAt_km ?? 0) > row.length_km)
				.map((s) => `${s.name} joins at ${writeNumber(s.joinsAt_km!)} km`)
		];
		return beyond.length ? [{ field: 'length_km', why: `It is longer than that: ${beyond.join(', ')}.` }] : [];
	}
});

type StreamRow = Row & { name: string; length_km: number; joinsStreamId: string | null; joinsAt_km: number | null };
type SiteRow = Row & { code: string; streamId: string; river_km: number };

/** The names along a circle of streams that begins and ends with this one, or null. */
function circleFrom(
	row: { id: string; name: string; joinsStreamId: string | null },
	others: readonly StreamRow[]
): string[] | null {
	const names = [row.name];
	const seen = new Set([row.id]);
	for (let next = row.joinsStreamId; next !== null;) {
		const stream = next === row.id ? row : others.find((s) => s.id === next);
		if (!stream) return null;
		names.push(stream.name);
		if (seen.has(stream.id)) return stream.id === row.id ? names : null;
		seen.add(stream.id);
		next = stream.joinsStreamId;
	}
	return null;
}

/** Nearer than this below an outfall its water has not mixed with the stream's, even where that is narrow. */
const LEAST_FROM_OUTFALL_m = 50;

export const sites = kind({
	name: 'sites',
	one: 'site',
	many: 'Sites',
	about:
		'Where people go to the water: what they must know before they set out, and what the phone tells them when they ' +
		'arrive.',
	isNeeded: true,
	fields: {
		code: words({
			label: 'Code',
			isRequired: true,
			most: 12,
			pattern: /^[A-Za-z][A-Za-z0-9-]*$/,
			patternSays: 'letters, digits and hyphens, a letter first',
			help: 'short: it stands on every label'
		}),
		name: words({ label: 'Name', isRequired: true }),
		streamId: reference({ label: 'Stream', kinds: ['streams'] }),
		river_km: number({ label: 'Above its mouth', unit: 'km', least: 0, most: 10_000 }),
		latitude: number({ label: 'Latitude', unit: '°', least: -90, most: 90 }),
		longitude: number({ label: 'Longitude', unit: '°', least: -180, most: 180 }),
		elevation_m: number({ label: 'Elevation', unit: 'm', help: 'oxygen in percent needs it', least: -430, most: 9000 }),
		about: words({ label: 'What it is like', help: 'a few words, such as “below the farm crossing”', most: 120 }),
		directions: words({ label: 'Directions', help: 'where to leave the car, which gate', most: 600 }),
		access: words({ label: 'Access', help: 'steps, bank, key', most: 300 }),
		permission: oneOf({ label: 'Landowner’s permission', options: ['not needed', 'given', 'asked', 'refused'] }),
		permissionUntil: maybeDate({ label: 'Permission ends' }),
		landmarks: words({ label: 'Landmarks', help: 'how to know that this is the place', most: 300 }),
		photoPoint: words({ label: 'Photo point', help: 'where to stand and what to aim at', most: 300 }),
		hazards: words({ label: 'Hazards', most: 400 }),
		upstream: words({ label: 'What lies upstream', most: 400 }),
		outfall_m: maybeNumber({
			label: 'Nearest outfall upstream',
			unit: 'm away',
			help: 'a pipe or drain whose water comes down to here',
			least: 0,
			most: 5000
		}),
		outfall: someOf({ label: 'The outfall', help: 'why the site is there', options: ['is what is studied'] }),
		ways: someOf({ label: 'Ways to sample', options: ['wading', 'bank', 'bridge', 'pole'], isRequired: true }),
		wadingDepth_m: maybeNumber({
			label: 'Own wading limit, depth',
			unit: 'm',
			help: 'less than the card’s, where the bed asks for it',
			least: 0.05,
			most: 2
		}),
		opens_min: maybeTime({ label: 'Visits begin from' }),
		closes_min: maybeTime({ label: 'Visits begin until' }),
		lowWaterAt: maybeDayAndTime({
			label: 'A low water',
			help: 'tidal sites: the day and time of one low water, such as 2026-05-14 06:20'
		}),
		tideReach_min: maybeNumber({
			label: 'Can be reached',
			unit: 'min before and after low water',
			least: 10,
			most: 360,
			whole: true
		}),
		retiredOn: maybeDate({ label: 'Not visited since', help: 'its past stays; nothing is planned there any more' })
	},
	key: ['code'],
	columns: ['code', 'name', 'streamId', 'river_km', 'permission', 'about'],
	filter: 'streamId',
	nameOf: (row) => row.code,
	aliases: (row) => [row.code, row.name],
	endedOn: (row) => row.retiredOn,
	objections: (row, library) => {
		const stream = (library.streams as readonly StreamRow[]).find((s) => s.id === row.streamId);
		return [
			...(stream && row.river_km > stream.length_km
				? [
						{
							field: 'river_km' as const,
							why:
								`${stream.name} is ${writeNumber(stream.length_km)} km long; a site at ` +
								`${writeNumber(row.river_km)} km is not on it.`
						}
					]
				: []),
			...(row.opens_min !== null && row.closes_min !== null && row.closes_min <= row.opens_min
				? [{ field: 'closes_min' as const, why: 'Visits begin until after they begin from.' }]
				: []),
			...((row.lowWaterAt === null) === (row.tideReach_min === null)
				? []
				: [
						{
							field: 'tideReach_min' as const,
							why: 'A tidal site needs both: one low water, and how long around it the site can be reached.'
						}
					])
		];
	},
	doubts: (row, library, today) => [
		...(permissionMissing(row, today) === null
			? []
			: [{ field: 'permission' as const, why: `${permissionMissing(row, today)!}: nobody should be sent here.` }]),
		...(row.outfall_m !== null && row.outfall_m < LEAST_FROM_OUTFALL_m && row.outfall.length === 0
			? [
					{
						field: 'outfall_m' as const,
						why:
							'Right below an outfall a sample is the outfall’s, not the stream’s: it has not mixed in yet. Move ' +
							`the site at least ${LEAST_FROM_OUTFALL_m} m down, or say that the outfall is what is studied.`
					}
				]
			: []),
		...farFromStream(row, library)
	]
});

/** Why the landowner's permission does not let anyone go to a site today, without a full stop; null where it does. */
export function permissionMissing(
	{ permission, permissionUntil }: { permission: string; permissionUntil: string | null },
	today: string
): string | null {
	if (permission === 'refused') return 'The landowner has refused permission';
	if (permission === 'asked') return 'The landowner’s permission is asked for, not given yet';
	return permissionUntil !== null && permissionUntil < today
		? `The landowner’s permission ended on ${permissionUntil}`
		: null;
}

/** A site that lies much further from another on the same stream than the water between them is long. */
function farFromStream(
	row: { id: string; streamId: string; river_km: number; latitude: number; longitude: number },
	library: Library
) {
	for (const other of library.sites as readonly (SiteRow & { latitude: number; longitude: number })[]) {
		if (other.id === row.id || other.streamId !== row.streamId) continue;
		const apart_km = distance_km(row, other);
		const along_km = Math.abs(other.river_km - row.river_km);
		if (apart_km > along_km + POSITION_GIVE_km)
			return [
				{
					field: 'latitude' as const,
					why:
						`It lies ${writeFixed(apart_km, 1)} km from ${other.code} as the crow flies, but only ` +
						`${writeFixed(along_km, 1)} km along the stream. Check position and distance.`
				}
			];
	}
	return [];
}

const POSITION_GIVE_km = 1;
