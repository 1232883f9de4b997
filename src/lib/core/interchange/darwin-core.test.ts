import { describe, expect, it } from 'vitest';
import { animalList, shippedAnimals, OwnAnimal } from '../macroinvertebrates';
import { archiveTables, type SampledEvent } from '.';

const event: SampledEvent = {
	visitId: 'v1',
	step: 'sort',
	at: '2026-05-14T09:00:00Z',
	site: { code: 'TE3', name: 'Tessel 3', stream: 'Tessel', latitude: 48.3, longitude: -27.2, elevation_m: 142 },
	protocol: 'kick in a riffle; count every animal',
	effort: '8 places',
	area_m2: 0.72,
	isCounted: true,
	classes: {},
	kinds: [
		{ code: 'Baetidae', taxon: shippedAnimals.of('Baetidae'), count: 30 },
		{ code: 'Chironomidae-red', taxon: shippedAnimals.of('Chironomidae-red'), count: 4 },
		{ code: 'unknown-IQ-1', taxon: null, count: 2 },
		{ code: 'Perlidae', taxon: shippedAnimals.of('Perlidae'), count: 0 }
	],
	measured: [{ name: 'Water temperature', value: '11.2', unit: '°C', accuracy: '0.2', way: 'a meter' }]
};
const tables = (of: SampledEvent) => {
	const [events, occurrences, measurements] = archiveTables([of]);
	const asRecords = ({ terms, rows }: typeof events) =>
		rows.map((row) => Object.fromEntries(terms.map((t, i) => [t.slice(t.lastIndexOf('/') + 1), row[i]])));
	return { events: asRecords(events), occurrences: asRecords(occurrences), measurements: asRecords(measurements) };
};

describe('a sampling as Darwin Core', () => {
	it('is one event with its animals and what was measured, each by the event’s id', () => {
		const { events, occurrences, measurements } = tables(event);
		expect(events).toMatchObject([
			{ eventID: 'v1/sort', sampleSizeValue: '0.72', sampleSizeUnit: 'square metre', decimalLatitude: '48.3' }
		]);
		expect(occurrences.map((o) => [o['scientificName'], o['taxonRank'], o['individualCount']])).toEqual([
			['Baetidae', 'family', '30'],
			['Chironomidae', 'family', '4'],
			['Animalia', 'kingdom', '2']
		]);
		expect(new Set([...occurrences, ...measurements].map((r) => r['eventID']))).toEqual(new Set(['v1/sort']));
		expect(new Set(occurrences.map((o) => o['occurrenceID'])).size).toBe(3);
	});

	it('writes a species of the program’s own in two words, with the order of its family', () => {
		const { of } = animalList([
			OwnAnimal.parse({ code: 'Baetis-rhodani', name: 'large dark mayfly', rank: 'species', partOf: 'Baetidae' })
		]);
		const kinds = [{ code: 'Baetis-rhodani', taxon: of('Baetis-rhodani'), count: 2 }];
		expect(tables({ ...event, kinds }).occurrences[0]).toMatchObject({
			scientificName: 'Baetis rhodani',
			taxonRank: 'species',
			order: 'Ephemeroptera'
		});
	});

	it('makes up neither absences nor numbers', () => {
		const picked = tables({ ...event, isCounted: false, area_m2: null, classes: { Baetidae: '11-100' } });
		expect(picked.occurrences.every((o) => o['occurrenceStatus'] === 'present')).toBe(true);
		expect(
			picked.occurrences.map((o) => [o['individualCount'], o['organismQuantity'], o['organismQuantityType']])
		).toEqual([
			['', '11-100', 'abundance class'],
			['', '', ''],
			['', '', '']
		]);
		expect(picked.events[0]).toMatchObject({ sampleSizeValue: '', sampleSizeUnit: '' });
	});

	it('has as many cells as columns in every row', () => {
		for (const { terms, rows } of archiveTables([event]))
			for (const row of rows) expect(row).toHaveLength(terms.length);
	});
});
