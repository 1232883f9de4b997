import type { Mark } from './branch';
import type { Sheet } from '../../logbook';
import type { PlatePhotoSheet, PlateSheet } from './shelf';

export interface PlatePicture {
	id: string;
	sha256: string;
	/** By who made them, then by mark. */
	marks: Readonly<Record<string, Readonly<Record<string, Mark>>>>;
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
	const [id, { sha256, marks: made, countedAt }] = last;
	const marks = Object.fromEntries(Object.entries(made ?? {}).map(([who, m]) => [who, live(m)]));
	const said = Object.entries(countedAt ?? {})
		.flatMap(([by, at]) => (at === undefined ? [] : [{ by, at, count: countOf(marks[by]) }]))
		.sort((a, b) => a.at.localeCompare(b.at))
		.map(({ by, count }) => ({ by, count }));
	return { id, sha256: sha256!, marks, counts: [...countedBefore(plates?.[plate], countedAt), ...said] };
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

/** How many of a person's marks stand for colonies of the kind that counts. */
export const countOf = (marks: Readonly<Record<string, Mark>> | undefined): number =>
	Object.values(marks ?? {}).filter((m) => m.kind === 'counts').length;
