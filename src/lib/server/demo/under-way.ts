import type { Entry } from '../../core/logbook';
import { v7 } from 'uuid';
import { seeded } from '../../core/statistics';
import type { DemoSite } from './catchment';
import { logbookWriter, type Writer } from './logbook-writer';

/*
 * Full visits that are going on at the moment the demo starts, each stopped where something is interesting: kits
 * developing, a titration half done, floats half run and a warm bottle, a sheet from paper that only one person has
 * typed.
 */

type Write = ReturnType<typeof logbookWriter>['write'];

interface Scene {
	site: string;
	crew: readonly [string, string];
	/** Minutes since it was begun. */
	begun_min: number;
	isOnPaper?: boolean;
	lines: (write: Write, crew: readonly [Writer, Writer], at: (minute: number) => string) => void;
}

const conditions = {
	weather: 'cloudy',
	rain24: 'none',
	rain48: 'little',
	flow: 'usual',
	surface: 'rippled',
	tide: 'none',
	colour: 'clear',
	foam: 'none',
	sheen: 'none'
};

const scenes: readonly Scene[] = [
	{
		site: 'TE1',
		crew: ['MP', 'AD'],
		begun_min: 52,
		lines(write, [first, second], at) {
			arrive(write, first, 'wade', 0.22, 0.3);
			for (const [question, choice] of Object.entries(conditions)) write(second, 6, `conditions/${question}`, choice);
			write(second, 7, 'steps/conditions/takenBy', second.initials);
			bottle(write, first, at, 'bacteria', 'TE1', 9, 12);
			write(second, 14, 'readings/air-temperature/shade', { value: 13.5, unit: 'degC', instrument: 'T-1' });
			write(first, 17, 'readings/water-temperature/main', { value: 9.8, unit: 'degC', instrument: 'M-1' });
			wait(write, second, at, 'phosphate', 'Phosphate by colour kit', 46, 630, 1830);
			wait(write, second, at, 'nitrite', 'Nitrite by strip', 51.5, 45, 105);
			wait(write, second, at, 'nitrate', 'Nitrate by strip', 51.5, 70, 130);
		}
	},
	{
		site: 'HO1',
		crew: ['CL', 'MP'],
		begun_min: 64,
		lines(write, [first, second], at) {
			arrive(write, first, 'wade', 0.18, 0.25);
			bottle(write, first, at, 'bacteria', 'HO1', 6, 9);
			write(first, 15, 'readings/water-temperature/main', { value: 10.4, unit: 'degC', instrument: 'M-1' });
			for (const [i, slot] of ['left', 'left-of-middle', 'middle', 'right-of-middle', 'right'].entries())
				write(first, 20 + i, `readings/dissolved-oxygen/${slot}`, {
					value: 10.3 + (i % 3) / 10,
					unit: 'mg_L',
					instrument: 'M-1',
					method: 'meter',
					isSimulated: true
				});
			for (const [i, id] of ['first', 'second'].entries()) {
				write(second, 26 + i, `titrations/${id}/hasBubble`, false);
				write(second, 28 + i, `titrations/${id}/fixedAt`, at(28 + i));
			}
			write(second, 34, 'titrations/first/acidAt', at(34));
			write(second, 44, 'titrations/first/mgLPerDrop', 0.2);
			write(second, 44, 'titrations/first/drops', 52);
			write(second, 46, 'titrations/second/acidAt', at(46));
		}
	},
	{
		site: 'TE4',
		crew: ['JP', 'NA'],
		begun_min: 95,
		lines(write, [first, second], at) {
			arrive(write, first, 'bridge', 0.8, 0.7);
			write(first, 4, 'arrival/dangers/high-water', true);
			write(first, 5, 'arrival/reason', 'Too deep and too fast to wade; from the bridge.');
			bottle(write, first, at, 'bacteria', 'TE4', 10, null);
			write(first, 10, 'bottles/bacteria/technique', 'bridge-bucket');
			write(second, 40, 'gaugings/main/method', 'float');
			write(second, 40, 'gaugings/main/because', 'nobody wades today');
			write(second, 41, 'gaugings/main/floats/length_m', 15);
			for (const [i, time_s] of [20.4, 19.1, 22.7].entries())
				write(second, 44 + 2 * i, `gaugings/main/floats/runs/r${i + 1}/time_s`, time_s);
		}
	},
	{
		site: 'HO2',
		crew: ['AD', 'CL'],
		begun_min: 26 * 60,
		isOnPaper: true,
		lines(write, [first], at) {
			write(first, 1500, `copies/${first.initials}/startedAt`, at(1500));
			arrive(write, first, 'bank', 0.35, 0.4, 1501);
			bottle(write, first, at, 'bacteria', 'HO2', 8, 10, 1503);
			write(first, 1504, 'readings/air-temperature/shade', { value: 12, unit: 'degC', instrument: 'T-1' });
			write(first, 1505, 'readings/water-temperature/main', { value: 10.9, unit: 'degC', instrument: 'M-1' });
			write(first, 1506, 'readings/conductivity/main', { value: 236, unit: 'uS_cm', instrument: 'M-1' });
			write(first, 1508, `copies/${first.initials}/doneAt`, at(1508));
		}
	}
];

function arrive(write: Write, who: Writer, access: string, depth_m: number, velocity_m_s: number, minute = 2): void {
	write(who, minute, 'arrival/waiting/who', 'the coordinator, at home');
	write(who, minute, 'arrival/depth_m', depth_m);
	write(who, minute, 'arrival/velocity_m_s', velocity_m_s);
	write(who, minute + 0.5, 'arrival/access', access);
}

/** `written`: when the line was typed, where that is not when it happened. */
function bottle(
	write: Write,
	who: Writer,
	at: (minute: number) => string,
	kind: 'bacteria',
	site: string,
	filled: number,
	iced: number | null,
	written = filled
): void {
	const base = `bottles/${kind}`;
	const day = at(filled).slice(2, 10).replaceAll('-', '');
	write(who, written, `${base}/kind`, kind);
	write(who, written, `${base}/label`, `${site}-${day}-B`);
	write(who, written, `${base}/filledAt`, at(filled));
	if (iced !== null) write(who, Math.max(written, iced), `${base}/onIceAt`, at(iced));
}

/** When they mean to be back: long after the demo starts, so that it does not start with a search. */
const BACK_min = 300;

function wait(
	write: Write,
	who: Writer,
	at: (minute: number) => string,
	id: string,
	what: string,
	minute: number,
	least_s: number,
	most_s: number
): void {
	write(who, minute, `waits/${id}/what`, what);
	write(who, minute, `waits/${id}/least_s`, least_s);
	write(who, minute, `waits/${id}/most_s`, most_s);
	write(who, minute, `waits/${id}/startedAt`, at(minute));
}

/** The lines of all of them, to be handed in by those who wrote them. */
export function visitsUnderWay(of: {
	sites: readonly (DemoSite & { id: string })[];
	writers: ReadonlyMap<string, Writer>;
	cardVersionId: string;
	now_ms: number;
}): Entry[] {
	const chance = seeded(97); // a chance of its own: the three years before do not change with what is going on now
	return scenes.flatMap(({ site, crew, begun_min, isOnPaper, lines }) => {
		const startedAt_ms = of.now_ms - begun_min * 60_000;
		const { entries, write } = logbookWriter({ id: v7({ msecs: startedAt_ms }), startedAt_ms }, chance);
		const people = crew.map((initials) => of.writers.get(initials)!) as [Writer, Writer];
		const at = (minute: number) => new Date(startedAt_ms + minute * 60_000).toISOString();
		const siteId = of.sites.find((s) => s.code === site)!.id;
		const opened = isOnPaper ? begun_min - 60 : 0;
		write(people[0], opened, 'opening', {
			siteId,
			cardVersionId: of.cardVersionId,
			startedAt: at(0),
			...(isOnPaper ? { isOnPaper } : {})
		});
		for (const person of isOnPaper ? [people[0]] : people)
			write(people[0], opened, `arrival/crew/${person.initials}/initials`, person.initials);
		if (!isOnPaper) write(people[0], 2, 'arrival/waiting/backAt', at(begun_min + BACK_min));
		lines(write, people, at);
		return entries;
	});
}
