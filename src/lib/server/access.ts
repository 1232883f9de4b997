import type { Entry } from '../core/logbook';
import { writerOf } from '../core/subjects/branches';
import type { Role } from '../core/library';

/*
 * Who may do what: the one place that knows. Every route names the action it needs in `routeActions`; the server
 * refuses a route that is not named there. What depends on the thing itself (whose visit, which line) is asked with a
 * subject.
 */

export interface Member {
	id: string;
	programId: string;
	userId: string;
	/** What the person does first, and what else. */
	role: Role;
	alsoRoles: Role[];
	name: string;
	initials: string;
	teamId: string | null;
	removedAt: Date | null;
}

export type Action =
	/** Today, its clocks and what is next. */
	| 'see-today'
	/** A site's story; viewers see accepted results only. */
	| 'see-site'
	| 'see-unreviewed'
	/** A visit's sheet and logbook. */
	| 'see-visit'
	/** The queue of visits that wait for review. */
	| 'see-queue'
	/** The season, its rounds and what they are packed from. */
	| 'see-plan'
	/** A round's papers and labels: custody, crews, what its visits said. */
	| 'see-round'
	/** Change the season and its rounds. */
	| 'plan'
	/** What plans are made of: streams, sites, people, labs, cards, gear. */
	| 'see-library'
	/** Change it, bring files in, and see people's e-mails. */
	| 'keep-library'
	/** The field app, its satchel and the exchange of entries. */
	| 'sample'
	/** Reports of laboratories: bring them in, look at their rows, have them written. */
	| 'take-reports'
	/** Counts of animals that were made elsewhere: bring a file in, take it back. */
	| 'bring-counts'
	/** The shelf of kept animals: where each stands, its ethanol, who has it. */
	| 'keep-vouchers'
	/** Boxes of bottles for a laboratory: pack them, hand them over, say when they came. */
	| 'ship'
	/** Write one line of a visit's logbook. */
	| 'write-entry';

export interface VisitSubject {
	teamId: string | null;
	openedBy: string;
	/** Members who may not judge it, because the program wants others to: its crew. */
	notJudgedBy?: readonly string[];
}

export interface Subject {
	visit?: VisitSubject;
	round?: { teamId: string; crewIds: readonly string[] };
	path?: string;
	op?: Entry['op'];
}

/** Whether this member may do this to that. A member who was removed may do nothing. */
export function can(member: Member, action: Action, subject: Subject = {}): boolean {
	return member.removedAt === null && rolesOf(member).some((role) => may({ ...member, role }, action, subject));
}

/** All that a person does in the program. */
export const rolesOf = (member: Pick<Member, 'role' | 'alsoRoles'>): Role[] => [member.role, ...member.alsoRoles];

/** The same for one of the person's roles. */
function may(member: Member, action: Action, subject: Subject): boolean {
	switch (action) {
		case 'see-site':
			return true;
		case 'see-today':
		case 'see-unreviewed':
			return member.role !== 'viewer';
		case 'see-round':
			return member.role === 'monitor'
				? subject.round !== undefined &&
						(subject.round.teamId === member.teamId || subject.round.crewIds.includes(member.id))
				: member.role !== 'viewer';
		case 'see-plan':
		case 'see-library':
			return member.role !== 'viewer';
		case 'plan':
		case 'keep-library':
		case 'bring-counts':
			return member.role === 'coordinator';
		case 'take-reports':
		case 'keep-vouchers':
		case 'ship':
			return member.role === 'bench' || member.role === 'coordinator';
		case 'see-queue':
			return member.role === 'reviewer' || member.role === 'coordinator';
		case 'sample':
			return member.role !== 'viewer';
		case 'see-visit':
			return member.role === 'monitor'
				? subject.visit === undefined || isOwn(member, subject.visit)
				: member.role !== 'viewer';
		case 'write-entry':
			return mayWrite(member, subject);
	}
}

const isOwn = (member: Member, visit: VisitSubject) =>
	visit.openedBy === member.id || (visit.teamId !== null && visit.teamId === member.teamId);

/**
 * Reviews are a reviewer's, who also strikes one of two values that disagree; lab results, plates, titrations and who
 * has the bottles are the bench's, all else the field's; a coordinator does everything.
 */
function mayWrite(member: Member, { visit, path = '', op }: Subject): boolean {
	const writer = writerOf(path);
	if (writer === 'reviewer' && visit?.notJudgedBy?.includes(member.id)) return false;
	switch (member.role) {
		case 'coordinator':
			return true;
		case 'reviewer':
			return writer === 'reviewer' || op === 'strike';
		case 'bench':
			return writer === 'bench';
		case 'monitor':
			return writer !== 'reviewer' && (visit === undefined || isOwn(member, visit));
		case 'viewer':
			return false;
	}
}

/** Which lines a member sees when a phone asks for what it has not seen: all of the program's, or own and team's. */
export function readScope(member: Member): 'all' | 'own' | 'none' {
	const seeing = rolesOf(member).filter((role) => role !== 'viewer');
	if (member.removedAt !== null || seeing.length === 0) return 'none';
	return seeing.every((role) => role === 'monitor') ? 'own' : 'all';
}

/** What each route needs. `public` is open to all; `any-member` to whoever belongs to a program. */
export const routeActions: Record<string, Action | 'public' | 'any-member'> = {
	// leads to Today, or where the person may not see it to the sites
	'/': 'any-member',
	'/(public)/sign-in': 'public',
	'/(public)/sign-out': 'public',
	// whoever has the feed's address may read it: a calendar program cannot sign in
	'/(public)/calendar/[key]': 'public',
	'/(public)/begin': 'public',
	'/(public)/join/[token]': 'public',
	// whoever watches over it asks these
	'/(public)/healthz': 'public',
	'/(public)/healthz/database': 'public',
	// the field app's pages hold no data: what they show is in the phone's own store, filled through the api
	'/(field)/sample': 'public',
	'/(field)/sample/[visit]': 'public',
	'/(field)/sample/[visit]/[step]': 'public',
	'/(field)/bench': 'public',
	'/(field)/bench/[visit]': 'public',
	'/(field)/bench/boxes': 'public',
	'/(field)/pack': 'public',
	'/(field)/pack/[round]': 'public',
	'/(office)/account': 'any-member',
	'/(office)/today': 'see-today',
	// of each kind only what the member may open is found
	'/(office)/find': 'any-member',
	'/(office)/sites': 'see-site',
	'/(office)/sites/results.csv': 'see-site',
	'/(office)/sites/animals': 'see-site',
	'/(office)/sites/animals/counts': 'bring-counts',
	'/(office)/sites/animals.zip': 'see-site',
	'/(office)/sites/[code]': 'see-site',
	'/(office)/sites/[code]/animals': 'see-site',
	'/(office)/sites/[code]/series.csv': 'see-site',
	'/(office)/sites/[code]/points.json': 'see-site',
	// of these only what the member may see is listed
	'/(office)/visits': 'see-visit',
	'/(office)/visits/[id]': 'see-visit',
	'/(office)/vouchers': 'see-visit',
	'/(office)/vouchers/names': 'see-queue',
	'/(office)/vouchers/labels.pdf': 'see-visit',
	'/(office)/lab-reports': 'take-reports',
	'/(office)/lab-reports/[id]': 'take-reports',
	'/(office)/lab-reports/[id]/as-sent.csv': 'take-reports',
	'/(office)/shipments': 'ship',
	'/(office)/shipments/[id]': 'ship',
	'/(office)/shipments/[id]/papers.pdf': 'ship',
	'/(office)/apart': 'see-unreviewed',
	'/(office)/apart/blanks': 'see-unreviewed',
	'/(office)/review': 'see-queue',
	'/(office)/plan': 'see-plan',
	'/(office)/plan/change': 'plan',
	'/(office)/plan/calibrate/[code]': 'sample',
	'/(office)/plan/season.ics': 'see-plan',
	'/(office)/plan/season.pdf': 'see-plan',
	'/(office)/plan/animals.pdf': 'see-plan',
	'/(office)/plan/rounds/[id]': 'see-plan',
	'/(office)/plan/rounds/[id]/labels.pdf': 'see-plan',
	'/(office)/plan/rounds/[id]/paper.pdf': 'see-plan',
	'/(office)/plan/rounds/[id]/round.gpx': 'see-plan',
	'/(office)/plan/rounds/[id]/round.geojson': 'see-plan',
	'/(office)/library': 'see-library',
	'/(office)/library/cards': 'see-library',
	'/(office)/library/cards/[code]': 'see-library',
	'/(office)/library/cards/[code]/settings.csv': 'see-library',
	'/(office)/library/schemes': 'see-library',
	'/(office)/library/schemes/[code]': 'see-library',
	'/(office)/library/schemes/[code]/scheme.csv': 'see-library',
	'/(office)/library/animals/all': 'see-library',
	'/(office)/library/[kind]': 'see-library',
	'/(office)/library/[kind]/[id]': 'see-library',
	'/(office)/library/[kind]/import': 'keep-library',
	'/(office)/library/[kind]/rows.csv': 'keep-library',
	'/(office)/library/[kind]/rows.geojson': 'see-library',
	'/(office)/library/[kind]/rows.gpx': 'see-library',
	// a member who was removed may still hand in what was written before; the exchange itself sees to that
	'/api/sync': 'any-member',
	'/api/satchel': 'sample',
	'/api/pack': 'sample',
	'/api/boxes': 'ship',
	'/api/photos/[sha256]': 'see-visit'
};
