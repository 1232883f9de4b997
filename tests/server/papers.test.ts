import { execFileSync } from 'node:child_process';
import { describe, expect, it } from 'vitest';
import { roundLabels } from '../../src/lib/core/custody';
import { fullVisit, orderSteps, streamVisit } from '../../src/lib/core/method';
import { followOrder } from '../../src/lib/core/schedule';
import { describedAnimals } from '../../src/lib/core/identification';
import { OwnAnimal } from '../../src/lib/core/macroinvertebrates';
import { printAnimals } from '../../src/lib/server/paper/animals';
import { printSeasonSheet } from '../../src/lib/server/paper/for-the-wall';
import { printVialLabels } from '../../src/lib/server/paper/vial-labels';
import {
	printCustodyForm,
	printFieldSheets,
	printRoundSheet,
	type PaperRound
} from '../../src/lib/server/paper/for-the-car';

const sites = ['QU1', 'TE4'].map((code) => ({
	id: code,
	code,
	name: `Site ${code}`,
	about: 'beside the lane',
	hazards: 'Broken glass.',
	directions: '',
	access: ''
}));
const plan = followOrder(
	{
		stops: sites.map((s) => ({ id: s.id, visit_min: 60, bottle_min: 7 })),
		drive: {
			fromStart: [22, 18],
			between: [
				[0, 9],
				[9, 0]
			],
			toLab: [58, 52]
		},
		holding_min: 360,
		bench_min: 40,
		lab: { opens_min: 720, closes_min: 930 },
		start: { earliest_min: 450, latest_min: 660, step_min: 5 },
		light: { from_min: 300, to_min: 1200 }
	},
	[0, 1],
	520
)!;
const order = orderSteps(streamVisit);
const round: PaperRound = {
	title: 'Lower round',
	date: 'Fri 15 May',
	crew: 'Jory and Neve',
	depot: 'Boathouse',
	lab: 'Quillon bench',
	sites,
	plan,
	waits: [{ id: plan.stops[0]!.id, from_min: 530, until_min: 560, because: 'window' }],
	card: streamVisit,
	steps: 'steps' in order ? order.steps : [],
	labels: roundLabels({
		date: '2026-05-15',
		sites: ['QU1', 'TE4'],
		bottles: [{ kind: 'bacteria' }],
		duplicates: ['TE4'],
		blanks: []
	}),
	sheets: [],
	timeZone: 'Etc/UTC',
	letterhead: { program: 'Test streams', telephone: '01 234', size: 'A4' }
};

/** The words of a PDF, as they stand on the page. */
const wordsOf = (pdf: Uint8Array): string =>
	execFileSync('pdftotext', ['-layout', '-', '-'], { input: pdf }).toString();

describe('drawings for those without a phone', () => {
	it('show every kind of the key under its group, and say what to look at', async () => {
		const words = wordsOf(await printAnimals({ letterhead: round.letterhead, own: [] })).replace(/\s+/g, ' ');
		for (const { code } of describedAnimals) expect(words).toContain(code);
		expect(words).toContain('mayfly, Ephemeroptera');
		expect(words).toContain('page 1 of');
	});
	it('show what the program tells apart, by the words that it says', async () => {
		const own = OwnAnimal.parse({
			code: 'Drunella',
			name: 'spiny crawler',
			rank: 'genus',
			partOf: 'Ephemerellidae',
			tell: 'Teeth on its thighs.',
			shows: [{ character: 'back', state: 'paired-bumps' }]
		});
		const words = wordsOf(await printAnimals({ letterhead: round.letterhead, own: [own] })).replace(/\s+/g, ' ');
		// columns stand beside each other, so that a cell's words are not in a row
		for (const word of ['spiny', 'Drunella', 'Drunella:', 'thighs.']) expect(words).toContain(word);
	});
});

describe('labels for vials', () => {
	const lot = {
		site: 'TE3',
		at_ms: Date.UTC(2026, 3, 14, 9),
		taxon: 'Hydropsychidae',
		called: 'net-spinning caddisfly',
		keptIn: 'ethanol' as const
	};
	const print = (n: number) =>
		printVialLabels(
			Array.from({ length: n }, (_, i) => ({
				...lot,
				code: `TE3-260414-V${String(i + 1)}`,
				count: i === 0 ? null : 3
			})),
			{ letterhead: round.letterhead, timeZone: 'Etc/UTC' }
		);

	it('say where, when, what and whose, each lot once', async () => {
		const words = wordsOf(await print(3)).replace(/\s+/g, ' ');
		for (const expected of ['TE3, Tue 14 Apr 2026', 'Hydropsychidae', '3 animals', 'in ethanol', 'Test streams'])
			expect(words).toContain(expected);
		for (const n of [1, 2, 3]) expect(words.split(`TE3-260414-V${String(n)}`)).toHaveLength(2);
	});
	it('begin another sheet where one is full', async () => {
		const sheets = async (n: number) =>
			wordsOf(await print(n))
				.split('\f')
				.filter((page) => page.trim()).length;
		expect(await sheets(48)).toBe(1);
		expect(await sheets(49)).toBe(2);
	});
});

describe('papers for the car', () => {
	it('the round sheet has the times, the hazards, the limit for wading and the last moment at the lab', async () => {
		const words = wordsOf(await printRoundSheet(round));
		for (const expected of [
			'Leave Boathouse at 08:40',
			'09:02',
			'Broken glass',
			'deeper than 0.3 m, or faster than 0.3 m/s',
			'Nobody goes alone'
		])
			expect(words).toContain(expected);
		// filled at 09:09, kept six hours
		expect(words.replace(/\s+/g, ' ')).toContain(
			'The last plate must be poured by 15:09, if the first bottle is filled at 09:09'
		);
	});

	it('a field sheet for each site has every step in the order of the card’s rules, and its bottles’ codes', async () => {
		const pdf = await printFieldSheets(round);
		const [first, second] = wordsOf(pdf).split('\f');
		expect(first).toContain('QU1 Site QU1');
		expect(second).toContain('TE4-260515-BD');
		const found = round.steps.map(({ step }) => first!.search(new RegExp(`\\d\\s+${step.title}`)));
		expect(found.every((at) => at >= 0)).toBe(true);
		expect([...found].sort((a, b) => a - b)).toEqual(found);
	});

	it('every page says whose it is, which site and day it is for, and which page of how many', async () => {
		const full = orderSteps(fullVisit);
		const steps = 'steps' in full ? full.steps : [];
		const pages = wordsOf(await printFieldSheets({ ...round, card: fullVisit, steps }))
			.split('\f')
			.slice(0, -1);
		expect(pages.length).toBeGreaterThan(3); // a site's sheet goes over several
		const heads = pages.map((p) => p.trim().split('\n')[0]!.replace(/\s+/g, ' '));
		heads.forEach((head, i) =>
			expect(head).toMatch(
				new RegExp(`^Test streams, 01 234 (QU1|TE4) Site (QU1|TE4), Fri 15 May page ${i + 1} of ${pages.length}$`)
			)
		);
		const siteOf = heads.map((h) => /(QU1|TE4)/.exec(h)![1]);
		expect([...siteOf].sort()).toEqual(siteOf);
		// no page ends with a title whose step is on the next
		for (const page of pages) expect(steps.some(({ step }) => page.trimEnd().endsWith(step.title))).toBe(false);
	});

	it('is as large as the program’s paper', async () => {
		const boxOf = (pdf: Uint8Array) =>
			/MediaBox \[0 0 ([\d.]+) ([\d.]+)\]/.exec(Buffer.from(pdf).toString('latin1'))!.slice(1, 3);
		expect(boxOf(await printRoundSheet(round))).toEqual(['595.28', '841.89']);
		const letterhead = { ...round.letterhead, size: 'letter' as const };
		expect(boxOf(await printRoundSheet({ ...round, letterhead }))).toEqual(['612', '792']);
	});

	it('the custody form has a line for each bottle and room for each hand', async () => {
		const words = wordsOf(await printCustodyForm(round));
		for (const { code } of round.labels) expect(words).toContain(code);
		expect(words).toContain('bacteria, duplicate');
		expect(words).toContain('seal number');
	});

	it('what the phones have told of the bottles stands in it already, the pencil does the rest', async () => {
		const words = wordsOf(
			await printCustodyForm({
				...round,
				sheets: [
					{
						bottles: {
							bacteria: {
								label: 'QU1-260515-B',
								filledAt: '2026-05-15T09:12:00Z',
								onIceAt: '2026-05-15T09:15:00Z',
								technique: 'pole'
							}
						},
						custody: {
							a: {
								from: 'Jory',
								to: 'Bede',
								at: '2026-05-15T12:40:00Z',
								seal: 'K-118',
								temperature_C: 3.5,
								signature: 'M10 50L80 20L120 70'
							}
						}
					}
				]
			})
		);
		expect(words).toMatch(/QU1-260515-B\s+bacteria\s+nothing\s+09:12\s+on ice 09:15, on a pole/);
		expect(words).toMatch(/Jory\s+Bede\s+Fri 15 May 12:40\s+3\.5/);
		expect(words).toContain('seal number K-118');
		expect(words).toMatch(/TE4-260515-B\s+bacteria\s+nothing\s+____ : ____/);
	});

	it('a field sheet of the full visit has room for every tool', async () => {
		const full = orderSteps(fullVisit);
		const words = wordsOf(
			await printFieldSheets({ ...round, card: fullVisit, steps: 'steps' in full ? full.steps : [] })
		).replace(/\s+/g, ' ');
		for (const expected of [
			'Weather now: clear / cloudy',
			'circle one, or mark between two',
			'no bubble',
			'no polarised glasses',
			'Mostly made of'
		])
			expect(words).toContain(expected);
	});
});

describe('the season on the wall', () => {
	const aRound = (day: number, name: string, more: object = {}) => ({
		id: name,
		name,
		circuitId: 'c',
		day,
		crew: ['p'],
		siteIds: ['a', 'b'],
		quality: [],
		refusedBecause: null,
		state: 'planned' as const,
		...more
	});
	const MAY_1 = 20_574;

	it('has every round of the season under its month, what came of it, and room for a pencil', async () => {
		const pdf = await printSeasonSheet({
			letterhead: { ...round.letterhead, program: 'Kell Watch' },
			from: MAY_1,
			to: MAY_1 + 60,
			rounds: [
				aRound(MAY_1 + 40, 'June round', { crew: [] }),
				aRound(MAY_1 + 3, 'May round', { state: 'done', quality: [{ siteId: 'a', kind: 'duplicate' }] }),
				aRound(MAY_1 + 10, 'Wet round', { state: 'refused', refusedBecause: 'over the bank' }),
				aRound(MAY_1 - 5, 'April round')
			].map((r) => ({ ...r, codes: ['KE1', 'KE2'], initials: r.crew.length ? ['AF'] : [] }))
		});
		const words = wordsOf(pdf);
		expect(words).toContain('Kell Watch: the season');
		expect(words).not.toContain('April round');
		expect(words.indexOf('May 2026')).toBeLessThan(words.indexOf('May round'));
		expect(words.indexOf('June 2026')).toBeLessThan(words.indexOf('June round'));
		expect(words.indexOf('Wet round')).toBeLessThan(words.indexOf('June 2026'));
		expect(words).toMatch(/May round\s+KE1 KE2\s+AF\s+duplicate\s+done/);
		expect(words).toContain('refused: over the bank');
		expect(words).toMatch(/June round\s+KE1 KE2\s+_{4,}/);
	});

	it('of an empty season says so much and no more', async () => {
		const words = wordsOf(
			await printSeasonSheet({
				letterhead: { ...round.letterhead, program: 'New' },
				from: MAY_1,
				to: MAY_1 + 9,
				rounds: []
			})
		);
		expect(words).toContain('0 rounds');
	});
});
