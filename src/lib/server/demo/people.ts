import type { Skill } from '../../core/schedule';
import type { Role } from '../../core/library';

export interface DemoPerson {
	name: string;
	initials: string;
	role: Role;
	team: 'Upper' | 'Middle' | 'Lower' | null;
	/** Reads the clarity tube this much deeper than others do. */
	tubeBias?: number;
	skills?: Skill[];
	/** Days until the training ends. */
	trainedFor_days?: number;
	/** Away from so many days ahead to so many. */
	away?: [number, number];
	/** Left the program this many days ago. */
	leftDaysAgo?: number;
}

/** The invented people of the demo. */
export const people: readonly DemoPerson[] = [
	{ name: 'Orla Tamberly', initials: 'OT', role: 'coordinator', team: 'Middle', skills: ['trained crew', 'acids'] },
	{ name: 'Ivo Quennick', initials: 'IQ', role: 'monitor', team: 'Middle', skills: ['trained crew'] },
	{ name: 'Runa Halstow', initials: 'RH', role: 'reviewer', team: null },
	{ name: 'Bede Orlinck', initials: 'BO', role: 'bench', team: null, skills: ['plates', 'acids'] },
	{ name: 'Tilda Vask', initials: 'TV', role: 'viewer', team: null },
	{ name: 'Maud Perrilow', initials: 'MP', role: 'monitor', team: 'Upper', skills: ['trained crew'] },
	{ name: 'Anselm Drew-Tarn', initials: 'AD', role: 'monitor', team: 'Upper', tubeBias: 0.16 },
	{ name: 'Cosima Lathe', initials: 'CL', role: 'monitor', team: 'Upper', skills: ['trained crew'], away: [25, 60] },
	{
		name: 'Jory Pentwhistle',
		initials: 'JP',
		role: 'monitor',
		team: 'Lower',
		skills: ['trained crew'],
		away: [62, 92]
	},
	{ name: 'Neve Ashdorrow', initials: 'NA', role: 'monitor', team: 'Lower' },
	{ name: 'Silas Ombridge', initials: 'SO', role: 'monitor', team: 'Middle', skills: ['plates'], trainedFor_days: -20 },
	{ name: 'Wilf Karnaby', initials: 'WK', role: 'monitor', team: 'Lower', leftDaysAgo: 200 }
];

/** One word for all demo sign-ins; the demo holds nothing that is anyone's. */
export const DEMO_PASSWORD = 'wet-boots-dry-socks';

export const emailOf = (person: DemoPerson): string => `${person.name.split(' ')[0]!.toLowerCase()}@demo.invalid`;

/** The sign-ins that the demo offers: one person of each role. */
export const demoSignIns: readonly { role: Role; name: string; email: string }[] = people
	.filter((p, i) => people.findIndex((q) => q.role === p.role) === i)
	.map((p) => ({ role: p.role, name: p.name, email: emailOf(p) }));
