import { describe, expect, it } from 'vitest';
import { namingRecord } from '.';
import { shippedAnimals } from '../macroinvertebrates';

const record = (...pairs: [counted: string, is: string][]) =>
	namingRecord(
		pairs.map(([counted, is]) => ({ counted, is })),
		shippedAnimals
	);

describe('how often names are right', () => {
	it('is told with its limits, and what was taken for what, the most frequent first', () => {
		const said = record(
			['Baetidae', 'Baetidae'],
			['Baetidae', 'Baetidae'],
			['Nemouridae', 'Baetidae'],
			['Hydropsychidae', 'Philopotamidae'],
			['Hydropsychidae', 'Philopotamidae']
		)!;
		expect(said).toMatchObject({ checked: 5, right: 2 });
		// Clopper and Pearson, 2 of 5
		expect(said.lower).toBeCloseTo(0.0527, 4);
		expect(said.upper).toBeCloseTo(0.8534, 4);
		expect(said.mistaken).toEqual([
			{ is: 'Philopotamidae', counted: 'Hydropsychidae', times: 2 },
			{ is: 'Baetidae', counted: 'Nemouridae', times: 1 }
		]);
	});

	it('counts no name as wrong that only goes less far, on either side', () => {
		expect(record(['Ephemeroptera', 'Baetidae'], ['Baetidae', 'Ephemeroptera'])).toMatchObject({
			right: 2,
			mistaken: []
		});
	});

	it('is unknown where nothing was looked at again', () => {
		expect(record()).toBeNull();
	});
});
