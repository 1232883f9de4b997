import { describe, expect, it } from 'vitest';
import { v7 } from 'uuid';
import { database } from '../../src/lib/server/db/connect';
import { receiveEntries } from '../../src/lib/server/sync/receive';
import { entriesSince } from '../../src/lib/server/sync/send';
import { aDevice, anOpening, aProgram, now_ms, send } from './a-program';

const clock = { now_ms, skew_ms: null };

describe('the cursor never steps over a line that is committed later', () => {
	it('when one writer is slow and another fast', async () => {
		const program = await aProgram();
		const { monitor, coordinator, reviewer } = program.members;
		const visitId = v7();
		await send(monitor, [aDevice(monitor, visitId)('opening', anOpening(program))]);
		const start = (await entriesSince(database(), reviewer, null)).cursor;

		let letGo = () => {};
		const held = new Promise<void>((resolve) => (letGo = resolve));
		let isWritten = () => {};
		const written = new Promise<void>((resolve) => (isWritten = resolve));
		const slowLine = aDevice(monitor, visitId)('arrival/depth_m', 0.2);
		const slow = database().transaction(async (tx) => {
			await receiveEntries(tx, monitor, [slowLine], clock);
			isWritten();
			await held; // its place is taken, its line not yet to be seen
		});
		await written;
		const fastLine = aDevice(coordinator, visitId)('arrival/velocity_m_s', 0.3);
		const fast = send(coordinator, [fastLine]);
		const between = await entriesSince(database(), reviewer, start);
		letGo();
		await Promise.all([slow, fast]);
		const after = await entriesSince(database(), reviewer, between.cursor);
		expect([...between.entries, ...after.entries].map((e) => e.id).sort()).toEqual([slowLine.id, fastLine.id].sort());
	});

	it('when many write at once and one reads all the while', async () => {
		const program = await aProgram();
		const { coordinator, monitor, reviewer } = program.members;
		const visits = [coordinator, monitor, coordinator, monitor].map((who) => ({ who, visitId: v7() }));
		const sent: string[] = [];
		let writing = true;
		const read: string[] = [];
		const reader = (async () => {
			let cursor: string | null = null;
			for (let last = false; !last;) {
				last = !writing;
				const page = await entriesSince(database(), reviewer, cursor);
				read.push(...page.entries.map((e) => e.id));
				cursor = page.cursor;
			}
		})();
		await Promise.all(
			visits.map(async ({ who, visitId }) => {
				const write = aDevice(who, visitId);
				await send(who, [write('opening', anOpening(program))]).then((a) => sent.push(...a.accepted));
				for (let i = 0; i < 8; i++) {
					const lines = Array.from({ length: 1 + (i % 3) }, (_, k) => write(`remarks/r${i}-${k}`, `line ${i} ${k}`));
					sent.push(...(await send(who, lines)).accepted);
				}
			})
		);
		writing = false;
		await reader;
		expect(read.sort()).toEqual(sent.sort());
	});
});
