import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { fold, foldOnto, tick, type Entry } from '.';

const visitId = '01890000-0000-7000-8000-000000000000';
const id = (n: number) => `01890000-0000-7000-8000-${n.toString(16).padStart(12, '0')}`;
const at = (n: number) => tick(null, Date.UTC(2026, 4, 14, 9, 0, n));
const line = (n: number, more: Partial<Entry>): Entry => ({
	id: id(n),
	visitId,
	at: at(n),
	by: 'ada',
	device: 'd1',
	path: 'arrival/depth_m',
	op: 'set',
	value: 0.2,
	was: null,
	...more
});

/** Something that may stand at a place, told apart by its number. */
function valueFor(place: string, number: number) {
	if (place.startsWith('readings')) return { value: number, unit: 'degC' };
	return place.startsWith('remarks') ? `seen ${number}` : number;
}

describe('fold', () => {
	it('shows what was set last and keeps what it replaced', () => {
		const { sheet, lines, conflicts } = fold([line(1, { value: 3.1 }), line(2, { value: 0.31, was: id(1) })]);
		expect(sheet.arrival?.depth_m).toBe(0.31);
		expect(lines.get('arrival/depth_m')?.history.map((e) => e.value)).toEqual([3.1, 0.31]);
		expect(conflicts).toEqual([]);
	});

	it('leaves a struck place empty, and readable', () => {
		const { sheet, lines } = fold([line(1, {}), line(2, { op: 'strike', was: id(1), value: 'misread' })]);
		expect(sheet.arrival?.depth_m).toBeUndefined();
		expect(lines.get('arrival/depth_m')?.history).toHaveLength(2);
	});

	it('keeps both of two values set without sight of each other', () => {
		const { sheet, conflicts } = fold([line(1, { value: 0.2 }), line(2, { value: 0.5, by: 'ben', device: 'd2' })]);
		expect(sheet.arrival?.depth_m).toBe(0.5);
		expect(conflicts).toHaveLength(1);
		expect(conflicts[0]!.entries.map((e) => e.value)).toEqual([0.2, 0.5]);
	});

	it('sees no conflict where two people wrote the same', () => {
		expect(fold([line(1, {}), line(2, { by: 'ben' })]).conflicts).toEqual([]);
	});

	it('lets a strike settle a conflict', () => {
		const both = [line(1, { value: 0.2 }), line(2, { value: 0.5 })];
		expect(fold([...both, line(3, { op: 'strike', was: id(2), value: 'wrong unit' })])).toMatchObject({
			sheet: { arrival: { depth_m: 0.2 } },
			conflicts: []
		});
	});

	it('adds counts, so that two people counting one tray both count', () => {
		const path = 'tallies/t1/taxa/Baetidae';
		const { sheet } = fold([
			line(1, { path, op: 'add', value: 3 }),
			line(2, { path, op: 'add', value: 4, by: 'ben' }),
			line(3, { path, op: 'add', value: -1 })
		]);
		expect(sheet.tallies?.['t1']?.taxa?.['Baetidae']).toBe(6);
	});

	it('treats an id that is a word of the language as an id', () => {
		const { sheet } = fold([
			line(1, { path: 'remarks/constructor', value: 'clear' }),
			line(2, { path: 'bottles/toString/label', value: 'X' })
		]);
		expect(Object.hasOwn(sheet.remarks!, 'constructor')).toBe(true);
		expect(({} as Record<string, unknown>)['label']).toBeUndefined();
	});
});

/** Logbooks of several devices that see each other's lines now and then. */
const anyLogbook = fc
	.array(
		fc.record({
			device: fc.integer({ min: 0, max: 2 }),
			place: fc.constantFrom(
				'arrival/depth_m',
				'arrival/velocity_m_s',
				'readings/water-temperature/main',
				'tallies/t/taxa/Baetidae',
				'remarks/a',
				'remarks/a-b',
				'remarks/1'
			),
			deed: fc.constantFrom('write', 'replace', 'strike'),
			number: fc.integer({ min: 0, max: 9 }),
			second: fc.integer({ min: 0, max: 30 })
		}),
		{ maxLength: 40 }
	)
	.map((deeds) => {
		const entries: Entry[] = [];
		for (const [i, { device, place, deed, number, second }] of deeds.entries()) {
			const counter = place.startsWith('tallies');
			const earlier = entries.filter((e) => e.path === place && e.op !== 'strike').at(-1 - (number % 3));
			const base = { device: `d${device}`, by: `p${device}`, path: place, at: at(second) };
			const value = valueFor(place, number);
			if (deed === 'strike' && earlier) entries.push(line(i, { ...base, op: 'strike', was: earlier.id, value: null }));
			else
				entries.push(
					line(i, {
						...base,
						op: counter ? 'add' : 'set',
						value,
						was: deed === 'replace' && earlier && !counter ? earlier.id : null
					})
				);
		}
		return entries;
	});

const shuffled = <T>(things: readonly T[], seed: number): T[] =>
	[...things]
		.map((t, i) => [Math.sin(seed + i * 7919), t] as const)
		.sort((a, b) => a[0] - b[0])
		.map(([, t]) => t);

describe('laws of the fold', () => {
	it('any order and any duplication give the same', () => {
		fc.assert(
			fc.property(anyLogbook, fc.integer({ min: 1, max: 1e6 }), (entries, seed) => {
				const again = shuffled([...entries, ...entries.filter((_, i) => (i * seed) % 3 === 0)], seed);
				expect(fold(again)).toEqual(fold(entries));
			})
		);
	});

	it('any split over devices, put together in any way, gives the same', () => {
		fc.assert(
			fc.property(anyLogbook, fc.integer({ min: 1, max: 1e6 }), (entries, seed) => {
				const parts = [0, 1, 2].map((k) =>
					entries.filter((_, i) => Math.floor(Math.abs(Math.sin(seed * (i + 1))) * 3) === k)
				);
				const met = [...parts[2]!, ...parts[0]!, ...parts[1]!, ...parts[0]!];
				expect(fold(met)).toEqual(fold(entries));
			})
		);
	});

	it('loses nothing: every line is in the history of its place', () => {
		fc.assert(
			fc.property(anyLogbook, (entries) => {
				const { lines } = fold(entries);
				expect([...lines.values()].flatMap((l) => l.history).length).toBe(new Set(entries.map((e) => e.id)).size);
			})
		);
	});

	it('folding on from any earlier state gives the same, to the order of the keys', () => {
		fc.assert(
			fc.property(anyLogbook, fc.integer({ min: 0, max: 40 }), (entries, upTo) => {
				const whole = fold(entries);
				const grown = foldOnto(fold(entries.filter((_, i) => (i * 7) % 11 < upTo % 11)), entries);
				expect(grown).toEqual(whole);
				expect(JSON.stringify(grown.sheet)).toBe(JSON.stringify(whole.sheet));
				expect([...grown.lines.keys()]).toEqual([...whole.lines.keys()]);
			})
		);
	});

	it('folding on leaves alone what did not change, and notices what was taken away', () => {
		const first = [
			line(1, {}),
			line(2, { path: 'readings/water-temperature/main', value: { value: 9, unit: 'degC' } })
		];
		const known = fold(first);
		const grown = foldOnto(known, [...first, line(3, { value: 0.3, was: id(1) })]);
		expect(grown.sheet.readings).toBe(known.sheet.readings);
		expect(grown.sheet.arrival).not.toBe(known.sheet.arrival);
		expect(foldOnto(known, first)).toBe(known);
		expect(foldOnto(known, first.slice(1)).sheet.arrival).toBeUndefined();
		expect(foldOnto(known, [...first, line(4, { op: 'strike', was: id(1), value: null })]).sheet).toEqual({
			readings: known.sheet.readings
		});
	});
});
