import { readdirSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { can, readScope, routeActions, type Action, type Member } from './access';
import { roles, type Role } from '../core/library';

const member = (role: Role, more: Partial<Member> = {}): Member => ({
	id: 'me',
	programId: 'p',
	userId: 'u',
	role,
	name: 'Me',
	initials: 'M',
	teamId: 'ours',
	alsoRoles: [],
	removedAt: null,
	...more
});
const ours = { visit: { teamId: 'ours', openedBy: 'someone' } };
const theirs = { visit: { teamId: 'theirs', openedBy: 'someone' } };

describe('rights', () => {
	it('every route of the application is in the table, and nothing else is', () => {
		const root = new URL('../../routes', import.meta.url).pathname;
		const routes = readdirSync(root, { recursive: true, encoding: 'utf8' })
			.filter((file) => /(^|\/)(\+page\.svelte|\+page\.server\.ts|\+server\.ts)$/.test(file))
			.map((file) => `/${file.split('/').slice(0, -1).join('/')}`);
		expect([...new Set(routes)].sort()).toEqual(Object.keys(routeActions).sort());
	});

	it.each<[Role, Action[]]>([
		['monitor', ['see-today', 'see-site', 'see-unreviewed', 'see-visit', 'sample']],
		['coordinator', ['see-today', 'see-site', 'see-unreviewed', 'see-visit', 'see-queue', 'sample']],
		['reviewer', ['see-today', 'see-site', 'see-unreviewed', 'see-visit', 'see-queue', 'sample']],
		['bench', ['see-today', 'see-site', 'see-unreviewed', 'see-visit', 'sample']],
		['viewer', ['see-site']]
	])('a %s may %s', (role, allowed) => {
		const all: Action[] = ['see-today', 'see-site', 'see-unreviewed', 'see-visit', 'see-queue', 'sample'];
		expect(all.filter((action) => can(member(role), action))).toEqual(allowed);
	});

	it('a person of several roles may what any of them may, and nothing else', () => {
		const both = member('monitor', { alsoRoles: ['bench'] });
		expect(can(both, 'see-visit', theirs)).toBe(true);
		expect(can(both, 'write-entry', { ...theirs, path: 'plates/1/count' })).toBe(true);
		expect(can(both, 'write-entry', { ...theirs, path: 'readings/ph/a' })).toBe(false);
		expect(can(both, 'see-queue')).toBe(false);
		expect(readScope(both)).toBe('all');
		expect(readScope(member('viewer', { alsoRoles: ['monitor'] }))).toBe('own');
		expect(can(member('viewer', { alsoRoles: ['coordinator'], removedAt: new Date(0) }), 'plan')).toBe(false);
	});

	it('a monitor sees and writes own and team’s visits only', () => {
		expect(can(member('monitor'), 'see-visit', ours)).toBe(true);
		expect(can(member('monitor'), 'see-visit', theirs)).toBe(false);
		expect(can(member('monitor'), 'write-entry', { ...ours, path: 'arrival/depth_m' })).toBe(true);
		expect(can(member('monitor'), 'write-entry', { ...theirs, path: 'arrival/depth_m' })).toBe(false);
		expect(
			can(member('monitor', { id: 'someone', teamId: null }), 'write-entry', { ...theirs, path: 'arrival/depth_m' })
		).toBe(true);
	});

	it.each<[Role, string, 'set' | 'strike', boolean]>([
		['monitor', 'reviews/e-coli', 'set', false],
		['reviewer', 'reviews/e-coli', 'set', true],
		['monitor', 'verdicts/e-coli/plates', 'set', false],
		['bench', 'verdicts/e-coli/plates', 'set', false],
		['bench', 'reported/e-coli', 'set', false],
		['monitor', 'reported/e-coli', 'set', false],
		['reviewer', 'verdicts/e-coli/plates', 'set', true],
		['reviewer', 'reported/e-coli', 'set', true],
		['reviewer', 'arrival/depth_m', 'set', false],
		['reviewer', 'arrival/depth_m', 'strike', true],
		['bench', 'bottles/b/results/e-coli', 'set', true],
		['bench', 'bottles/b/atLabAt', 'set', true],
		['bench', 'bottles/b/filledAt', 'set', false],
		['bench', 'custody/a/temperature_C', 'set', true],
		['bench', 'titrations/first/drops', 'set', true],
		['bench', 'conditions/weather', 'set', false],
		['bench', 'photos/a/sha256', 'set', false],
		['monitor', 'custody/a/signature', 'set', true],
		['monitor', 'photos/a/sha256', 'set', true],
		['reviewer', 'photos/a/sha256', 'set', false],
		['viewer', 'remarks/x', 'set', false],
		['coordinator', 'reviews/e-coli', 'set', true]
	])('a %s at %s, to %s: %s', (role, path, op, allowed) => {
		expect(can(member(role), 'write-entry', { ...ours, path, op })).toBe(allowed);
	});

	it('one who was removed may do nothing', () => {
		for (const role of roles) expect(can(member(role, { removedAt: new Date(0) }), 'see-site')).toBe(false);
	});
});
