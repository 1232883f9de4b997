import { volumesBetween } from '../../bacteria';
import type { Limits } from '../../method';
import type { Usual } from '../context';

/** What is poured of one bottle, and what is known of its water. */
export interface ToPour {
	label: string;
	/** The bottle is itself a blank: one plate, on which nothing may grow. */
	isBlank: boolean;
	/** Plates of its visit so far: names go on from there. */
	taken: readonly string[];
	/** What its site mostly showed in 100 mL; null where too few were read. */
	usual: Usual | null;
	limits: Limits;
}

/** A plate as it is to be poured; `key` stays its own when there is one plate more or less. */
export interface AdvisedPlate {
	key: string;
	name: string;
	isBlank: boolean;
	volume_mL: number;
}

/**
 * Volumes for water as clean, and as foul, as the site mostly is: one of two plates can be counted either way. Where
 * nobody knows the site, the card's least. `isTooCrowded`: a foul day crowds the smallest of them too.
 */
export function advisedVolumes({ isBlank, usual, limits }: Omit<ToPour, 'label' | 'taken'>): {
	volumes_mL: readonly number[];
	isTooCrowded: boolean;
} {
	const advice =
		usual === null || isBlank ? [] : volumesBetween({ lowPer100mL: usual.low, highPer100mL: usual.high, ...limits });
	return {
		volumes_mL: advice.length ? advice.map((a) => a.volume_mL) : [limits.plateLeast_mL],
		isTooCrowded: advice.at(-1)?.dilute === true
	};
}

/** The plates of a bottle by the card, or as many as were asked for, each with the volume that is advised. */
export function advisedPlates(
	bottle: ToPour,
	{ replicates = bottle.limits.plateReplicates, blanks = bottle.limits.plateBlanks } = {}
): AdvisedPlate[] {
	const { volumes_mL } = advisedVolumes(bottle);
	const begun = bottle.taken.filter((n) => n.startsWith(`${bottle.label}-`)).length;
	return Array.from({ length: bottle.isBlank ? 1 : replicates + blanks }, (_, i) => {
		const isBlank = bottle.isBlank || i >= replicates;
		return {
			key: isBlank ? `blank ${i - replicates}` : `plate ${i}`,
			name: `${bottle.label}-${begun + i + 1}`,
			isBlank,
			volume_mL: volumes_mL[isBlank ? 0 : i % volumes_mL.length]!
		};
	});
}

/** What pouring these plates of a bottle writes into its visit. */
export const pouring = (
	bottle: string,
	plates: readonly Omit<AdvisedPlate, 'key'>[],
	pouredAt: string
): Record<string, unknown> => ({
	...Object.fromEntries(
		plates.flatMap(({ name, volume_mL, isBlank }): [string, unknown][] => [
			[`plates/${name}/bottle`, bottle],
			[`plates/${name}/volume_mL`, volume_mL],
			[`plates/${name}/pouredAt`, pouredAt],
			...(isBlank ? [[`plates/${name}/isBlank`, true] as [string, unknown]] : [])
		])
	),
	[`bottles/${bottle}/platedAt`]: pouredAt
});
