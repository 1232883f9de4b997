import { v7 } from 'uuid';
import { voucherCode } from '../../core/custody';
import type { Entry } from '../../core/logbook';
import { shippedAnimals } from '../../core/macroinvertebrates';
import { shippedCards, type MethodCard } from '../../core/method';
import { seeded, type Chance } from '../../core/statistics';
import type { Db } from '../db/connect';
import { methodCard, methodCardVersion } from '../db/schema';
import { lostStack, lostStackDaysAgo, pickUnderWay, trayUnderWay } from './animal-scenes';
import { handIn } from './hand-in';
import { logbookWriter, seededId, type Writer } from './logbook-writer';
import type { Cast } from './reference-data';

/* Three years of kick samples, spring and autumn, drawn from a model of what each reach does to its animals. */

const DAY_ms = 86_400_000;
const MINUTE_ms = 60_000;
const SEED = 77_031;
/** Days before now on which the animals were looked at: springs and autumns. */
const sampledDaysAgo = [1_130, 945, 765, 580, 400, 215];

/** What a kick of eight places catches in a riffle that nothing harms. */
const unharmed: Readonly<Record<string, number>> = {
	Baetidae: 34,
	Heptageniidae: 22,
	Leptophlebiidae: 8,
	Ephemerellidae: 10,
	Leuctridae: 12,
	Perlodidae: 6,
	Nemouridae: 7,
	Rhyacophilidae: 6,
	Hydropsychidae: 16,
	Limnephilidae: 8,
	Sericostomatidae: 4,
	Elmidae: 12,
	Simuliidae: 10,
	Chironomidae: 14,
	'Chironomidae-red': 0.6,
	Tipulidae: 4,
	Gammaridae: 14,
	Asellidae: 1.2,
	Erpobdellidae: 0.6,
	Oligochaeta: 1.6,
	Physidae: 0.6,
	Sphaeriidae: 1.5
};
/** How sharply a harmed reach sorts its animals by what they stand. */
const SORTS = 0.62;
const MIDDLING_TOLERANCE = 5;

/** 0 for a reach that nothing harms, towards 1 for one that is choked. `since`: 0 at the demo's start, 1 now. */
function harm({ nature }: Cast['sites'][number], since: number): number {
	const still = nature.restored ? 1 - since : 0;
	const oxygen = nature.oxygen_percent - still * (nature.restored?.oxygen_percent ?? 0);
	const turbidity = nature.turbidity_NTU + still * (nature.restored?.turbidity_NTU ?? 0);
	const raw = (98 - oxygen) / 9 + (turbidity - 2.2) / 14 + Math.log10(nature.eColi_cfu_100mL / 14) / 2.4;
	return 1 - Math.exp(-Math.max(0, raw));
}

/** So many animals as chance gives where so many are expected; near enough to Poisson for a demo. */
const drawn = (expected: number, chance: Chance): number =>
	Math.max(0, Math.round(expected + Math.sqrt(expected) * chance.normal()));

/** Days before now of the last look: of these some animals were kept. */
const lastLook = sampledDaysAgo.at(-1)!;
/** What was kept of a last look, as the crew named it, and what those who know the animals call it. */
interface KeptLot {
	site: number;
	taxon: string;
	count: number;
	said: Record<string, string>;
	/** Where the bench put it; what came last stands nowhere yet. */
	shelf?: string;
	lentTo?: string;
}
const kept: readonly KeptLot[] = [
	{ site: 0, taxon: 'Leuctridae', count: 2, said: { RH: 'Leuctridae' }, shelf: 'rack 1, upper row' },
	{
		site: 1,
		taxon: 'Baetidae',
		count: 4,
		said: { RH: 'Leptophlebiidae', OT: 'Siphlonuridae' },
		shelf: 'rack 1, upper row',
		lentTo: 'Nell Sorrel'
	},
	{ site: 2, taxon: 'Perlodidae', count: 1, said: { RH: 'Chloroperlidae' }, shelf: 'rack 1, lower row' },
	{ site: 3, taxon: 'Hydropsychidae', count: 3, said: {} },
	{ site: 5, taxon: 'Sericostomatidae', count: 2, said: { OT: 'Trichoptera' } },
	{ site: 6, taxon: 'Erpobdellidae', count: 1, said: {} }
];

export async function animalVisits(tx: Db, cast: Cast): Promise<void> {
	const version = await takeCard(tx, cast, 'animals');
	for (const daysAgo of sampledDaysAgo) {
		const lines = cast.sites.flatMap((site, i) => visitTo(cast, version, site, daysAgo + (i % 4), i));
		await handIn(tx, cast, lines, cast.now_ms - (daysAgo - 2) * DAY_ms);
	}
	await takeCard(tx, cast, 'fixed-count');
	const stack = await takeCard(tx, cast, 'plate-stack');
	await handIn(tx, cast, lostStack(cast, stack.id), cast.now_ms - (lostStackDaysAgo - 1) * DAY_ms);
	const pick = await takeCard(tx, cast, 'live-pick');
	await handIn(tx, cast, [...pickUnderWay(cast, pick.id), ...trayUnderWay(cast, version.id)], cast.now_ms);
}

/** One of the shipped cards, in use since the demo's first animals. */
async function takeCard(tx: Db, { programId, now_ms }: Cast, code: string): Promise<{ id: string; card: MethodCard }> {
	const card = shippedCards.find((c) => c.code === code)!;
	const [cardId, id] = [v7(), v7()];
	await tx.insert(methodCard).values({ programId, id: cardId, code });
	await tx.insert(methodCardVersion).values({
		programId,
		id,
		cardId,
		version: card.version,
		body: card,
		inUseSince: new Date(now_ms - 1200 * DAY_ms)
	});
	return { id, card };
}

function visitTo(
	cast: Cast,
	version: { id: string; card: MethodCard },
	site: Cast['sites'][number],
	daysAgo: number,
	nth: number
): Entry[] {
	const chance = seeded(SEED + daysAgo * 31 + nth);
	const startedAt_ms =
		Math.floor((cast.now_ms - daysAgo * DAY_ms) / DAY_ms) * DAY_ms + (10 * 60 + 40 * (nth % 3)) * MINUTE_ms;
	const id = seededId(startedAt_ms, chance);
	const crew = crewOf(cast, site, daysAgo);
	const { entries, write } = logbookWriter({ id, startedAt_ms }, chance);
	const [first, second] = crew;
	const at = (minute: number) => new Date(startedAt_ms + minute * MINUTE_ms).toISOString();
	write(first, 0, 'opening', { siteId: site.id, cardVersionId: version.id, startedAt: at(0) });
	for (const person of crew) write(first, 1, `arrival/crew/${person.initials}/initials`, person.initials);
	write(first, 1.2, 'arrival/waiting/who', 'Orla, at the depot');
	write(first, 1.4, 'arrival/waiting/backAt', at(8 * 60));
	write(first, 2, 'arrival/depth_m', 0.2);
	write(first, 2.5, 'arrival/velocity_m_s', 0.25);
	write(first, 3, 'arrival/access', 'wade');
	write(first, 6, 'readings/water-temperature/main', {
		value: Math.round((9 + 3 * chance.normal()) * 10) / 10,
		unit: 'degC'
	});
	write(first, 10, 'nets/kick/begunAt', at(10));
	for (let place = 0; place < 8; place++) write(first, 11 + place, 'nets/kick/places', 1, { op: 'add' });
	write(first, 20, 'nets/kick/endedAt', at(20));
	write(second, 25, 'trays/sort/begunAt', at(25));
	const there = new Set<string>();
	const harmed = harm(site, 1 - daysAgo / 1200);
	Object.entries(unharmed).forEach(([code, usual], i) => {
		const tolerance = shippedAnimals.of(code)?.tolerance ?? MIDDLING_TOLERANCE;
		const expected =
			usual * Math.exp(SORTS * (tolerance - MIDDLING_TOLERANCE) * harmed * (tolerance > MIDDLING_TOLERANCE ? 1.6 : 1));
		const count = drawn(expected, chance);
		if (count === 0) return;
		there.add(code);
		write(i % 2 ? first : second, 26 + i, `tallies/sort/taxa/${code}`, count, { op: 'add' });
	});
	write(second, 62, 'trays/sort/endedAt', at(62));
	write(second, 63, 'trays/sort/returned', true);
	if (Math.abs(daysAgo - lastLook) < 4)
		for (const lot of kept.filter((k) => k.site === nth && there.has(k.taxon))) {
			const voucher = seededId(startedAt_ms + 64 * MINUTE_ms, chance);
			const { taxon, count, said } = lot;
			const facts = {
				tray: 'sort',
				taxon,
				count,
				label: voucherCode(site.code, at(64).slice(0, 10), second.initials, 1),
				keptIn: 'ethanol',
				keptAt: at(64)
			};
			for (const [place, value] of Object.entries(facts)) write(second, 64, `vouchers/${voucher}/${place}`, value);
			for (const [initials, name] of Object.entries(said)) {
				const who = cast.writers.get(initials)!;
				write(who, 24 * 60, `opinions/${voucher}/${who.id}`, name);
			}
			const bench = cast.writers.get('BO')!;
			if (lot.shelf) write(bench, 48 * 60, `vouchers/${voucher}/shelf`, lot.shelf);
			if (lot.lentTo) {
				write(bench, 72 * 60, `vouchers/${voucher}/loans/first/to`, lot.lentTo);
				write(bench, 72 * 60, `vouchers/${voucher}/loans/first/lentOn`, at(72 * 60).slice(0, 10));
			}
		}
	write(first, 70, 'leaving/checked', true);
	write(first, 71, 'leaving/at', at(71));
	return entries;
}

function crewOf({ writers }: Cast, { team }: Cast['sites'][number], daysAgo: number): [Writer, Writer] {
	const there = [...writers.values()].filter(
		(p) => p.team === team && (p.leftDaysAgo === undefined || p.leftDaysAgo < daysAgo)
	);
	return [there[0]!, there[1 % there.length]!];
}
