import { dangerWords } from '../logbook';
import type { MethodCard } from '../method';
import type { Sheet } from '../logbook';
import { forms, chosen } from '../observations';
import type { Flag } from '../quality';
import { inPlaceUnit } from '../quantity';
import { wadingRuleAt, wadingStanding, type Water } from '../safety';
import { sayLimit } from '../interpret';

/** The trial of depth and speed at the edge, in metres. */
export const trialOf = (arrival: Sheet['arrival']): Water => ({
	depth_m: arrival?.depth_m === undefined ? undefined : inPlaceUnit(arrival.depth_m, 'm'),
	velocity_m_s: arrival?.velocity_m_s === undefined ? undefined : inPlaceUnit(arrival.velocity_m_s, 'm_s')
});

/** What the arrival says about going in: over the card's limit, a life jacket asked for, alone, in spite of a danger, or nothing sampled. */
export function arrivalFlags({ arrival, conditions }: Sheet, card: MethodCard, siteDepth_m: number | null | undefined): Flag[] {
	const flags: Flag[] = sewageSigns(conditions);
	if (!arrival) return flags;
	const { depth_m, velocity_m_s } = trialOf(arrival);
	const at = { path: 'arrival', parameter: null };
	const rule = wadingRuleAt(card.wading, siteDepth_m);
	const standing = wadingStanding({ depth_m, velocity_m_s }, rule);
	if (standing === 'over')
		flags.push({ ...at, code: 'over-wading-limit', evidence: { depth_m: depth_m ?? 0, velocity_m_s: velocity_m_s ?? 0, limit: sayLimit(rule) } });
	if (standing === 'lifeJacket' && card.wading.school === 'depth-only')
		flags.push({ ...at, code: 'life-jacket', evidence: { depth_m: depth_m ?? 0, limit_m: card.wading.lifeJacket_m } });
	if (arrival.access === 'leave') flags.push({ ...at, code: 'not-sampled', evidence: { reason: arrival.reason ?? '' } });
	else if (arrival.access !== undefined && Object.keys(arrival.crew ?? {}).length === 1) flags.push({ ...at, code: 'alone', evidence: {} });
	const noted = Object.entries(dangerWords).flatMap(([danger, word]) => (arrival.dangers?.[danger as keyof typeof dangerWords] ? [word] : []));
	if (arrival.access === 'wade' && noted.length) flags.push({ ...at, code: 'waded-all-the-same', evidence: { dangers: noted.join(', ') } });
	return flags;
}

/** What of the conditions speaks of sewage: each sign alone may be chance, so its smell or two of the others are asked for. */
function sewageSigns(conditions: Sheet['conditions']): Flag[] {
	const seen = (id: string) =>
		chosen(
			forms.conditions.find((q) => q.id === id)!,
			conditions
		).map((c) => c.id);
	const signs = [
		seen('odour').includes('sewage') ? 'the smell' : '',
		seen('growth').includes('grey') ? 'grey threads' : '',
		seen('colour').includes('grey') ? 'grey water' : '',
		seen('foam').includes('soapy') ? 'soapy foam' : ''
	].filter(Boolean);
	if (!signs.includes('the smell') && signs.length < 2) return [];
	return [{ code: 'sewage-signs', path: 'conditions', parameter: null, evidence: { signs: signs.join(', ') } }];
}
