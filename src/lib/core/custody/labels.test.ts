import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { labelCode, readLabelCode, roundLabels } from '.';

const code = fc.stringMatching(/^[A-Z]{1,4}-?[0-9]{0,3}$/).filter((s) => !s.endsWith('-'));
const round = fc.record({
	date: fc
		.date({ min: new Date('2020-01-01'), max: new Date('2099-12-31'), noInvalidDate: true })
		.map((d) => d.toISOString().slice(0, 10)),
	sites: fc.uniqueArray(code, { minLength: 1, maxLength: 12 }),
	bottles: fc.constantFrom(
		[{ kind: 'bacteria' as const }],
		[{ kind: 'bacteria' as const }, { kind: 'nutrients' as const, preserved: 'acid' }]
	),
	picks: fc.infiniteStream(fc.boolean())
});

describe('labels of a round', () => {
	it('are never two alike, one for each bottle, and each code says again what it stands for', () => {
		fc.assert(
			fc.property(round, ({ date, sites, bottles, picks }) => {
				const [duplicates, blanks] = [sites, sites].map((all) => all.filter(() => picks.next().value));
				const labels = roundLabels({ date, sites, bottles, duplicates: duplicates!, blanks: blanks! });
				expect(labels).toHaveLength(bottles.length * (sites.length + duplicates!.length + blanks!.length));
				expect(new Set(labels.map((l) => l.code)).size).toBe(labels.length);
				for (const label of labels) expect({ ...readLabelCode(label.code), preserved: label.preserved }).toEqual(label);
			})
		);
	});

	it.each([
		['QU1-260515-B', 'QU1', 'routine'],
		[' qu1-260515-bd ', 'QU1', 'duplicate'],
		['https://streams.example.org/sample?label=TE-4-260515-NK', 'TE-4', 'blank']
	])('%s is read', (text, site, role) => {
		expect(readLabelCode(text)).toMatchObject({ site, role, date: '2026-05-15' });
	});

	it.each(['', 'QU1', 'QU1-261399-B', 'QU1-260515-X', '-260515-B'])('%j is no label', (text) => {
		expect(readLabelCode(text)).toBeNull();
	});

	it('is what Sample suggests for the routine bottle', () => {
		expect(labelCode('TE4', '2026-05-14', 'bacteria')).toBe('TE4-260514-B');
	});
});
