import { describe, expect, it } from 'vitest';
import { indexChange, kindsThroughYears, samplingSaid, shippedAnimals, type Kind } from '.';

const kind = (code: string, count: number): Kind => ({ code, taxon: shippedAnimals.of(code), count });
const counted = (...kinds: Kind[]) => ({ kinds, knowsShares: true, commonCount: 100 });

describe('the animals of a site through the years', () => {
	const years = [
		counted(kind('Perlidae', 10), kind('Baetidae', 20)),
		counted(kind('Baetidae', 5), kind('unknown-1', 2), kind('Asellidae', 40)),
		counted(kind('Asellidae', 60), kind('Perlidae', 0))
	];
	it('stand in a table by larger group, with when each was first and last there', () => {
		expect(kindsThroughYears(years)).toMatchObject([
			{ code: 'Baetidae', counts: [20, 5, 0], first: 0, last: 1 },
			{ code: 'Asellidae', counts: [0, 40, 60], first: 1, last: 2 },
			{ code: 'Perlidae', counts: [10, 0, 0], first: 0, last: 0 },
			{ code: 'unknown-1', counts: [0, 2, 0], first: 1, last: 1 }
		]);
		expect(kindsThroughYears([])).toEqual([]);
	});
	it('are told in shares of what stands how much', () => {
		expect(samplingSaid(years[0]!).shares).toEqual({ sensitive: 1, middling: 0, tolerant: 0 });
		const only = samplingSaid({ ...counted(kind('Baetidae', 90), kind('Asellidae', 1)), knowsShares: false });
		// of kinds, where animals were not counted: and no index then
		expect(only.shares).toEqual({ sensitive: 0.5, middling: 0.5, tolerant: 0 });
		expect(only.index).toBeNull();
		expect(samplingSaid(counted()).shares).toEqual({ sensitive: 0, middling: 0, tolerant: 0 });
	});
	it('changed only by more than counting so few allows', () => {
		const at = (value: number, uncertainty: number | null) => ({
			index: { value, uncertainty, animals: 100, kinds: 9 }
		});
		expect(indexChange(at(4, 0.3), at(6, 0.4))).toEqual({ by: 2, uncertainty: 0.5, isTold: true });
		expect(indexChange(at(4, 0.3), at(4.4, 0.4))!.isTold).toBe(false);
		expect(indexChange(at(4, null), at(6, 0.4))).toBeNull();
		expect(indexChange({ index: null }, at(6, 0.4))).toBeNull();
	});
});
