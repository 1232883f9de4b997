import { eq } from 'drizzle-orm';
import { describe, expect, it } from 'vitest';
import { v7 } from 'uuid';
import { labDeadline } from '$lib/core/custody';
import { contextFrom, Satchel } from '../../src/lib/core/satchel';
import { restOfRound } from '../../src/lib/ui/subjects/leaving/rest-of-round';
import { database } from '../../src/lib/server/db/connect';
import { round } from '../../src/lib/server/db/schema';
import { packSatchel } from '../../src/lib/server/sync/satchel';
import { aPlan } from './a-plan';
import { aDevice, anOpening, now_ms, send } from './a-program';

const db = database();
const DAY_ms = 86_400_000;
type Plan = Awaited<ReturnType<typeof aPlan>>;
/** What a phone would carry, through the check that the phone makes. */
const pack = async (who: Plan['who'], at_ms = now_ms) =>
	Satchel.parse(JSON.parse(JSON.stringify(await packSatchel(db, who, { now_ms: at_ms, isFixed: true }))));
const visit = async ({ program }: Plan, at_ms: number, lines: Record<string, unknown>) => {
	const write = aDevice(program.members.coordinator, v7(), at_ms);
	const entries = [
		write('opening', anOpening(program, at_ms)),
		...Object.entries(lines).map(([path, value]) => write(path, value))
	];
	const { refused } = await send(program.members.coordinator, entries);
	expect(refused).toEqual([]);
	return entries[0]!.visitId;
};

describe('the satchel', () => {
	it('carries what works without a network: sites with where they lie, cards, people', async () => {
		const plan = await aPlan();
		const satchel = await pack(plan.who);
		expect(satchel.sites).toMatchObject([
			{
				id: plan.siteId,
				code: 'S1',
				latitude: 0,
				longitude: 0,
				usualAnswers: {},
				lastVisit: null,
				photoPointPicture: null
			}
		]);
		expect(satchel.cards.filter((c) => c.inUse).map((c) => c.card.code)).toEqual(['stream-visit']);
		expect(satchel.member).toMatchObject({ id: plan.who.id, role: 'coordinator' });
		expect(satchel.clock).toEqual({ now_ms, isFixed: true });
	});

	it('carries by what animals are scored, and of which kinds its stream has a voucher', async () => {
		const plan = await aPlan();
		await visit(plan, now_ms - 40 * DAY_ms, {
			'vouchers/a/taxon': 'Baetidae',
			'vouchers/a/keptIn': 'ethanol',
			'vouchers/b/taxon': 'Perlidae',
			'vouchers/b/keptIn': 'photo',
			'leaving/at': new Date(now_ms - 40 * DAY_ms + 3_600_000).toISOString()
		});
		const satchel = await pack(plan.who);
		expect(satchel.schemes.map((s) => s.code)).toEqual(['example-tolerance', 'example-score']);
		// what is kept as a photo went back alive
		expect(satchel.sites[0]!.keptKinds).toEqual(['Baetidae']);
	});

	it('tells what was seen at a site before, and knows of no one else’s program', async () => {
		const [plan, elsewhere] = [await aPlan(), await aPlan()];
		await visit(elsewhere, now_ms - 3 * DAY_ms, {
			'conditions/colour': 'grey',
			'arrival/reason': 'not ours',
			'leaving/at': new Date(now_ms - 3 * DAY_ms + 3_600_000).toISOString()
		});
		await visit(plan, now_ms - 40 * DAY_ms, {
			'conditions/colour': 'tea',
			'remarks/a': 'Step is loose.',
			'leaving/at': new Date(now_ms - 40 * DAY_ms + 3_600_000).toISOString()
		});
		const [site] = (await pack(plan.who)).sites;
		expect(site!.usualAnswers).toEqual({ colour: ['tea'] });
		expect(site!.lastVisit!.remarks).toEqual(['Step is loose.']);
	});

	it('brings the lines of visits that are open, and not those of visits that were left long ago', async () => {
		const plan = await aPlan();
		const open = await visit(plan, now_ms - 3_600_000, { 'arrival/depth_m': 0.2 });
		await visit(plan, now_ms - 40 * DAY_ms, { 'leaving/at': new Date(now_ms - 40 * DAY_ms + 3_600_000).toISOString() });
		const { entries } = await pack(plan.who);
		expect([...new Set(entries.map((e) => e.visitId))]).toEqual([open]);
	});

	it('has the day of a round that is near, from which the phone works out the rest of it, and of none that is far', async () => {
		const plan = await aPlan();
		expect((await pack(plan.who)).rounds.map((r) => r.day)).toEqual([null]); // it is twelve days off
		const [row] = await db.select().from(round).where(eq(round.id, plan.roundId));
		const onTheDay_ms = +row!.startsAt + 30 * 60_000;
		const satchel = await pack(plan.who, onTheDay_ms);
		const [today] = satchel.rounds;
		expect(today!.day).toMatchObject({ lab: 'lab', midnight_ms: Math.floor(+row!.startsAt / DAY_ms) * DAY_ms });
		const begun = new Date(onTheDay_ms).toISOString();
		const rest = restOfRound(
			today!,
			[{ siteId: plan.siteId, startedAt: begun, leftAt: undefined, bottleAt: begun }],
			onTheDay_ms,
			'Etc/UTC',
			() => 'S1',
			labDeadline(onTheDay_ms, 8, today!.trip)
		);
		expect(rest!.next).toBeNull(); // its one site is where they are
		expect(rest!.lab!.words).toMatch(
			/^At lab by \d\d:\d\d: .*From here it is reached at \d\d:\d\d, with .* to spare\.$/
		);
	});

	it('gives evaluate what it asks for, in the zone of the program', async () => {
		const plan = await aPlan();
		const satchel = await pack(plan.who);
		expect(contextFrom(satchel, plan.siteId, now_ms)).toMatchObject({
			now_ms,
			timeZone: 'Etc/UTC',
			site: { code: 'S1', elevation_m: 200 }
		});
		expect(contextFrom(satchel, v7(), now_ms)).toBeNull();
	});
});
