import { describe, expect, it } from 'vitest';
import { sayBreach, sayGear, sayPlanDay, sayRemedy, sayUnmet } from '..';
import { sayMinute } from '../../wording';
import type { Blocker, Breach, GearWarning, Remedy } from '../../schedule';

const nameOf = (id: string) => `Person ${id}`;

describe('the rule that a date breaks', () => {
	it.each<[Breach | Blocker, string]>([
		[{ rule: 'too-soon', days: 9, least_days: 15, neighbour: 'last' }, '9 days after the last grab; at least 15.'],
		[{ rule: 'too-soon', days: 1, least_days: 15, neighbour: 'next' }, '1 day before the next grab; at least 15.'],
		[{ rule: 'too-far', days: 44, most_days: 37 }, '44 days after the last grab; at most 37.'],
		[{ rule: 'weekday', weekday: 6, allowed: [1, 2] }, 'A Saturday; this round goes on Mondays and Tuesdays.'],
		[{ rule: 'lab-closed', weekday: 5 }, 'The lab takes no bottles that Friday.'],
		[{ rule: 'lab-full', bottles: 14, most: 12 }, '14 bottles for the lab that day; it takes 12.'],
		[
			{ rule: 'wet-gear', kit: 'Upper', water: 'Ebbin Run', days: 4, dry_days: 18 },
			'The gear of Upper was in Ebbin Run 4 days apart; it dries 18 days, or is disinfected.'
		],
		[{ rule: 'crew-short', have: 1, want: 2 }, '1 of 2 people.'],
		[{ rule: 'skill-missing', skill: 'plates' }, 'Nobody for “plates”.'],
		[{ rule: 'nobody-free' }, 'Too few people are free.'],
		[{ rule: 'not-free', personId: '7' }, 'Person 7 cannot come that day.'],
		[{ rule: 'twice-that-day', personId: '7' }, 'Person 7 is on another round that day.'],
		[{ rule: 'refused', because: 'angling day' }, 'This date was refused: angling day.'],
		[
			{ rule: 'barred', site: 'Tessel 3', why: 'permission was refused' },
			'Tessel 3 may not be visited: permission was refused.'
		],
		[{ rule: 'no-order' }, 'No order of its stops gets the bottles to the lab in time, by daylight.'],
		[{ rule: 'kit-twice', kit: 'Upper', other: 'Upper brooks' }, 'Upper brooks has “Upper” that day.'],
		[{ rule: 'outside-season' }, 'Outside its season.']
	])('%j', (breach, words) => {
		expect(sayBreach(breach, nameOf)).toBe(words);
	});

	it('says why a circuit waits, and the smallest change', () => {
		const blocker: Blocker = { rule: 'weekday', weekday: 5, allowed: [1] };
		expect(
			sayUnmet(
				{
					circuitId: 'c',
					from: 20_529,
					to: 20_589,
					days: 20,
					shutBy: [{ blocker, days: 12 }],
					change: { blocker, day: 20_553 }
				},
				'Upper round'
			)
		).toBe(
			'Upper round: nothing from Tue 17 Mar to Sat 16 May. Of the days that would do, 12 days fall on a weekday it ' +
				'does not go. Fri 10 Apr would do if it could go on a Friday.'
		);
		expect(
			sayUnmet({ circuitId: 'c', from: 20_529, to: 20_589, days: 20, shutBy: [], change: null }, 'Upper round')
		).toMatch(/No single change would do\.$/);
	});
});

describe('what would make a day work', () => {
	it.each<[Remedy, RegExp]>([
		[{ change: 'start-earlier', start_min: 425, least_min: 50 }, /^Start at 07:05: 50 min of slack\.$/],
		[
			{ change: 'split', first: ['a', 'b'], second: ['c'], least_min: 90 },
			/^Split it in two: Person a and Person b; and Person c: 1 h 30 of slack/
		],
		[{ change: 'other-lab', lab: 'Sarn bench', least_min: 61 }, /^Take the bottles to Sarn bench/],
		[
			{ change: 'longer-holding', school: '8 h school', holding_min: 480, least_min: 61 },
			/8 h 00 \(8 h school\).*Ask the lab/
		],
		[{ change: 'leave-out', id: 'c', least_min: 61 }, /^Leave out Person c: 1 h 01 of slack\.$/]
	])('%j', (remedy, words) => {
		expect(sayRemedy(remedy, nameOf)).toMatch(words);
	});
	it('writes days and minutes', () => {
		expect([sayPlanDay(20_587), sayMinute(0), sayMinute(525), sayMinute(1439)]).toEqual([
			'Thu 14 May',
			'00:00',
			'08:45',
			'23:59'
		]);
	});
});

describe('what is wrong with the gear', () => {
	const at = Date.UTC(2026, 4, 11, 9);
	it.each<[GearWarning, RegExp]>([
		[
			{ kind: 'calibrate', code: 'M-3', parameter: 'dissolved-oxygen', days: 36, limit_days: 2 },
			/36 days before the round; the limit is 2 days/
		],
		[{ kind: 'calibrate', code: 'M-3', parameter: 'pH', days: null, limit_days: 2 }, /never been calibrated/],
		[{ kind: 'battery', code: 'M-3', parameter: 'conductivity', changed_ms: at }, /new battery on Mon 11 May/],
		[
			{ kind: 'velocity-range', code: 'V-3', site: 'TE5', seen_m_s: 3.2, low_m_s: 0.03, high_m_s: 3 },
			/TE5 has shown 3\.2 m\/s/
		],
		[{ kind: 'still-wet', kit: 'nets', water: 'Tessel', dry_ms: at }, /dry on Mon 11 May\. Disinfect it/],
		[{ kind: 'out-of-date', what: 'Strips', expired_ms: at }, /^Strips ran out on Mon 11 May\. Take fresh\.$/]
	])('%j', (warning, words) => {
		expect(sayGear(warning, 'UTC')).toMatch(words);
	});
});
