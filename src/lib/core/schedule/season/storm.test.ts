import { describe, expect, it } from 'vitest';
import { Board, stormOffers, stormsIn, type Circuit, type SeasonFacts } from '..';

const tuesday = 20_529;
const circuit: Circuit = {
	id: 'c',
	name: 'Kell round',
	siteIds: ['s'],
	water: 'Kell',
	kit: 'kit',
	teamId: 't',
	weekdays: [2, 3],
	spacing: { least_days: 15, aim_days: 30, most_days: 37 },
	crew: 1,
	needs: ['trained crew'],
	labId: 'l',
	bottles: 1
};
const facts = (more: Partial<SeasonFacts> = {}): SeasonFacts => ({
	from: tuesday - 60,
	to: tuesday + 60,
	circuits: [circuit],
	people: [
		{ id: 'p', teamId: 't', skills: ['trained crew'], trainedUntil: null, weekdays: [0, 1, 2, 3, 4, 5, 6], away: [] }
	],
	labs: { l: { weekdays: [1, 2, 3, 4], closed: [], bottlesADay: 4 } },
	dryingDays: () => 7,
	disinfected: new Set(),
	...more
});
const round = (day: number, purpose?: 'storm') => ({
	id: `r${day}`,
	circuitId: 'c',
	day,
	crew: ['p'],
	state: 'planned' as const,
	purpose
});

const at = (day: number) => ({ day, minute: 480 });

describe('storms in a rain record', () => {
	it('are days of much rain, those in a row as one; a silent gauge is no dry day and no storm', () => {
		const rain = [3, 16, 22, null, 15, 14.9].map((rain_mm, i) => ({ day: 100 + i, rain_mm }));
		expect(stormsIn(rain, 15)).toEqual([
			{ day: 102, rain_mm: 38 },
			{ day: 104, rain_mm: 15 }
		]);
	});
});

describe('a storm round', () => {
	const storm = { day: tuesday - 1, rain_mm: 30 };

	it('goes on the first day that breaks no rule, whatever the spacing of grabs', () => {
		const board = new Board(facts(), [round(tuesday - 7)]);
		expect(stormOffers(board, storm, at(tuesday - 1), 2)).toEqual([
			{ circuitId: 'c', go: { day: tuesday, crew: ['p'] }, anyway: null, against: [] }
		]);
		expect(board.breaches(round(tuesday, 'storm'))).toEqual([]);
		expect(board.breaches(round(tuesday))).toEqual([{ rule: 'too-soon', days: 7, least_days: 15, neighbour: 'last' }]);
	});

	it('is not needed where a round goes in that time anyway, and not offered when it is too late to set out', () => {
		expect(stormOffers(new Board(facts(), [round(tuesday + 1)]), storm, at(tuesday - 1), 2)[0]).toMatchObject({
			go: null,
			anyway: tuesday + 1
		});
		const early = facts({ circuits: [{ ...circuit, latestStart_min: 660 }] });
		expect(stormOffers(new Board(early, []), storm, { day: tuesday, minute: 661 }, 2)[0]!.go!.day).toBe(tuesday + 1);
		expect(stormOffers(new Board(early, []), storm, { day: tuesday, minute: 660 }, 2)[0]!.go!.day).toBe(tuesday);
	});

	it('does not push the next grab away', () => {
		expect(new Board(facts(), [round(tuesday, 'storm')]).breaches(round(tuesday + 7))).toEqual([]);
	});

	it('that cannot go says what stands against each day', () => {
		const shut = { labs: { l: { weekdays: [4], closed: [], bottlesADay: 4 } } };
		const [offer] = stormOffers(new Board(facts(shut), []), storm, at(tuesday), 2);
		expect(offer).toMatchObject({
			go: null,
			against: [
				{ day: tuesday, why: [{ rule: 'lab-closed' }] },
				{ day: tuesday + 1, why: [{ rule: 'lab-closed' }] }
			]
		});
	});

	it('is not offered to somebody whose training has ended', () => {
		const people = facts().people.map((p) => ({ ...p, trainedUntil: tuesday - 5 }));
		const [offer] = stormOffers(new Board(facts({ people }), []), storm, at(tuesday), 1);
		expect(offer!.against).toEqual([{ day: tuesday, why: [{ rule: 'skill-missing', skill: 'trained crew' }] }]);
	});

	it('whose time is over has nothing against it but that', () => {
		expect(stormOffers(new Board(facts(), []), storm, at(tuesday + 9), 2)).toEqual([
			{ circuitId: 'c', go: null, anyway: null, against: [] }
		]);
	});

	it('of one lab does not fill another', () => {
		const two = { ...circuit, id: 'd', labId: 'm', teamId: 'u', kit: 'other' };
		const labs = { l: { weekdays: [2], closed: [], bottlesADay: 1 }, m: { weekdays: [2], closed: [], bottlesADay: 1 } };
		const board = new Board(facts({ circuits: [circuit, two], labs }), [round(tuesday)]);
		expect(board.dayBreaches(two, tuesday)).toEqual([]);
		expect(board.dayBreaches(circuit, tuesday, null).map((b) => b.rule)).toContain('lab-full');
	});
});
