import { relativePercentDifference } from '../../bacteria';
import type { PlatePicture } from './photos';
import type { PlateSheet } from './shelf';

/** How far apart the people lie who counted one photo, or null where fewer than two did. */
export function countsApart({
	counts
}: Pick<PlatePicture, 'counts'>): { least: number; most: number; apart_percent: number } | null {
	if (counts.length < 2) return null;
	const least = Math.min(...counts.map((c) => c.count));
	const most = Math.max(...counts.map((c) => c.count));
	return { least, most, apart_percent: relativePercentDifference({ first: least, second: most }).percent };
}

/**
 * Whether what was counted on the photo of a plate stays hidden from a person: others counted it, this one did not and
 * may still do so, and did not ask to see it. Whoever counts second must not see the first.
 */
export const isHiddenFrom = (
	memberId: string,
	{ readAt }: Pick<PlateSheet, 'readAt'>,
	picture: Pick<PlatePicture, 'counts'> | null,
	asked: boolean
): boolean =>
	readAt !== undefined &&
	!asked &&
	picture !== null &&
	picture.counts.length > 0 &&
	picture.counts.every((c) => c.by !== memberId);
