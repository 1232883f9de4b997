import type { Sheet } from '../../logbook';
import type { Mark, PhotoGrid } from './branch';
import { countOf, drawnSquares, type Square } from './photo-grid';
import type { PlatePhotoSheet, PlateSheet } from './shelf';

export interface PlatePicture {
	id: string;
	sha256: string;
	/** By who made them, then by mark. */
	marks: Readonly<Record<string, Readonly<Record<string, Mark>>>>;
	/** Laid over a crowded plate, with the squares in which its colonies are counted; null where all of it is. */
	grid: PhotoGrid | null;
	squares: readonly Square[] | null;
	/** What each person counted who said that their marks are all, the first who said so first. */
	counts: readonly { by: string; count: number }[];
}

/** The photo of a plate that stands: the last one taken; null where none does. */
export function pictureOf(
	plate: string,
	{ plates, platePhotos }: Pick<Sheet, 'plates' | 'platePhotos'>
): PlatePicture | null {
	const own = Object.entries(platePhotos ?? {}).filter(([, p]) => p.plate === plate && p.sha256 !== undefined);
	const last = own.toSorted(([, a], [, b]) => (a.takenAt ?? '').localeCompare(b.takenAt ?? '')).at(-1);
	if (!last) return null;
	const [id, { sha256, marks: made, countedAt, grid = null }] = last;
	const squares = grid && drawnSquares(id, grid);
	const marks = Object.fromEntries(Object.entries(made ?? {}).map(([who, m]) => [who, live(m)]));
	const said = Object.entries(countedAt ?? {})
		.flatMap(([by, at]) => (at === undefined ? [] : [{ by, at, count: countOf(marks[by], squares) }]))
		.sort((a, b) => a.at.localeCompare(b.at))
		.map(({ by, count }) => ({ by, count }));
	return { id, sha256: sha256!, marks, grid, squares, counts: [...countedBefore(plates?.[plate], countedAt), ...said] };
}

/** Who counted before the moment of it was kept beside the marks: then the count itself stood with the plate. */
const countedBefore = (
	plate: PlateSheet | undefined,
	countedAt: PlatePhotoSheet['countedAt']
): { by: string; count: number }[] =>
	Object.entries(plate?.counters ?? {}).flatMap(([by, count]) =>
		count === undefined || countedAt?.[by] !== undefined ? [] : [{ by, count }]
	);

/** Marks that were struck have no value. */
const live = (marks: Readonly<Record<string, Mark | undefined>> | undefined): Record<string, Mark> =>
	Object.fromEntries(Object.entries(marks ?? {}).flatMap(([id, m]) => (m === undefined ? [] : [[id, m]])));
