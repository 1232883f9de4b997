import { describe, expect, it } from 'vitest';
import { agenda, type ProgramFacts } from '$lib/core/schedule';
import { drawn, lanesOf, standings } from './on-the-thread';

const now_ms = Date.UTC(2026, 4, 14, 11, 20);
const DAY_ms = 86_400_000;
const site = (code: string, days: number | null) => ({
	code,
	name: `Site ${code}`,
	lastGrab_ms: days === null ? null : now_ms - days * DAY_ms
});
const program = (sites: ProgramFacts['sites']): ProgramFacts => ({
	clocks: [],
	openVisits: [
		{
			visitId: 'v',
			site: 'Site A2',
			crew: ['Ada Ember'],
			done: 2,
			asked: 9,
			started_ms: now_ms,
			heard_ms: now_ms,
			waits: null,
			back_ms: null,
			isOnPaper: false
		}
	],
	overdue_h: 2,
	sites,
	rounds: [],
	waiting: { results: 0, visits: 0, oldest_ms: null },
	conflicts: [],
	calibrations: [],
	consumables: [],
	samplers: [],
	storm: null
});

describe('where the sites stand today', () => {
	const stands = standings(
		program([site('A1', 3), site('A2', 40), site('A3', 29), site('A4', 40), site('A5', null)]),
		now_ms
	);
	it.each([
		['A1', 'done'],
		['A2', 'here'],
		['A3', 'due'],
		['A4', 'late'],
		['A5', 'new']
	])('%s is %s', (code, state) => {
		expect(stands.get(code)?.state).toBe(state);
	});
	it('a retired site, of which nothing is asked, is not drawn', () => {
		expect(drawn([{ code: 'A1' }, { code: 'OLD' }], stands).map((s) => s.code)).toEqual(['A1']);
	});
});

describe('with very many sites', () => {
	const many = Array.from({ length: 200 }, (_, i) => site(`M${i}`, i < 5 ? 45 : 2));
	const facts = program([...many.slice(5), ...many.slice(0, 5)]);
	it('those that ask for something are drawn first, and no more than can be read', () => {
		const shown = drawn(facts.sites, standings(facts, now_ms));
		expect(shown).toHaveLength(30);
		expect(shown.slice(0, 5).map((s) => s.stands.state)).toEqual(Array(5).fill('late'));
	});
	it('the rail shows the first clocks and counts the rest', () => {
		const late = program(many.map((s) => ({ ...s, lastGrab_ms: now_ms - 45 * DAY_ms })));
		const { lanes, more } = lanesOf(agenda(late, now_ms), now_ms, 'UTC');
		expect(lanes).toHaveLength(5);
		expect(more).toBe(195);
	});
});
