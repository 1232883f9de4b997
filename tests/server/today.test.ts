import { beforeEach, describe, expect, it } from 'vitest';
import { v7 } from 'uuid';
import { database } from '../../src/lib/server/db/connect';
import { consumable, member, sampler } from '../../src/lib/server/db/schema';
import { membershipsOf, type Membership } from '../../src/lib/server/db/queries/members';
import { todayFor } from '../../src/lib/server/plan/today';
import { and, eq } from 'drizzle-orm';
import { aDevice, anOpening, aProgram, now_ms, send, type AProgram } from './a-program';

const HOUR_ms = 3_600_000;
const db = database();
let program: AProgram;
let visitId: string;

const who = async (name: keyof AProgram['members']): Promise<Membership> =>
	(await membershipsOf(db, program.members[name].userId))[0]!;
const todayOf = async (name: keyof AProgram['members'], at_ms = now_ms) => {
	const { items, openable } = await todayFor(db, await who(name), at_ms);
	return items.map((i) => ({ kind: i.kind, isOpen: 'visitId' in i && openable.has(i.visitId) }));
};

beforeEach(async () => {
	program = await aProgram();
	visitId = v7();
	const write = aDevice(program.members.monitor, visitId);
	await send(program.members.monitor, [write('opening', anOpening(program))]);
});

describe('Today, by who looks', () => {
	it('shows a visit to its team, to the office and to nobody else', async () => {
		const open = { kind: 'open-visit', isOpen: true };
		expect(await todayOf('monitor')).toEqual([open]);
		expect(await todayOf('coordinator')).toEqual([open]);
		expect(await todayOf('reviewer')).toEqual([open]);
		expect(await todayOf('other')).toEqual([]);
		expect(await todayOf('viewer')).toEqual([]);
	});

	it('tells everyone who goes out of a crew that is overdue, without a link that would be refused', async () => {
		expect(await todayOf('other', now_ms + 3 * HOUR_ms)).toEqual([{ kind: 'open-visit', isOpen: false }]);
		expect((await todayOf('monitor', now_ms + 3 * HOUR_ms))[0]).toEqual({ kind: 'open-visit', isOpen: true });
	});

	it('shows what has expired, and what stands in the stream, to whoever can do something about it', async () => {
		await db
			.insert(consumable)
			.values({ programId: program.programId, id: v7(), what: 'buffer', expiresOn: '2026-05-10' });
		await db.insert(sampler).values({
			programId: program.programId,
			id: v7(),
			code: 'LB-1',
			siteId: program.siteId,
			kind: 'leaf bag',
			outOn: '2026-04-22'
		});
		expect((await todayOf('bench')).map((i) => i.kind)).toEqual(['consumable', 'open-visit']);
		expect((await todayOf('reviewer')).map((i) => i.kind)).toEqual(['open-visit']);
		expect((await todayOf('monitor')).map((i) => i.kind)).toContain('sampler');
	});

	it('adds up what a person of two roles does', async () => {
		await db
			.insert(consumable)
			.values({ programId: program.programId, id: v7(), what: 'buffer', expiresOn: '2026-05-10' });
		expect((await todayOf('reviewer')).map((i) => i.kind)).not.toContain('consumable');
		await db
			.update(member)
			.set({ alsoRoles: ['bench'] })
			.where(and(eq(member.programId, program.programId), eq(member.id, program.members.reviewer.id)));
		expect((await todayOf('reviewer')).map((i) => i.kind)).toContain('consumable');
	});
});
