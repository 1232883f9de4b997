import { maybeDate, weekdays as weekdayField, time } from '../calendar-fields';
import type { Hours, Span } from '../calendar-fields';
import { maybeReference, number, reference, references, words, yesNo } from '../field';
import { kind, type Row } from '../kind';
import { skillsField, unknownSkills } from './skills';

type LabRow = Row & { name: string; hours: Hours[]; bottlesADay: number };
type PersonRow = Row & {
	teamId: string | null;
	skills: string[];
	weekdays: number[];
	away: Span[];
	leftOn: string | null;
};
const dayName = ['Sunday', 'Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday'];

export const circuits = kind({
	name: 'circuits',
	one: 'circuit',
	many: 'Circuits',
	about: 'Sites that one team visits together, again and again: the season board plans these.',
	isNeeded: true,
	fields: {
		name: words({ label: 'Name', isRequired: true }),
		siteIds: references({ label: 'Sites', kinds: ['sites'], isRequired: true }),
		teamId: reference({ label: 'Team', kinds: ['teams'] }),
		cardId: reference({ label: 'Method card', kinds: ['cards'] }),
		water: words({
			label: 'Water',
			help: 'the river whose water wets the gear: other water asks for dry gear',
			isRequired: true
		}),
		depotId: reference({ label: 'Sets out from', kinds: ['depots'] }),
		labId: maybeReference({ label: 'Hands in at', kinds: ['labs'], help: 'nothing where no bottles are taken' }),
		weekdays: weekdayField({ label: 'Runs on', isRequired: true }),
		least_days: number({ label: 'Days apart, at least', unit: 'days', least: 1, most: 400, whole: true }),
		aim_days: number({ label: 'Days apart, near', unit: 'days', least: 1, most: 400, whole: true }),
		most_days: number({ label: 'Days apart, at most', unit: 'days', least: 1, most: 400, whole: true }),
		seasonFrom: maybeDate({ label: 'Its season begins', help: 'where that is shorter than the program’s' }),
		seasonTo: maybeDate({ label: 'Its season ends' }),
		crew: number({ label: 'People', least: 1, most: 20, whole: true, help: 'never fewer than two at the water' }),
		needs: skillsField('Among them someone trained in'),
		earliestStart_min: time({ label: 'Starts from' }),
		latestStart_min: time({ label: 'Starts until' }),
		kit: words({
			label: 'Gear it carries',
			help:
				'a set that it shares with other circuits, such as “blue nets”: they never go on one day. Nothing: its ' +
				'team’s own'
		}),
		disinfects: yesNo({ label: 'Disinfects its gear between waters' })
	},
	key: ['name'],
	columns: ['name', 'siteIds', 'teamId', 'labId', 'weekdays', 'aim_days'],
	filter: 'teamId',
	nameOf: (row) => row.name,
	objections: (row, library) => {
		const retired = (library.sites as readonly (Row & { code: string; retiredOn: string | null })[]).filter(
			(s) => row.siteIds.includes(s.id) && s.retiredOn !== null
		);
		const lab = (library.labs as readonly LabRow[]).find((l) => l.id === row.labId);
		return [
			...unknownSkills('needs', row.needs, library),
			...(row.least_days > row.aim_days || row.aim_days > row.most_days
				? [
						{
							field: 'aim_days' as const,
							why:
								`Days apart go up: at least ${row.least_days}, near ${row.aim_days}, at most ` +
								`${row.most_days} do not.`
						}
					]
				: []),
			...(row.seasonFrom !== null && row.seasonTo !== null && row.seasonTo < row.seasonFrom
				? [{ field: 'seasonTo' as const, why: `The season ends ${row.seasonTo}, before it begins.` }]
				: []),
			...(row.latestStart_min < row.earliestStart_min
				? [{ field: 'latestStart_min' as const, why: 'It starts until before it starts from.' }]
				: []),
			...(retired.length
				? [
						{
							field: 'siteIds' as const,
							why: `${retired.map((s) => s.code).join(', ')}: not visited any more, so nothing can be planned there.`
						}
					]
				: []),
			...(lab && lab.hours.length > 0 && !lab.hours.some((h) => row.weekdays.includes(h.weekday))
				? [
						{
							field: 'weekdays' as const,
							why:
								`${lab.name} takes bottles on ` +
								`${[...new Set(lab.hours.map((h) => dayName[h.weekday]))].join(', ')}; on none of these does the ` +
								'circuit run.'
						}
					]
				: [])
		];
	},
	doubts: (row, library, today) => {
		const lab = (library.labs as readonly LabRow[]).find((l) => l.id === row.labId);
		const team = (library.people as readonly PersonRow[]).filter(
			(p) => (p.teamId === row.teamId || p.teamId === null) && (p.leftOn === null || p.leftOn > today)
		);
		const unskilled = row.needs.filter((skill) => !team.some((p) => p.skills.includes(skill)));
		const crewed = row.weekdays.some((d) => team.filter((p) => p.weekdays.includes(d)).length >= row.crew);
		return [
			...(row.crew < 2
				? [{ field: 'crew' as const, why: 'One person alone at the water: most programs send two.' }]
				: []),
			...(lab && row.siteIds.length > lab.bottlesADay
				? [
						{
							field: 'siteIds' as const,
							why:
								`${row.siteIds.length} ` +
								`${row.siteIds.length === 1 ? 'site brings at least one bottle' : `sites bring at least ${row.siteIds.length} bottles`}; ${lab.name} takes ${lab.bottlesADay} a day.`
						}
					]
				: []),
			...unskilled.map((skill) => ({ field: 'needs' as const, why: `Nobody on the team is trained in ${skill}.` })),
			...(crewed ? [] : [{ field: 'crew' as const, why: `On none of its days can ${row.crew} of the team come.` }])
		];
	}
});
