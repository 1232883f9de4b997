import { describe, expect, it } from 'vitest';
import { bottlesToPour, isAllRead, isDue, onShelf, stages, type PlateSheet } from './shelf';

const limits = { plateReadable_h: 30, plateTooOld_h: 50, plateLeastTemperature_C: 18 };
const poured_ms = Date.UTC(2026, 4, 14, 14);
const at = (hours: number) => poured_ms + hours * 3_600_000;
const plate: PlateSheet = { pouredAt: new Date(poured_ms).toISOString() };
const stageAt = (hours: number) => onShelf(plate, limits, at(hours))?.stage;

describe('plates on the shelf', () => {
	it('stand through 80 hours as the card says, each stage in its turn', () => {
		expect([0, 19.9, 20, 29.9, 30, 44.9, 45, 49.9, 50, 80].map(stageAt)).toEqual([
			'too-early',
			'too-early',
			'specks',
			'specks',
			'readable',
			'readable',
			'last-chance',
			'last-chance',
			'too-old',
			'too-old'
		]);
		const seen = Array.from({ length: 801 }, (_, i) => stages.indexOf(stageAt(i / 10)!));
		expect(seen).toEqual([...seen].sort((a, b) => a - b));
	});
	it('are gone to once they can be read, and until somebody writes them off', () => {
		expect(stages.filter(isDue)).toEqual(['readable', 'last-chance', 'too-old']);
	});
	it('say how long until the next', () => {
		expect(onShelf(plate, limits, at(26))).toMatchObject({ age_h: 26, next: { stage: 'readable', in_h: 4 } });
		expect(onShelf(plate, limits, at(60))!.next).toBeNull();
	});
	it('are gone from it once read or thrown away, and not there before they were poured', () => {
		expect(onShelf({ ...plate, readAt: new Date(at(31)).toISOString() }, limits, at(32))).toBeNull();
		expect(onShelf({ ...plate, state: 'spoiled' }, limits, at(12))).toBeNull();
		expect(onShelf({}, limits, at(12))).toBeNull();
	});
	it('are as old as nothing where a clock was set back', () => {
		expect(onShelf(plate, limits, at(-3))).toMatchObject({ age_h: 0, stage: 'too-early' });
	});
});

describe('bottles that wait for their plates', () => {
	const filledAt = new Date(poured_ms).toISOString();
	it('are those for bacteria that were filled and not poured', () => {
		const bottles = {
			bacteria: { kind: 'bacteria' as const, filledAt },
			'bacteria-blank': { kind: 'bacteria' as const, filledAt },
			'bacteria-duplicate': { kind: 'bacteria' as const },
			'bacteria-lab': { kind: 'bacteria' as const, filledAt, platedAt: filledAt },
			nutrients: { kind: 'nutrients' as const, filledAt }
		};
		expect(bottlesToPour({ bottles, plates: undefined })).toEqual(['bacteria', 'bacteria-blank']);
		expect(bottlesToPour({ bottles, plates: { p1: { bottle: 'bacteria' } } })).toEqual(['bacteria-blank']);
		expect(bottlesToPour({ bottles: undefined, plates: undefined })).toEqual([]);
	});
});

describe('plates and tubes of a visit', () => {
	it('are all read where none grows on, and where there are any', () => {
		const read = { state: 'counted' as const };
		expect(isAllRead({})).toBe(false);
		expect(isAllRead({ plates: { a: read, b: {} } })).toBe(false);
		expect(isAllRead({ plates: { a: read }, growthTubes: { t: {} } })).toBe(false);
		expect(isAllRead({ plates: { a: read }, growthTubes: { t: { readAt: plate.pouredAt } } })).toBe(true);
		expect(isAllRead({ plates: { a: { state: 'spoiled' } } })).toBe(true);
	});
});
