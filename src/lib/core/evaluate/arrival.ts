import type { MethodCard } from '../method';
import type { Sheet } from '../logbook';
import type { Flag } from '../quality';
import { wadingRuleAt, wadingStanding } from '../safety';
import { sayLimit } from '../interpret';

/** What the arrival says about going in: over the card's limit, a life jacket asked for, or nothing sampled. */
export function arrivalFlags({ arrival }: Sheet, card: MethodCard, siteDepth_m: number | null | undefined): Flag[] {
	if (!arrival) return [];
	const { depth_m, velocity_m_s } = arrival;
	const at = { path: 'arrival', parameter: null };
	const rule = wadingRuleAt(card.wading, siteDepth_m);
	const standing = wadingStanding({ depth_m, velocity_m_s }, rule);
	const flags: Flag[] = [];
	if (standing === 'over')
		flags.push({ ...at, code: 'over-wading-limit', evidence: { depth_m: depth_m ?? 0, velocity_m_s: velocity_m_s ?? 0, limit: sayLimit(rule) } });
	if (standing === 'lifeJacket' && card.wading.school === 'depth-only')
		flags.push({ ...at, code: 'life-jacket', evidence: { depth_m: depth_m ?? 0, limit_m: card.wading.lifeJacket_m } });
	if (arrival.access === 'leave') flags.push({ ...at, code: 'not-sampled', evidence: { reason: arrival.reason ?? '' } });
	return flags;
}
