import { createHash } from 'node:crypto';
import fc from 'fast-check';
import { beforeEach, describe, expect, it } from 'vitest';
import { v7 } from 'uuid';
import { fold, type Entry } from '../../src/lib/core/logbook';
import { database } from '../../src/lib/server/db/connect';
import { photoFor, takePhoto } from '../../src/lib/server/photos/photos';
import { seenBefore } from '../../src/lib/server/sync/seen-before';
import { workedVisit } from '../../src/lib/server/reviews/judge';
import { aDevice, anOpening, aProgram, now_ms, send, type AProgram } from './a-program';

let program: AProgram;
let visitId: string;
beforeEach(async () => {
	program = await aProgram();
	visitId = v7();
});

describe('a photo', () => {
	const bytes = Buffer.concat([Buffer.from([0xff, 0xd8, 0xff, 0xe0]), Buffer.from('a stream, a board, a date')]);
	const sha256 = createHash('sha256').update(bytes).digest('hex');
	const take = (
		member = program.members.monitor,
		of: Partial<{ name: string; mediaType: 'image/jpeg' | 'image/png'; bytes: Buffer }> = {}
	) =>
		takePhoto(
			database(),
			member,
			of.name ?? sha256,
			{ visit: visitId, mediaType: of.mediaType ?? 'image/jpeg' },
			of.bytes ?? bytes,
			now_ms
		);
	const openWithLine = async () => {
		const write = aDevice(program.members.monitor, visitId);
		await send(program.members.monitor, [write('opening', anOpening(program)), write('photos/a/sha256', sha256)]);
	};

	it('is taken after the line that speaks of it, once, and shown to those who may see the visit', async () => {
		await openWithLine();
		expect((await send(program.members.monitor, [])).wantedPhotos).toEqual([]);
		expect(await take()).toEqual({ ok: true });
		expect(await take()).toEqual({ ok: true });
		expect((await photoFor(database(), program.members.coordinator, sha256))!.content.equals(bytes)).toBe(true);
		expect(await photoFor(database(), program.members.other, sha256)).toBeNull();
		expect(await photoFor(database(), (await aProgram()).members.coordinator, sha256)).toBeNull();
	});

	it('from the photo point is what the next crew lays over its camera', async () => {
		const write = aDevice(program.members.monitor, visitId);
		await send(program.members.monitor, [
			write('opening', anOpening(program)),
			write('photos/a/of', 'photo point'),
			write('photos/a/sha256', sha256)
		]);
		expect(
			(await seenBefore(database(), program.members.monitor, now_ms)).pictures.get(program.siteId)
		).toBeUndefined(); // its bytes are still on the phone
		await take();
		expect((await seenBefore(database(), program.members.monitor, now_ms)).pictures.get(program.siteId)).toBe(sha256);
	});

	it('of a plate is the bench’s to take, one of the visit is not', async () => {
		const { monitor, bench, other } = program.members;
		const byMonitor = aDevice(monitor, visitId);
		await send(monitor, [byMonitor('opening', anOpening(program)), byMonitor('photos/a/sha256', sha256)]);
		expect(await take(bench)).toMatchObject({ ok: false, status: 403, why: expect.stringContaining('such a photo') });
		const write = aDevice(bench, visitId);
		const { refused } = await send(bench, [write('photos/b/sha256', sha256), write('platePhotos/p/sha256', sha256)]);
		expect(refused.map((r) => r.path)).toEqual(['photos/b/sha256']);
		expect(await take(other)).toMatchObject({ ok: false, status: 403 });
		expect(await take(bench)).toEqual({ ok: true });
	});

	it('that no line speaks of, of another team, or other than its name says, is refused in words', async () => {
		const write = aDevice(program.members.monitor, visitId);
		await send(program.members.monitor, [write('opening', anOpening(program))]);
		expect(await take()).toMatchObject({
			ok: false,
			status: 400,
			why: expect.stringContaining('send the line first') as string
		});
		await send(program.members.monitor, [write('photos/a/sha256', sha256)]);
		expect(await take(program.members.other)).toMatchObject({ ok: false, status: 403 });
		expect(await take(program.members.viewer)).toMatchObject({ ok: false, status: 403 });
		expect(await take(program.members.monitor, { name: '0'.repeat(64) })).toMatchObject({
			ok: false,
			status: 400,
			why: expect.stringContaining('not the bytes') as string
		});
		expect(await take(program.members.monitor, { mediaType: 'image/png' })).toMatchObject({
			ok: false,
			status: 400,
			why: expect.stringContaining('no image/png') as string
		});
		expect(await take(program.members.monitor, { bytes: Buffer.alloc(3_000_001) })).toMatchObject({
			ok: false,
			status: 413
		});
	});
});

describe('two devices on one visit', () => {
	/** What two people write with no network: steps divided, one place written by both. */
	function divided(): [Entry[], Entry[]] {
		const first = aDevice(program.members.monitor, visitId);
		const second = aDevice(program.members.coordinator, visitId, now_ms + 400);
		const slip = first('readings/conductivity/main', { value: 2310, unit: 'uS_cm' });
		return [
			[
				first('opening', anOpening(program)),
				first('steps/conductivity/takenBy', 'MON'),
				slip,
				first('readings/conductivity/main', 'point', { op: 'strike', was: slip.id }),
				first('readings/conductivity/main', { value: 231, unit: 'uS_cm' }),
				first('readings/tube-depth/tube', { value: 80, unit: 'cm' })
			],
			[
				second('steps/conditions/takenBy', 'COO'),
				second('conditions/weather', 'cloudy'),
				second('conditions/odour/sewage', true),
				second('readings/tube-depth/tube', { value: 71, unit: 'cm' })
			]
		];
	}

	it(
		'come to the same sheet in whatever order, pieces and repeats their lines arrive; a conflict loses ' + 'nothing',
		async () => {
			const [mine, theirs] = divided();
			const opening = mine[0]!;
			const sheetOf = async (id: string) =>
				(await workedVisit(database(), program.programId, id, now_ms))!.outcome.folded;
			const expected = fold([...mine, ...theirs]);
			expect(expected.conflicts.map((c) => c.path)).toEqual(['readings/tube-depth/tube']);
			const piece = fc.record({ isMine: fc.boolean(), from: fc.nat(5), length: fc.integer({ min: 1, max: 4 }) });
			await fc.assert(
				fc.asyncProperty(fc.array(piece, { minLength: 1, maxLength: 8 }), async (pieces) => {
					// the same lines for a visit of their own, so that each order starts from nothing
					const id = v7();
					const ids = new Map([...mine, ...theirs].map((e) => [e.id, v7()]));
					const anew = (e: Entry): Entry => ({
						...e,
						id: ids.get(e.id)!,
						visitId: id,
						was: e.was === null ? null : ids.get(e.was)!
					});
					await send(program.members.monitor, [anew(opening)]);
					for (const { isMine, from, length } of pieces) {
						const lines = (isMine ? mine : theirs).slice(from, from + length).map(anew);
						await send(isMine ? program.members.monitor : program.members.coordinator, lines);
					}
					await send(program.members.coordinator, theirs.map(anew));
					await send(program.members.monitor, [...mine].reverse().map(anew));
					const folded = await sheetOf(id);
					expect(folded.sheet).toEqual(expected.sheet);
					expect(folded.conflicts).toHaveLength(1);
					expect(folded.entries).toHaveLength(mine.length + theirs.length);
				}),
				{ numRuns: 12 }
			);
		}
	);
});

describe('what was seen at a site before', () => {
	it('are the usual answers, the commonest first, and the remarks of the last visit that was left', async () => {
		for (const [daysAgo, colour, smells] of [
			[60, 'tea', ['earthy']],
			[30, 'clear', ['earthy', 'fishy']],
			[2, 'tea', ['none']]
		] as const) {
			const at_ms = now_ms - daysAgo * 86_400_000;
			const write = aDevice(program.members.monitor, v7(), at_ms);
			await send(program.members.monitor, [
				write('opening', anOpening(program, at_ms)),
				write('conditions/colour', colour),
				...smells.map((smell) => write(`conditions/odour/${smell}`, true)),
				write('arrival/access', 'bank'),
				write('arrival/reason', `left ${daysAgo} days ago`),
				write('leaving/at', new Date(at_ms + 3_600_000).toISOString())
			]);
		}
		const { answers, last, pictures } = await seenBefore(database(), program.members.monitor, now_ms);
		expect(answers.get(program.siteId)).toEqual({ colour: ['tea', 'clear'], odour: ['earthy', 'fishy', 'none'] });
		expect(last.get(program.siteId)!.remarks).toEqual(['left 2 days ago']);
		expect(last.get(program.siteId)!.conditions).toEqual({ colour: 'tea', odour: { none: true } });
		expect([...pictures]).toEqual([]);
	});
});
