import { z } from 'zod';

/** The schools of wading limits. Each number is a program's or card's setting; none says that the water may be entered. */
export const WadingLimit = z.discriminatedUnion('school', [
	/** Groups and beginners: not where it is deeper than one and faster than the other. */
	z.object({ school: z.literal('depth-and-velocity'), depth_m: z.number().positive(), velocity_m_s: z.number().positive() }),
	/** Depth alone; a life jacket from a lesser depth on. */
	z.object({ school: z.literal('depth-only'), depth_m: z.number().positive(), lifeJacket_m: z.number().positive() }),
	/** Trained crews: depth × velocity under a product. */
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
 * How the water measured so far stands to the limit: `over` it, `lifeJacket` where the school asks for one, `under` it,
 * or `unknown` while a figure that the school needs is missing. Under the limit is not leave to go in: the person decides.
 */
export function wadingStanding({ depth_m, velocity_m_s }: Water, limit: WadingRule): 'over' | 'lifeJacket' | 'under' | 'unknown' {
	if (limit.siteDepth_m !== undefined && depth_m !== undefined && depth_m > limit.siteDepth_m) return 'over';
	if (limit.siteDepth_m !== undefined && depth_m === undefined) return 'unknown';
	switch (limit.school) {
		case 'depth-and-velocity':
			if (depth_m === undefined && velocity_m_s === undefined) return 'unknown';
			if (depth_m !== undefined && depth_m <= limit.depth_m) return 'under';
			if (velocity_m_s !== undefined && velocity_m_s <= limit.velocity_m_s) return 'under';
			return depth_m === undefined || velocity_m_s === undefined ? 'unknown' : 'over';
		case 'depth-only':
			if (depth_m === undefined) return 'unknown';
			return depth_m > limit.depth_m ? 'over' : depth_m > limit.lifeJacket_m ? 'lifeJacket' : 'under';
		case 'product':
			if (depth_m === undefined || velocity_m_s === undefined) return 'unknown';
			return depth_m * velocity_m_s > limit.product_m2_s ? 'over' : 'under';
	}
}
