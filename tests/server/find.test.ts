import { describe, expect, it } from 'vitest';
import { v7 } from 'uuid';
import { database } from '../../src/lib/server/db/connect';
import { find } from '../../src/lib/server/db/queries/find';
import { aDevice, anOpening, aProgram, now_ms, send, type AProgram } from './a-program';

const db = database();

async function visited(program: AProgram, by: 'monitor' | 'other' = 'monitor', at_ms = now_ms) {
	const visitId = v7({ msecs: at_ms });
	const write = aDevice(program.members[by], visitId, at_ms);
	await send(program.members[by], [
		write('opening', anOpening(program, at_ms)),
		write('bottles/bacteria/label', 'S1-260514-B')
	]);
	return visitId;
}
const seek = async (program: AProgram, who: keyof AProgram['members'], asked: string) =>
	Object.fromEntries(
		(await find(db, program.members[who], asked, 'Etc/UTC')).map((g) => [g.heading, g.found.map((f) => f.href)])
	);

describe('find', () => {
	it('finds a visit by its site, its day and the label of a bottle; sites, people and cards by their names', async () => {
		const program = await aProgram();
		const visitId = await visited(program);
		const visit = { 'Visits and bottles': [`/visits/${visitId}`] };
		expect(await seek(program, 'coordinator', 'site 1')).toEqual({ Sites: ['/sites/S1'], ...visit });
		expect(await seek(program, 'coordinator', '2026-05-14')).toEqual(visit);
		expect(await seek(program, 'coordinator', 'Site 2026-05-14')).toMatchObject(visit);
		expect(await seek(program, 'coordinator', 'site 2026-05-15')).toEqual({ Sites: ['/sites/S1'] });
		expect(await seek(program, 'coordinator', '260514-B')).toEqual(visit);
		expect(await seek(program, 'coordinator', 'review')).toEqual({
			People: [`/library/people/${program.members.reviewer.id}`]
		});
		expect(await seek(program, 'coordinator', 'stream visit')).toEqual({
			'Method cards': ['/library/cards/stream-visit']
		});
	});

	it('shows nobody what they may not open, and no other program’s', async () => {
		const program = await aProgram();
		await visited(program);
		await visited(await aProgram());
		expect(await seek(program, 'other', 'site 1')).toEqual({ Sites: ['/sites/S1'] }); // another team’s visit
		expect(await seek(program, 'viewer', 'site 1')).toEqual({ Sites: ['/sites/S1'] });
		expect(await seek(program, 'viewer', 'review')).toEqual({});
	});

	it('finds one’s own visit among however many later ones of another team', async () => {
		const program = await aProgram();
		const mine = await visited(program, 'monitor', now_ms - 86_400_000);
		for (let n = 0; n < 14; n++) await visited(program, 'other', now_ms - n * 60_000);
		expect(await seek(program, 'monitor', 'site 1')).toMatchObject({ 'Visits and bottles': [`/visits/${mine}`] });
	});

	it('takes letters that mean something to a pattern as they are', async () => {
		const program = await aProgram();
		for (const asked of ['%', '_', '\\', "'", '%%%', 'S_'])
			expect(await seek(program, 'coordinator', asked), asked).toEqual({});
	});
});
