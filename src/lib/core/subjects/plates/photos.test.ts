import { describe, expect, it } from 'vitest';
import { countsApart, isHiddenFrom } from './counted-by';
import { pictureOf } from './photos';

const at = (hour: number) => `2026-05-14T${String(hour).padStart(2, '0')}:00:00Z`;
const mark = { x: 0.5, y: 0.5, kind: 'counts' as const };
const photo = { plate: 'B-1', sha256: 'ab'.repeat(32), takenAt: at(9) };

describe('the photo of a plate', () => {
	it('is the last one taken that was not struck', () => {
		const photos = {
			a: { ...photo, takenAt: at(9) },
			b: { ...photo, takenAt: at(11), sha256: undefined },
			c: { ...photo, takenAt: at(10) },
			d: { ...photo, plate: 'B-2', takenAt: at(12) }
		};
		expect(pictureOf('B-1', { platePhotos: photos })?.id).toBe('c');
		expect(pictureOf('B-3', { platePhotos: photos })).toBeNull();
		expect(pictureOf('B-1', {})).toBeNull();
	});
	it('is counted by whoever said that their marks are all: those of the kind that counts, and not struck', () => {
		const a = {
			...photo,
			marks: {
				ivo: { m1: mark, m2: undefined, m3: { ...mark, kind: 'other' as const } },
				bede: { m4: mark, m5: mark },
				maud: { m6: mark }
			},
			countedAt: { ivo: at(12), bede: at(11), maud: undefined }
		};
		const picture = pictureOf('B-1', { platePhotos: { a } })!;
		expect(picture.counts).toEqual([
			{ by: 'bede', count: 2 },
			{ by: 'ivo', count: 1 }
		]);
		expect(picture.marks['ivo']).toEqual({ m1: mark, m3: { ...mark, kind: 'other' } });
	});
	it('keeps what was counted before the moment stood beside the marks, until the same person counts again', () => {
		const plates = { 'B-1': { counters: { ivo: 31, bede: 28, maud: undefined } } };
		const counted = (countedAt: Record<string, string>) =>
			pictureOf('B-1', { plates, platePhotos: { a: { ...photo, marks: { ivo: { m1: mark } }, countedAt } } })!.counts;
		expect(counted({})).toEqual([
			{ by: 'ivo', count: 31 },
			{ by: 'bede', count: 28 }
		]);
		expect(counted({ ivo: at(13) })).toEqual([
			{ by: 'bede', count: 28 },
			{ by: 'ivo', count: 1 }
		]);
	});
});

describe('two counts of one photo', () => {
	const counts = (...n: number[]) => ({ counts: n.map((count, i) => ({ by: `m${String(i)}`, count })) });

	it('lie apart by percent of their mean; one says nothing', () => {
		expect(countsApart(counts(30, 24))).toEqual({ least: 24, most: 30, apart_percent: (100 * 6) / 27 });
		expect(countsApart(counts(0, 0))?.apart_percent).toBe(0);
		expect(countsApart(counts(24))).toBeNull();
	});
	it('are hidden from who may still count, until they counted or asked, and only once the plate was read', () => {
		const read = { readAt: at(12) };
		expect(isHiddenFrom('b', read, counts(24), false)).toBe(true);
		expect(isHiddenFrom('m0', read, counts(24), false)).toBe(false);
		expect(isHiddenFrom('b', read, counts(24), true)).toBe(false);
		expect(isHiddenFrom('b', read, counts(), false)).toBe(false);
		expect(isHiddenFrom('b', read, null, false)).toBe(false);
		expect(isHiddenFrom('b', {}, counts(24), false)).toBe(false);
	});
});
