import { z } from 'zod';

/** What no card may allow, whatever its school: a deep slow pool drowns, a shallow fast chute sweeps away. */
export const ABSOLUTE = { depth_m: 1.2, velocity_m_s: 3, product_m2_s: 0.8 } as const;

const depth_m = z.number().positive().max(ABSOLUTE.depth_m, `no deeper than ${ABSOLUTE.depth_m} m, whatever the card`);

/**
 * The schools of wading limits. Each number is a program's or card's setting; none says that the water may be
 * entered.
 */
export const WadingLimit = z.discriminatedUnion('school', [
	/** Groups and beginners: not where it is deeper than the one, nor where it is faster than the other. */
	z.object({
		school: z.literal('depth-and-velocity'),
		depth_m,
		velocity_m_s: z.number().positive().max(ABSOLUTE.velocity_m_s)
	}),
	/** Depth alone, under the absolute cap of speed; a life jacket from a lesser depth on. */
	z.object({ school: z.literal('depth-only'), depth_m, lifeJacket_m: z.number().positive() }),
	/**
	 * Trained crews: depth × velocity under a product (Cox, Shand & Blacka 2010: 0.6 m²/s for adults, 0.8 for trained
	 * ones at most).
	 */
	z.object({ school: z.literal('product'), product_m2_s: z.number().positive() })
]);
export type WadingLimit = z.infer<typeof WadingLimit>;

/** A card's limit where the site may have a limit of its own: a depth at which nobody wades, whatever the card says. */
export type WadingRule = WadingLimit & { siteDepth_m?: number | undefined };

/** The rule at a site; `siteDepth_m` null where it has no limit of its own. */
export const wadingRuleAt = (card: WadingLimit, siteDepth_m: number | null | undefined): WadingRule =>
	typeof siteDepth_m === 'number' ? { ...card, siteDepth_m } : card;

export interface Water {
	depth_m?: number | undefined;
	velocity_m_s?: number | undefined;
}

/**
 * How the water measured so far stands to the limit: `over` it, by depth or by speed, each alone; `lifeJacket` where
 * the school asks for one; `under` it, which takes both figures; else `unknown`. A speed counts whichever way it
 * runs. Under the limit lets nobody in: whoever is there decides, and local rules come first.
 */
export function wadingStanding(
	{ depth_m, velocity_m_s }: Water,
	limit: WadingRule
): 'over' | 'lifeJacket' | 'under' | 'unknown' {
	const speed = velocity_m_s === undefined ? undefined : Math.abs(velocity_m_s);
	const deepest = Math.min(
		ABSOLUTE.depth_m,
		limit.siteDepth_m ?? Infinity,
		limit.school === 'product' ? Infinity : limit.depth_m
	);
	const fastest = Math.min(
		ABSOLUTE.velocity_m_s,
		limit.school === 'depth-and-velocity' ? limit.velocity_m_s : Infinity
	);
	if (depth_m !== undefined && depth_m > deepest) return 'over';
	if (speed !== undefined && speed > fastest) return 'over';
	if (depth_m === undefined || speed === undefined) return 'unknown';
	if (limit.school === 'product')
		return depth_m * speed > Math.min(limit.product_m2_s, ABSOLUTE.product_m2_s) ? 'over' : 'under';
	return limit.school === 'depth-only' && depth_m > limit.lifeJacket_m ? 'lifeJacket' : 'under';
}
