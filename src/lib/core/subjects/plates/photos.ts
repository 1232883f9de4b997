import type { Mark } from './branch';
import type { PlatePhotoSheet } from './shelf';

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
	photos: Readonly<Record<string, PlatePhotoSheet>> | undefined
): PlatePicture | null {
	const own = Object.entries(photos ?? {}).filter(([, p]) => p.plate === plate && p.sha256 !== undefined);
	const last = own.toSorted(([, a], [, b]) => (a.takenAt ?? '').localeCompare(b.takenAt ?? '')).at(-1);
	if (!last) return null;
	const [id, { sha256, marks: made, countedAt }] = last;
	const marks = Object.fromEntries(Object.entries(made ?? {}).map(([who, m]) => [who, live(m)]));
	const counts = Object.entries(countedAt ?? {})
		.flatMap(([by, at]) => (at === undefined ? [] : [{ by, at, count: countOf(marks[by]) }]))
		.sort((a, b) => a.at.localeCompare(b.at))
		.map(({ by, count }) => ({ by, count }));
	return { id, sha256: sha256!, marks, counts };
}

/** Marks that were struck have no value. */
const live = (marks: Readonly<Record<string, Mark | undefined>> | undefined): Record<string, Mark> =>
	Object.fromEntries(Object.entries(marks ?? {}).flatMap(([id, m]) => (m === undefined ? [] : [[id, m]])));

/** How many of a person's marks stand for colonies of the kind that counts. */
export const countOf = (marks: Readonly<Record<string, Mark>> | undefined): number =>
	Object.values(marks ?? {}).filter((m) => m.kind === 'counts').length;
