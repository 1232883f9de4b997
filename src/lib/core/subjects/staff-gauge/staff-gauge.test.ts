import { describe, expect, it } from 'vitest';
import { aLine } from '../../../../../tests/a-line';
import { fold } from '../../logbook';
import { streamVisit, type MethodCard } from '../../method';
import { packList } from '../../schedule';
import { evaluate } from '../../visit';
import { blankFor } from '../blanks';
import type { Context } from '../context';
import { flagSentence } from '../flags';
import { staffSettings } from './settings';
import type { StaffStep } from './step';

const step: StaffStep = { ...staffSettings.example, id: 'level', tool: 'staff' };
const card: MethodCard = { ...streamVisit, steps: [...streamVisit.steps, step] };
const now_ms = Date.UTC(2026, 4, 14, 10);
const context = (usual: Context['site']['usual'] = {}): Context => ({
	now_ms,
	site: { elevation_m: 100, usual },
	instruments: {}
});
const see = (values: Record<string, unknown>, on = card, c = context()) =>
	evaluate(fold(Object.entries(values).map(([path, value], i) => aLine(i + 1, now_ms + i, path, value))), on, c);
const level = 'readings/water-level/board';

describe('a level on the board', () => {
	it('is known to half a mark, and needs nobody in the water', () => {
		const { results, steps } = see({ [level]: { value: 0.64, unit: 'm' }, 'arrival/access': 'bank' });
		expect(results.find((r) => r.parameter === 'water-level')).toMatchObject({
			way: 'staff',
			figure: { value: 0.64 },
			uncertainty: 0.005,
			basis: 'one reading on the board, known to half a mark'
		});
		expect(steps.find((s) => s.id === 'level')?.state).toBe('done');
	});

	it('read in feet is kept in feet and known in metres', () => {
		const inFeet = { ...card, steps: [{ ...step, unit: 'ft' as const, mark: 0.02 }] };
		const [found] = see({ [level]: { value: 2.1, unit: 'ft' } }, inFeet).results;
		expect(found!.figure).toMatchObject({ value: expect.closeTo(0.64008, 5), unit: 'm' });
		expect(found!.uncertainty).toBeCloseTo(0.003048, 6);
	});

	it('in the tide says that it tells no flow', () => {
		const { flags } = see({ [level]: { value: 0.64, unit: 'm' }, 'staff/spoilers/tide': true });
		const flag = flags.find((f) => f.code === 'level-disturbed')!;
		expect(flagSentence(flag)).toMatch(/the tide reaches it\. Such a level does not tell how much water flows/);
	});

	it('that lies outside what visits here have seen is asked about, and so is one that was read in feet', () => {
		const usual = { 'water-level': { low: 0.4, high: 0.9, visits: 30 } };
		const codes = (value: number) =>
			see({ [level]: { value, unit: 'm' } }, card, context(usual)).flags.map((f) => f.code);
		expect(codes(0.65)).toEqual([]);
		expect(codes(1.2)).toContain('outside-history');
		expect(codes(2.1)).toContain('unit-slip');
	});
});

it('is packed for, asked for on paper, and left open where nobody read it', () => {
	const round = { sites: ['TE4'], duplicates: [], blanks: [], people: 2, instruments: [] };
	expect(packList({ card, ...round }).map((l) => l.id)).toContain('binoculars');
	expect(blankFor(step, [])).toMatchObject({ text: expect.stringMatching(/level on the board _+ m.*\n.*tide/) });
	expect(see({}).missing.map((m) => m.step)).toContain('level');
});
