import { describe, expect, it } from 'vitest';
import { streamVisit } from '$lib/core/method';
import type { Satchel } from '$lib/core/satchel';
import { bottleOfLabel } from './bottle-of-label';

const noon_ms = Date.parse('2026-05-14T12:00:00Z');
const packed = (timeZone = 'UTC') => ({
	program: { timeZone },
	sites: [{ id: 's1', code: 'Eb1', name: 'Ebbin 1' }] as Satchel['sites'],
	rounds: [],
	cards: [{ id: 'c1', inUse: true, card: streamVisit }] as Satchel['cards']
});
const visitAt = (startedAt: string) => ({ id: 'v1', opening: { siteId: 's1', cardVersionId: 'c1', startedAt } });

describe('the bottle that a label stands on', () => {
	it('is a step of the visit of that day at that site', () =>
		expect(bottleOfLabel('eb1-260514-B', packed(), [visitAt('2026-05-14T09:00:00Z')], noon_ms)).toEqual({
			href: '/sample/v1/bacteria-bottle'
		}));

	it('has the day of the place, also late in its evening', () => {
		const late = '2026-05-15T02:30:00Z'; // half past nine in the evening of the 14th, five hours behind
		const found = (zone: string) => bottleOfLabel('EB1-260514-B', packed(zone), [visitAt(late)], Date.parse(late));
		expect(found('Etc/GMT+5')).toEqual({ href: '/sample/v1/bacteria-bottle' });
		expect(found('UTC')).toEqual({ why: 'That bottle is for Thu 14 May. Nothing is opened for it today.' });
	});

	it.each([
		['ice', /no label’s code/],
		['ZZ9-260514-B', /No site of this program is called ZZ9/],
		['EB1-260514-F', /asks for no fresh bottle/],
		['EB1-260601-B', /for Mon 1 Jun/],
		['EB1-260514-B', /Nobody has started at Ebbin 1 yet/]
	])('%s: says why there is none', (typed, why) =>
		expect(bottleOfLabel(typed, packed(), [], noon_ms)).toEqual({ why: expect.stringMatching(why) as string })
	);
});
