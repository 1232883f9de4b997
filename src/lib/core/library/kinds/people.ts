import { maybeDate, spans, weekdays } from '../calendar-fields';
import { maybeReference, oneOf, someOf, words } from '../field';
import { skillsField, unknownSkills } from './skills';
import { kind } from '../kind';
import { roles, type Role } from '../roles';

export const teams = kind({
	name: 'teams',
	one: 'team',
	many: 'Teams',
	about: 'People who go out together and share one set of nets and boots.',
	isNeeded: true,
	fields: { name: words({ label: 'Name', isRequired: true }) },
	key: ['name'],
	columns: ['name'],
	nameOf: (row) => row.name
});

interface Roles {
	role: Role;
	alsoRoles: readonly Role[];
}
const isCoordinator = ({ role, alsoRoles }: Roles) => role === 'coordinator' || alsoRoles.includes('coordinator');

export const people = kind({
	name: 'people',
	one: 'person',
	many: 'People',
	about: 'Who goes out, who plans, who reviews: with what they were trained in and the days they can.',
	isNeeded: true,
	fields: {
		name: words({ label: 'Name', isRequired: true }),
		initials: words({
			label: 'Initials',
			isRequired: true,
			most: 6,
			pattern: /^\p{L}[\p{L}\d]*$/u,
			patternSays: 'up to six letters or digits',
			help: 'they stand on every line'
		}),
		email: words({
			label: 'E-mail',
			isRequired: true,
			most: 120,
			pattern: /^[^\s@]+@[^\s@]+\.[^\s@]+$/,
			patternSays: 'write it as name@place.org',
			help: 'for signing in'
		}),
		role: oneOf({ label: 'Role', options: roles, help: 'what they do first: their Today shows it' }),
		alsoRoles: someOf({ label: 'And also', options: roles, help: 'what else they may do' }),
		teamId: maybeReference({ label: 'Team', kinds: ['teams'] }),
		skills: skillsField('Trained in'),
		trainedUntil: maybeDate({ label: 'Training counts until' }),
		weekdays: weekdays({ label: 'Can on' }),
		away: spans({ label: 'Away' }),
		leftOn: maybeDate({ label: 'Left the program on', help: 'what they wrote stays; they can no longer sign in to it' })
	},
	key: ['initials'],
	columns: ['name', 'initials', 'role', 'teamId', 'skills', 'weekdays'],
	filter: 'role',
	nameOf: (row) => row.initials,
	aliases: (row) => [row.initials, row.name, row.email],
	endedOn: (row) => row.leftOn,
	objections: (row, library, today) => {
		const strange = unknownSkills('skills', row.skills, library);
		if (strange.length) return strange;
		if (row.leftOn !== null && row.leftOn > today)
			return [
				{ field: 'leftOn', why: `${row.leftOn} is yet to come. Say it on the day; until then, say that they are away.` }
			];
		const last = library.people.every(
			(p) => p.id === row.id || !isCoordinator(p as unknown as Roles) || p['leftOn'] !== null
		);
		return last && (!isCoordinator(row) || row.leftOn !== null)
			? [
					{
						field: row.leftOn === null ? 'role' : 'leftOn',
						why: 'A program keeps at least one coordinator, or nobody could change it any more.'
					}
				]
			: [];
	},
	doubts: (row, _library, today) => [
		...(row.trainedUntil !== null && row.trainedUntil < today && row.skills.length > 0
			? [
					{
						field: 'trainedUntil' as const,
						why: `The training ended on ${row.trainedUntil}: rounds after that do not count on it.`
					}
				]
			: []),
		...(row.role === 'monitor' && row.teamId === null
			? [{ field: 'teamId' as const, why: 'Without a team: nobody is sent out, and no team’s visits are seen.' }]
			: []),
		...(row.weekdays.length === 0 ? [{ field: 'weekdays' as const, why: 'Can on no day: is never sent out.' }] : [])
	]
});
