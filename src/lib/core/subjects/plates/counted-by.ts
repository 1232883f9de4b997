import { relativePercentDifference } from '../../bacteria';
import type { PlateSheet } from './shelf';

/** How far apart the people lie who counted one plate, or null where fewer than two did. */
export function countedBy({
	counters
}: Pick<PlateSheet, 'counters'>): { least: number; most: number; apart_percent: number } | null {
	const counts = Object.values(counters ?? {}).filter((n) => n !== undefined);
	if (counts.length < 2) return null;
	const least = Math.min(...counts);
	const most = Math.max(...counts);
	return { least, most, apart_percent: relativePercentDifference({ first: least, second: most }).percent };
}

/** Somebody else counted it on a photo and this person did not: whoever counts second must not see the first. */
export const mayCountBlind = ({ counters }: Pick<PlateSheet, 'counters'>, memberId: string): boolean =>
	Object.values(counters ?? {}).some((n) => n !== undefined) && counters?.[memberId] === undefined;

/** Whether what was counted stays hidden from this person: they may still count blind, and did not ask to see it. */
export const blindOn = (plate: PlateSheet, hasPhoto: boolean, memberId: string, shown: string | undefined): boolean =>
	plate.readAt !== undefined && hasPhoto && shown !== '1' && mayCountBlind(plate, memberId);
