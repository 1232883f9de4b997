import { describe, expect, it } from 'vitest';
import { aLine } from '../../../../../tests/a-line';
import { fold } from '../../logbook';
import { streamVisit } from '../../method';
import { evaluate } from '../../visit';
import { flagSentence } from '../flags';
import { speaksAgainst } from './reception';
import { sayAgainst } from './words';
import { bottlesToPour, bottlesToReceive } from '../plates/shelf';

const now_ms = Date.UTC(2026, 4, 14, 10);
const see = (values: Record<string, unknown>) =>
	evaluate(fold(Object.entries(values).map(([path, value], i) => aLine(i + 1, now_ms + i, path, value))), streamVisit, {
		now_ms,
		site: { elevation_m: 100, usual: {} },
		instruments: {}
	});
const bottle = {
	'bottles/bacteria/kind': 'bacteria',
	'bottles/bacteria/label': 'TE3-B',
	'bottles/bacteria/filledAt': '2026-05-14T08:00:00Z',
	'bottles/bacteria/onIceAt': '2026-05-14T08:05:00Z'
};
const received = (more: Record<string, unknown>) => ({
	...bottle,
	'bottles/bacteria/atLabAt': '2026-05-14T09:30:00Z',
	...Object.fromEntries(Object.entries(more).map(([key, value]) => [`bottles/bacteria/received/${key}`, value]))
});
const sentences = (values: Record<string, unknown>) =>
	see(values)
		.flags.filter((f) => f.path === 'bottles/bacteria')
		.map((f) => flagSentence(f));

describe('how a bottle came', () => {
	it('that was accepted, cold and tight says nothing', () => {
		const codes = see(received({ verdict: 'accepted', lid: 'tight', temperature_C: 4 })).flags.map((f) => f.code);
		expect(codes.filter((c) => c.startsWith('bottle-') || c === 'cooler-warm')).toEqual([]);
	});

	it('that was refused spoils its figure, with the reason; one with a flag is qualified', () => {
		const refused = see(received({ verdict: 'refused', reason: 'lid off' })).flags.find(
			(f) => f.code === 'bottle-refused'
		);
		expect(refused).toMatchObject({ parameter: 'e-coli', evidence: { reason: 'lid off' } });
		expect(sentences(received({ verdict: 'flagged', reason: 'no ice left' }))).toContain(
			'Bottle TE3-B was taken in with a flag: no ice left. Its figures are qualified, and say so.'
		);
	});

	it('that leaked, or came warm, is asked about', () => {
		const said = sentences(received({ verdict: 'accepted', lid: 'leaked', temperature_C: 14 })).join(' ');
		expect(said).toContain('Some of bottle TE3-B had leaked');
		expect(said).toContain('14.0 °C');
	});

	it('of a blank or a duplicate takes no figure of its partner with it', () => {
		const blank = see({ ...received({ verdict: 'refused', reason: 'lid off' }), 'bottles/bacteria/role': 'blank' });
		expect(blank.flags.find((f) => f.code === 'bottle-refused')!.parameter).toBeNull();
	});

	it('is held against its limits before anybody has judged it', () => {
		const limit = { held_h: 6, cooler_C: 10 };
		expect(speaksAgainst({ held_h: 6, temperature_C: 10, lid: 'tight' }, limit)).toEqual([]);
		expect(speaksAgainst({ held_h: 2, temperature_C: null, lid: 'tight' }, limit)).toEqual([]);
		expect(speaksAgainst({ held_h: 7, temperature_C: 12.5, lid: 'open' }, limit).map(sayAgainst)).toEqual([
			'held 7 h 00, its limit is 6 h',
			'came at 12.5 °C, over 10 °C',
			'open, or its seal broken'
		]);
	});

	it('takes it off what is expected; what was refused is not poured', () => {
		const sheetOf = (values: Record<string, unknown>) =>
			fold(Object.entries(values).map(([path, value], i) => aLine(i + 1, now_ms + i, path, value))).sheet;
		expect([bottlesToReceive(sheetOf(bottle)), bottlesToPour(sheetOf(bottle))]).toEqual([['bacteria'], ['bacteria']]);
		const accepted = sheetOf(received({ verdict: 'accepted' }));
		expect([bottlesToReceive(accepted), bottlesToPour(accepted)]).toEqual([[], ['bacteria']]);
		const refused = sheetOf(received({ verdict: 'refused' }));
		expect([bottlesToReceive(refused), bottlesToPour(refused)]).toEqual([[], []]);
	});
});
