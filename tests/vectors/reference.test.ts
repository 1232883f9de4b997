import { describe, expect, it } from 'vitest';
import { contract } from './contract';
import { readReferenceFolder, runReferenceFile } from './reference-file';

const files = readReferenceFolder(new URL('./reference', import.meta.url).pathname);

describe('reference figures', () => {
	it('has cases for every function that is built, and builds every topic', () => {
		const looked = new Set(files.flatMap((f) => f.cases.map((c) => `${f.topic}.${c.fn}`)));
		const built = Object.entries(contract).flatMap(([topic, fns]) => Object.keys(fns).map((fn) => `${topic}.${fn}`));
		expect([...looked].sort()).toEqual(built.sort());
	});

	it.each(files.map((f) => [f.topic, f] as const))('%s', (_, file) => {
		const { passed, mismatches } = runReferenceFile(file);
		expect(mismatches).toEqual([]);
		expect(passed).toBe(file.cases.length);
		expect(passed).toBeGreaterThan(10);
	});
});

describe('the runner', () => {
	const one = (expected: Record<string, unknown>, fn = 'specificConductance') =>
		runReferenceFile({
			topic: 'conductivity',
			source: '-',
			tolerance: { relative: 1e-9 },
			cases: [{ name: 'x', fn, input: { conductivity_uScm: 100, temperature_C: 25 }, expected }]
		}).mismatches;

	it('fails a wrong figure, a missing refusal, a null that is a number, and a function that is not built', () => {
		expect(one({ specificConductance_uScm: 100 })).toEqual([]);
		expect(one({ specificConductance_uScm: 100.0001 })).toHaveLength(1);
		expect(one({ error: true })).toHaveLength(1);
		expect(one({ specificConductance_uScm: null })).toHaveLength(1);
		expect(one({}, 'noSuchThing')).toHaveLength(1);
	});
});
