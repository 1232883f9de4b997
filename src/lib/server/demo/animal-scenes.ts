import type { Entry } from '../../core/logbook';
import { nextUnnamed } from '../../core/subjects/tray/compartments';
import { seeded } from '../../core/statistics';
import { logbookWriter, seededId, type Writer } from './logbook-writer';
import type { Cast } from './reference-data';

/* What is going on with nets and trays just now, and a plate stack that was lost. */

const MINUTE_ms = 60_000;
const BACK_min = 200;

/** Which kind was picked at which minute: fewer and fewer are new, the last one at minute 41. */
const pickedAt: readonly [minute: number, code: string, count: number][] = [
	[1, 'Gammaridae', 3],
	[2, 'Baetidae', 2],
	[3, 'Chironomidae', 4],
	[5, 'Hydropsychidae', 1],
	[6, 'Baetidae', 3],
	[8, 'Heptageniidae', 2],
	[9, 'Limnephilidae', 1],
	[11, 'Gammaridae', 2],
	[12, 'Simuliidae', 2],
	[15, 'Elmidae', 1],
	[17, 'Leuctridae', 1],
	[18, 'Hydropsychidae', 2],
	[22, 'Sphaeriidae', 1],
	[24, 'Heptageniidae', 1],
	[27, 'Rhyacophilidae', 1],
	[30, 'Elmidae', 2],
	[33, 'Calopterygidae', 1],
	[36, 'Limnephilidae', 1],
	[41, 'Nepidae', 1]
];

/** A live pick at minute 43: two minutes ago something new came, so it goes on. */
export function pickUnderWay(cast: Cast, cardVersionId: string): Entry[] {
	const { entries, write, crew, at } = begun(cast, cardVersionId, { site: 'TE2', crew: ['SO', 'OT'], minutesAgo: 66 });
	const [first, second] = crew;
	write(first, 8, 'nets/sweep/begunAt', at(8));
	for (const [where, metres] of Object.entries({ roots: 4, leaves: 3, plants: 3 }))
		write(first, 14, `nets/sweep/metres/${where}`, metres, { op: 'add' });
	write(first, 20, 'nets/sweep/endedAt', at(20));
	const begunAt = 66 - 43;
	write(second, begunAt, 'trays/sort/begunAt', at(begunAt));
	pickedAt.forEach(([minute, code, count], i) =>
		write(i % 3 ? second : first, begunAt + minute, `tallies/sort/taxa/${code}`, count, { op: 'add' })
	);
	return entries;
}

/** A tray half counted by two people, one compartment without a name. */
export function trayUnderWay(cast: Cast, cardVersionId: string): Entry[] {
	const { entries, write, crew, at } = begun(cast, cardVersionId, { site: 'TE5', crew: ['NA', 'JP'], minutesAgo: 52 });
	const [first, second] = crew;
	write(first, 8, 'nets/kick/begunAt', at(8));
	for (let place = 0; place < 8; place++) write(first, 9 + place, 'nets/kick/places', 1, { op: 'add' });
	write(first, 18, 'nets/kick/endedAt', at(18));
	write(second, 24, 'trays/sort/begunAt', at(24));
	const taps: readonly [Writer, string, number][] = [
		[first, 'Baetidae', 11],
		[second, 'Gammaridae', 9],
		[second, 'Baetidae', 6],
		[first, 'Hydropsychidae', 7],
		[second, 'Asellidae', 5],
		[first, nextUnnamed({ tallies: undefined }, 'sort', first.initials), 2],
		[second, 'Chironomidae', 8]
	];
	taps.forEach(([who, code, count], i) => write(who, 26 + 3 * i, `tallies/sort/taxa/${code}`, count, { op: 'add' }));
	return entries;
}

/** Days before now of the visit that found a plate stack gone. */
export const lostStackDaysAgo = 31;

/** A plate stack that a flood took: every habitat was swept instead. */
export function lostStack(cast: Cast, cardVersionId: string): Entry[] {
	const minutesAgo = lostStackDaysAgo * 24 * 60;
	const { entries, write, crew, at } = begun(cast, cardVersionId, {
		site: 'TE3',
		crew: ['SO', 'OT'],
		minutesAgo,
		back_min: 180
	});
	const [first, second] = crew;
	write(first, 9, 'samplers/stack/state', 'lost');
	write(first, 12, 'remarks/stack', 'The flood took stack and stake; every habitat was swept instead.');
	write(second, 30, 'trays/sort/begunAt', at(30));
	const there = [
		'Gammaridae',
		'Baetidae',
		'Asellidae',
		'Hydropsychidae',
		'Chironomidae',
		'Sphaeriidae',
		'Calopterygidae'
	];
	there.forEach((code, i) => write(second, 32 + 2 * i, `tallies/sort/taxa/${code}`, 2 + (i % 3), { op: 'add' }));
	write(second, 60, 'trays/sort/endedAt', at(60));
	write(second, 61, 'trays/sort/returned', true);
	write(first, 70, 'leaving/checked', true);
	write(first, 71, 'leaving/at', at(71));
	return entries;
}

interface Begun {
	site: string;
	crew: readonly [string, string];
	minutesAgo: number;
	/** When they mean to be back, minutes after the visit began. */
	back_min?: number;
}
/** A visit that was begun so many minutes ago. */
function begun(
	cast: Cast,
	cardVersionId: string,
	{ site, crew: initials, minutesAgo, back_min = minutesAgo + BACK_min }: Begun
) {
	const siteId = cast.sites.find((s) => s.code === site)!.id;
	const startedAt_ms = cast.now_ms - minutesAgo * MINUTE_ms;
	const chance = seeded(4_100 + minutesAgo);
	const { entries, write } = logbookWriter({ id: seededId(startedAt_ms, chance), startedAt_ms }, chance);
	const at = (minute: number) => new Date(startedAt_ms + minute * MINUTE_ms).toISOString();
	const crew: [Writer, Writer] = [cast.writers.get(initials[0])!, cast.writers.get(initials[1])!];
	write(crew[0], 0, 'opening', { siteId, cardVersionId, startedAt: at(0) });
	for (const person of crew) write(crew[0], 1, `arrival/crew/${person.initials}/initials`, person.initials);
	write(crew[0], 2, 'arrival/waiting/who', 'Orla, at the depot');
	write(crew[0], 2.4, 'arrival/waiting/backAt', at(back_min));
	write(crew[0], 3, 'arrival/access', 'wade');
	return { entries, write, crew, at };
}
