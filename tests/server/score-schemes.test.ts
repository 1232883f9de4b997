import { shippedAnimals } from '../../src/lib/core/macroinvertebrates';
import { describe, expect, it } from 'vitest';
import { exampleSchemes, type ScoreScheme } from '../../src/lib/core/score-schemes';
import { database } from '../../src/lib/server/db/connect';
import { fileOfScheme, keepScheme, readScheme, schemesOf, versionsOf } from '../../src/lib/server/schemes/keep';
import { aProgram, now_ms } from './a-program';

const db = database();
const own: ScoreScheme = { ...exampleSchemes[0]!, code: 'valley-index', name: 'Valley index', isExample: false };

describe('score schemes of a program', () => {
	it('go out as a file and come back the same; each change is a version, the same file is none', async () => {
		const { programId, members } = await aProgram();
		const read = readScheme(fileOfScheme(own), shippedAnimals);
		expect(read).toEqual({ scheme: own });
		expect(await keepScheme(db, members.coordinator, own, now_ms)).toEqual({ isNew: true });
		expect(await keepScheme(db, members.coordinator, own, now_ms + 1)).toEqual({ isNew: false });
		const stricter = { ...own, values: { ...own.values, Baetidae: 5 } };
		await keepScheme(db, members.coordinator, stricter, now_ms + 2);
		const versions = await versionsOf(db, programId, own.code);
		expect(versions.map((v) => v.scheme.values['Baetidae'])).toEqual([5, 4]);
		const [first, ...examples] = await schemesOf(db, programId);
		expect(first!.values['Baetidae']).toBe(5);
		expect(examples.map((s) => s.code)).toEqual(exampleSchemes.map((s) => s.code));
	});

	it('are each program’s own', async () => {
		const [one, other] = [await aProgram(), await aProgram()];
		await keepScheme(db, one.members.coordinator, own, now_ms);
		expect((await schemesOf(db, other.programId)).every((s) => s.isExample)).toBe(true);
	});

	it('cannot take an example’s code, nor be half a file', () => {
		expect(readScheme(fileOfScheme(exampleSchemes[0]!), shippedAnimals)).toEqual({
			why: ['This is the code of an example. Give your own scheme a code of its own.']
		});
		expect(readScheme('says,name,number,to\nvalue,Baetidae,4', shippedAnimals)).toHaveProperty('why');
		expect(readScheme('says,name,number,to\nclass,"good,1', shippedAnimals)).toHaveProperty('why');
	});
});
