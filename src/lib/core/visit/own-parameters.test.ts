import { describe, expect, it } from 'vitest';
import { aLine } from '../../../../tests/a-line';
import { fold, whyRefused } from '../logbook';
import { compose, MethodCard, settingsOf, streamVisit, withSettings } from '../method';
import { sayPlace } from '../interpret';
import type { OwnParameters } from '../quantity';
import { flagSentence } from '../subjects/flags';
import { saidIn } from '../subjects/gauging/units';
import { evaluate } from '.';

const own: OwnParameters = {
	'own-chlorophyll-a': {
		name: 'Chlorophyll a',
		unit: 'ug_L',
		decimals: 1,
		possible: [0, 1000],
		plausible: [0.5, 60],
		ways: ['meter']
	},
	'own-hardness': {
		name: 'Hardness',
		unit: 'mg_L_CaCO3',
		decimals: 0,
		possible: [0, 5000],
		plausible: [5, 500],
		ways: ['kit']
	}
};

function reading(parameter: string, texts: Record<string, string> = {}): MethodCard {
	const draft = compose(streamVisit, [{ do: 'add', tool: 'reading' }]).card;
	const made = withSettings(draft, { 'steps.reading.parameter': parameter, ...texts }, own);
	if ('why' in made) throw new Error(JSON.stringify(made.why));
	return made.card;
}

const start = Date.UTC(2026, 4, 14, 9);
function see(card: MethodCard, lines: Record<string, unknown>, usual = {}) {
	for (const [path, value] of Object.entries(lines)) expect(whyRefused(path, value), path).toBeNull();
	const opening = {
		siteId: '018f3b1c-0000-7000-8000-000000000001',
		cardVersionId: '018f3b1c-0000-7000-8000-000000000002',
		startedAt: new Date(start).toISOString()
	};
	const entries = Object.entries({ opening, ...lines }).map(([path, value], i) =>
		aLine(i + 1, start + i * 1000, path, value)
	);
	const site = { code: 'TE3', elevation_m: 200, usual };
	return evaluate(fold(entries), card, { now_ms: start + 3_600_000, site, instruments: {} });
}

describe('a card whose step reads a parameter of the program’s own', () => {
	const card = reading('own-chlorophyll-a');

	it('carries the definition, asks in its unit, and lets it go with the step', () => {
		expect(card.own).toEqual({ 'own-chlorophyll-a': own['own-chlorophyll-a'] });
		expect(card.steps.find((s) => s.id === 'reading')).toMatchObject({ unit: 'ug_L' });
		const gone = withSettings(compose(card, [{ do: 'remove', step: 'reading' }]).card, {}, own);
		expect(gone).toEqual({ card: streamVisit });
	});

	it('offers those that a step of its kind can find', () => {
		const offered = (tool: 'reading' | 'kit') => {
			const draft = compose(streamVisit, [{ do: 'add', tool }]).card;
			const setting = settingsOf(draft, own).find((s) => s.path === `steps.${tool}.parameter`);
			return setting?.options?.map((o) => o.code).filter((code) => code.startsWith('own-'));
		};
		expect(offered('reading')).toEqual(['own-chlorophyll-a']);
		expect(offered('kit')).toEqual(['own-hardness']);
	});

	it('is none without the definition', () => {
		const read = MethodCard.safeParse({ ...card, own: undefined });
		expect(read.error?.issues.map((i) => [i.path.at(-1), i.message])).toEqual([
			['parameter', 'nothing says what “own-chlorophyll-a” is']
		]);
		expect(MethodCard.safeParse({ ...card, shown: { 'own-chlorophyll-a': 'm' } }).success).toBe(false);
	});

	it('has its figure worked out, shown and judged by that definition', () => {
		const seen = see(card, {
			'readings/own-chlorophyll-a/main': { value: 0.07, unit: 'mg_L' }
		});
		expect(seen.results).toMatchObject([
			{ parameter: 'own-chlorophyll-a', way: 'meter', figure: { value: 70, unit: 'ug_L' }, isReported: true }
		]);
		const sentences = seen.flags.map((f) => flagSentence(f, saidIn(card)));
		expect(sentences).toContain(
			'Chlorophyll a of 0.07 mg/L is possible but rare; usual is 0.5 to 60 µg/L. Read it again, or keep it if it ' +
				'stands.'
		);
		expect(sayPlace('readings/own-chlorophyll-a/main', card.own)).toBe('Chlorophyll a: main');
	});

	it('has it held against what the site has shown', () => {
		const usual = { 'own-chlorophyll-a': { low: 1, high: 4, visits: 30 } };
		const seen = see(card, { 'readings/own-chlorophyll-a/main': { value: 30, unit: 'ug_L' } }, usual);
		expect(seen.flags.map((f) => f.code)).toContain('unit-slip'); // the point one place further left lies within
	});

	it('keeps in the logbook what is in another kind of unit, and makes no figure of it', () => {
		const seen = see(card, { 'readings/own-chlorophyll-a/main': { value: 12, unit: 'degC' } });
		expect(seen.results).toEqual([]);
		expect(seen.folded.sheet.readings?.['own-chlorophyll-a']).toBeDefined();
	});

	it('a kit of one reads a colour to half a block', () => {
		const draft = compose(streamVisit, [{ do: 'add', tool: 'kit' }]).card;
		const made = withSettings(
			draft,
			{ 'steps.kit.parameter': 'own-hardness', 'steps.kit.chart': 'pale: 0; middle: 100; dark: 250' },
			own
		);
		if ('why' in made) throw new Error(JSON.stringify(made.why));
		const [found] = see(made.card, { 'readings/own-hardness/kit': { value: 100, unit: 'mg_L_CaCO3' } }).results;
		expect(found).toMatchObject({ way: 'kit', uncertainty: 75 });
	});
});
