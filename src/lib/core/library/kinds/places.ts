import { dates, hours } from '../calendar-fields';
import { maybeNumber, number, oneOf, reference, wordList, words } from '../field';
import { kind, type Row } from '../kind';

const position = {
	latitude: number({ label: 'Latitude', unit: '°', least: -90, most: 90 }),
	longitude: number({ label: 'Longitude', unit: '°', least: -180, most: 180 })
};

export const depots = kind({
	name: 'depots',
	one: 'depot',
	many: 'Depots',
	about: 'Where the gear is kept and a round sets out.',
	isNeeded: true,
	fields: { name: words({ label: 'Name', isRequired: true }), ...position },
	key: ['name'],
	columns: ['name', 'latitude', 'longitude'],
	nameOf: (row) => row.name
});

export const labs = kind({
	name: 'labs',
	one: 'lab or bench',
	many: 'Labs and benches',
	about:
		'Where bottles go. Rounds are planned backwards from its hours; without one, only rounds without bottles can be ' +
		'planned.',
	isNeeded: false,
	fields: {
		name: words({ label: 'Name', isRequired: true }),
		...position,
		analyses: wordList({ label: 'Does', help: 'such as bacteria; nutrients' }),
		arrives: oneOf({ label: 'Bottles are', options: ['delivered', 'couriered'] }),
		hours: hours({ label: 'Takes bottles' }),
		closedOn: dates({ label: 'Shut on' }),
		pickUps: hours({
			label: 'Courier collects',
			help: 'such as Mon-Thu 8-15:30; the end is the last pick-up'
		}),
		transit_days: maybeNumber({
			label: 'Working days on the road',
			unit: 'd',
			help: 'from the pick-up to its door; one where nothing is said',
			least: 0,
			most: 10,
			whole: true
		}),
		address: words({ label: 'Address', help: 'as it stands on a parcel, lines parted by commas', most: 200 }),
		bottlesADay: number({ label: 'Bottles a day', least: 0, most: 10_000, whole: true }),
		bench_min: number({ label: 'From handing in to the last plate', unit: 'min', least: 0, most: 1440, whole: true }),
		holding_h: maybeNumber({
			label: 'Own holding limit',
			unit: 'h',
			help: 'where it is shorter than the card’s',
			least: 0.5,
			most: 72
		})
	},
	key: ['name'],
	columns: ['name', 'analyses', 'arrives', 'hours', 'bottlesADay'],
	filter: 'arrives',
	nameOf: (row) => row.name,
	doubts: (row) => [
		...(row.hours.length === 0
			? [{ field: 'hours' as const, why: 'It takes bottles at no hour: no round can end here.' }]
			: []),
		...(row.bottlesADay === 0 ? [{ field: 'bottlesADay' as const, why: 'It takes no bottles at all.' }] : []),
		...(row.arrives === 'couriered' && row.pickUps.length === 0
			? [{ field: 'pickUps' as const, why: 'When does the courier collect? Without it nobody is told of a weekend.' }]
			: []),
		...(row.arrives === 'couriered' && row.pickUps.some((h) => h.weekday === 5)
			? [
					{
						field: 'pickUps' as const,
						why: 'A courier who takes bottles on Friday may bring them on Monday. Early in the week is safer.'
					}
				]
			: [])
	]
});

const ends = ['sites', 'labs', 'depots'] as const;

export const drives = kind({
	name: 'drives',
	one: 'drive',
	many: 'Drives',
	about:
		'Minutes that somebody has timed, one direction for both. What is not here is guessed from position, and ' +
		'marked so.',
	isNeeded: false,
	fields: {
		fromId: reference({ label: 'From', kinds: ends }),
		toId: reference({ label: 'To', kinds: ends }),
		minutes: number({ label: 'Takes', unit: 'min', least: 0, most: 600, whole: true })
	},
	key: ['fromId', 'toId'],
	columns: ['fromId', 'toId', 'minutes'],
	nameOf: (row, lookup) => `${lookup.nameOf(ends, row.fromId)} to ${lookup.nameOf(ends, row.toId)}`,
	objections: (row, library) => {
		if (row.fromId === row.toId) return [{ field: 'toId', why: 'A drive goes somewhere else.' }];
		const same = (library.drives as readonly (Row & { fromId: string; toId: string; minutes: number })[]).find(
			(d) => d.id !== row.id && [d.fromId, d.toId].sort().join() === [row.fromId, row.toId].sort().join()
		);
		return same
			? [
					{
						field: 'toId',
						why: `This drive is there already, with ${same.minutes} min. One direction stands for both.`
					}
				]
			: [];
	}
});
