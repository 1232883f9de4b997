import { describe, expect, it } from 'vitest';
import { labDeadline } from '$lib/core/custody';
import type { Satchel } from '$lib/core/satchel';
import { restOfRound } from './rest-of-round';

const midnight_ms = Date.UTC(2026, 4, 14);
const at = (min: number) => midnight_ms + min * 60_000;
const iso = (min: number) => new Date(at(min)).toISOString();
const stop = (id: string) => ({ id, visit_min: 60, bottle_min: 6 });
const round = {
	day: {
		lab: 'the lab',
		midnight_ms,
		question: {
			stops: [stop('a'), stop('b')],
			drive: {
				fromStart: [20, 30],
				between: [
					[0, 15],
					[15, 0]
				],
				toLab: [40, 25]
			},
			holding_min: 360,
			bench_min: 20,
			lab: { opens_min: 480, closes_min: 960 },
			start: { earliest_min: 480, latest_min: 600, step_min: 5 },
			light: { from_min: 300, to_min: 1260 }
		}
	}
} as unknown as Satchel['rounds'][number];
const see = (now_min: number, bottle_min: number) =>
	restOfRound(
		round,
		[{ siteId: 'a', startedAt: iso(540), leftAt: undefined, bottleAt: iso(bottle_min) }],
		midnight_ms + now_min * 60_000,
		'Etc/UTC',
		(id) => `site ${id}`,
		labDeadline(at(bottle_min), 6, {
			lab: 'the lab',
			bench_min: 20,
			holding_h: null,
			openings: [{ opens_ms: at(480), closes_ms: at(960) }],
			first: null
		})
	);

describe('what a round still has before it', () => {
	it('is the next stop, and what is left at the lab if they leave now', () => {
		// leaves a at 10:00, at b 10:15, leaves 11:15, lab 11:40, plated 12:00; the bottle of 9:06 lasts until 15:06
		expect(see(600, 546)).toEqual({
			next: { name: 'site b', arrive: '10:15' },
			lab: {
				isLate: false,
				words: 'At the lab by 14:46: its limit ends then. From here it is reached at 11:40, with 3 h 06 to spare.'
			}
		});
	});
	it('says so when it is too late', () => {
		const late = see(930, 546); // leaves at 15:30, lab at 17:10: closed at 16:00, and the bottle is lost since 15:06
		expect(late!.lab).toMatchObject({ isLate: true });
		expect(late!.lab!.words).toContain('too late');
	});
	it('is nothing where the phone does not know the day', () => {
		expect(restOfRound({ ...round, day: null }, [], midnight_ms, 'Etc/UTC', String, null)).toBeNull();
	});
});
