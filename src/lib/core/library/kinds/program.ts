import { kind, type Row } from '../kind';
import { dates, maybeDate } from '../calendar-fields';
import { numberStyles, unitChoices } from '../../quantity';
import { dateStyles } from '../../wording';
import { number, oneOf, wordList, words } from '../field';

export const paperSizes = ['A4', 'letter'] as const;
export type PaperSize = (typeof paperSizes)[number];

export const isTimeZone = (zone: string): boolean => {
	try {
		return Intl.DateTimeFormat('en', { timeZone: zone }).resolvedOptions().timeZone !== '';
	} catch {
		return false;
	}
};

export const program = kind({
	name: 'program',
	one: 'program',
	many: 'Program',
	about: 'Its name, its calendar, the season that is planned, and how a drive is guessed that nobody has timed.',
	isNeeded: true,
	fields: {
		name: words({ label: 'Name', isRequired: true }),
		timeZone: words({ label: 'Time zone', help: 'such as Europe/Dublin or Etc/UTC', isRequired: true, most: 60 }),
		seasonFrom: maybeDate({ label: 'Season begins' }),
		seasonTo: maybeDate({ label: 'Season ends' }),
		holidays: dates({ label: 'Holidays', help: 'days on which nobody is sent out; more after a semicolon' }),
		detour: number({
			label: 'Road over straight line',
			help: 'a guessed drive is the straight line times this',
			least: 1,
			most: 4
		}),
		speed_km_h: number({ label: 'Speed of a guessed drive', unit: 'km/h', least: 5, most: 120 }),
		parking_min: number({ label: 'Parking, each drive', unit: 'min', least: 0, most: 60, whole: true }),
		storm_mm: number({
			label: 'A storm is rain of',
			unit: 'mm in a day',
			help: 'at the rain gauge; a storm round is offered',
			least: 1,
			most: 500
		}),
		stormWithin_h: number({ label: 'Storm round within', unit: 'h', least: 1, most: 240, whole: true }),
		rain: oneOf({
			label: 'Rain gauge',
			help: 'somebody reads one and types it, or there is none',
			options: ['none', 'typed']
		}),
		reportTo: words({
			label: 'Whom to tell at once',
			help: 'of dead fish, a spill, what cannot wait: name and number',
			most: 120
		}),
		telephone: words({ label: 'Telephone', help: 'stands on every paper, beside the program’s name', most: 40 }),
		paper: oneOf({ label: 'Paper', help: 'for sheets that are printed', options: paperSizes }),
		overdue_h: number({
			label: 'Overdue after',
			unit: 'h',
			help: 'without a word from a visit; earlier where they said when they would be back',
			least: 0.5,
			most: 24
		}),
		duplicateEvery: number({
			label: 'A duplicate in every',
			unit: 'samples',
			help: 'placed by the season where fewest have been so far',
			least: 2,
			most: 200,
			whole: true
		}),
		blankEvery: number({ label: 'A blank in every', unit: 'samples', least: 2, most: 200, whole: true }),
		dates: oneOf({
			label: 'Dates and times',
			help: 'on screens and papers; files always have 2026-05-14',
			options: dateStyles
		}),
		numbers: oneOf({
			label: 'Numbers',
			help: 'on screens and papers; a point or a comma may be typed, and files always have a point',
			options: numberStyles
		}),
		temperatures: oneOf({
			label: 'Temperatures are read in',
			help: 'on screens; what a visit is asked in is for its card to say, files always have °C',
			options: unitChoices.temperatures
		}),
		lengths: oneOf({
			label: 'Water levels and depths are read in',
			help: 'on screens; with feet, the clarity tube is read in inches',
			options: unitChoices.lengths
		}),
		flows: oneOf({
			label: 'Discharge is read in',
			help: 'on screens; files always have m³/s',
			options: unitChoices.flows
		}),
		skills: wordList({
			label: 'People are trained in',
			help: 'such as trained crew; plates; acids. Circuits ask for them, people have them'
		}),
		whoJudges: oneOf({
			label: 'Who judges results',
			help: 'anyone who reviews, or only others than the crew of the visit',
			options: ['anyone', 'others']
		})
	},
	key: ['name'],
	columns: ['name', 'timeZone', 'seasonFrom', 'seasonTo'],
	nameOf: (row) => row.name,
	objections: (row, library) => [
		...[...library.people, ...library.circuits]
			.flatMap((user) => {
				const { skills = [], needs = [], name } = user as Row & { skills?: string[]; needs?: string[]; name: string };
				const lost = [...skills, ...needs].find((s) => !row.skills.includes(s));
				return lost === undefined
					? []
					: [{ field: 'skills' as const, why: `“${lost}” is still asked for by ${name}.` }];
			})
			.slice(0, 1),
		...(isTimeZone(row.timeZone)
			? []
			: [
					{
						field: 'timeZone' as const,
						why: `There is no time zone “${row.timeZone}”. Write one such as Europe/Dublin.`
					}
				]),
		...((row.seasonFrom === null) === (row.seasonTo === null)
			? []
			: [{ field: 'seasonTo' as const, why: 'A season has a first and a last day, or neither.' }]),
		...(row.seasonFrom !== null && row.seasonTo !== null && row.seasonTo < row.seasonFrom
			? [{ field: 'seasonTo' as const, why: `The season ends ${row.seasonTo}, before it begins.` }]
			: [])
	]
});
