import { dangerWords } from '../logbook';
import type { MethodCard } from '../method';
import type { Sheet } from '../logbook';
import { forms, chosen } from '../observations';
import type { Flag } from '../quality';
import { amount, figureIn, inPlaceUnit } from '../quantity';
import { COLD_WATER_C, wadingRuleAt, wadingStanding, type Water } from '../safety';
import { sayLimit } from '../interpret';
import type { Context } from './context';
import type { GaugingView } from './outcome';

/** The trial of depth and speed at the edge, in metres. */
export const trialOf = (arrival: Sheet['arrival']): Water => ({
	depth_m: arrival?.depth_m === undefined ? undefined : inPlaceUnit(arrival.depth_m, 'm'),
	velocity_m_s: arrival?.velocity_m_s === undefined ? undefined : inPlaceUnit(arrival.velocity_m_s, 'm_s')
});

/** Dangers that hold wherever somebody stands, in the water or beside it. */
const EVERYWHERE = ['storm', 'ice', 'alone'] as const;

/** What the arrival says about being there: over the card's limit, a life jacket asked for, alone, nobody who waits, in spite of a danger, or nothing sampled. */
export function arrivalFlags(
	sheet: Sheet,
	card: MethodCard,
	gaugings: readonly GaugingView[],
	{ site }: Context
): Flag[] {
	const { arrival, opening } = sheet;
	if (!arrival) return [];
	const flags: Flag[] = [];
	const { depth_m, velocity_m_s } = trialOf(arrival);
	const at = { path: 'arrival', parameter: null };
	const rule = wadingRuleAt(card.wading, site.wadingDepth_m);
	const standing = wadingStanding({ depth_m, velocity_m_s }, rule);
	const isWading = arrival.access === 'wade';
	if (standing === 'over')
		flags.push({
			...at,
			code: isWading ? 'waded-over-limit' : 'over-wading-limit',
			evidence: { depth_m: depth_m ?? null, velocity_m_s: velocity_m_s ?? null, limit: sayLimit(rule) }
		});
	if (standing === 'lifeJacket' && card.wading.school === 'depth-only')
		flags.push({ ...at, code: 'life-jacket', evidence: { depth_m: depth_m ?? 0, limit_m: card.wading.lifeJacket_m } });
	if (arrival.access === undefined) return flags;
	if (arrival.access === 'leave')
		return [...flags, { ...at, code: 'not-sampled', evidence: { reason: arrival.reason ?? '' } }];
	if (isWading && standing === 'unknown')
		flags.push({ ...at, code: 'waded-untried', evidence: { limit: sayLimit(rule) } });
	const crew = Object.keys(arrival.crew ?? {}).length;
	if (crew === 0) flags.push({ ...at, code: 'nobody-named', evidence: {} });
	if (crew === 1) flags.push({ ...at, code: 'alone', evidence: {} });
	if (opening?.isOnPaper !== true && sheet.leaving?.at === undefined && arrival.waiting?.who === undefined)
		flags.push({ ...at, code: 'nobody-waits', evidence: {} });
	const dangers = Object.entries(dangerWords).flatMap(([danger, word]) =>
		arrival.dangers?.[danger as keyof typeof dangerWords] ? [{ danger, word }] : []
	);
	const counted = isWading ? dangers : dangers.filter((d) => (EVERYWHERE as readonly string[]).includes(d.danger));
	if (counted.length)
		flags.push({
			...at,
			code: 'in-spite-of-danger',
			evidence: { isWading, dangers: counted.map((d) => d.word).join(', ') }
		});
	if (isWading) flags.push(...overAtVerticals(gaugings, rule), ...coldWater(sheet));
	return flags;
}

/** The water where somebody stood to gauge it, held against the same limit as the edge. */
function overAtVerticals(gaugings: readonly GaugingView[], rule: ReturnType<typeof wadingRuleAt>): Flag[] {
	return gaugings.flatMap(({ id, verticals }): Flag[] => {
		const over = verticals.filter(
			(v) =>
				wadingStanding({ depth_m: v.depth_m ?? undefined, velocity_m_s: v.velocity_m_s ?? undefined }, rule) === 'over'
		);
		const first = over[0];
		if (!first) return [];
		const evidence = {
			distance_m: first.distance_m ?? 0,
			depth_m: first.depth_m,
			velocity_m_s: first.velocity_m_s,
			verticals: over.length,
			limit: sayLimit(rule)
		};
		return [{ code: 'vertical-over-limit', path: `gaugings/${id}/verticals/${first.id}`, parameter: null, evidence }];
	});
}

/** Said while they are there: of a visit that is over it says nothing. */
function coldWater({ readings, leaving }: Sheet): Flag[] {
	if (leaving?.at !== undefined) return [];
	const read = Object.values(readings?.['water-temperature'] ?? {}).flatMap((f) =>
		f ? [amount(figureIn(f, 'degC')).number] : []
	);
	const [coldest_C] = read.sort((a, b) => a - b);
	if (coldest_C === undefined || coldest_C >= COLD_WATER_C) return [];
	return [
		{
			code: 'cold-water',
			path: 'arrival',
			parameter: null,
			evidence: { temperature_C: coldest_C, limit_C: COLD_WATER_C }
		}
	];
}

/** What the conditions say that cannot wait, or cannot be. */
export function conditionFlags({ conditions }: Sheet, { reportTo }: Context): Flag[] {
	const seen = (id: string) =>
		chosen(
			forms.conditions.find((q) => q.id === id)!,
			conditions
		).map((c) => c.id);
	const at = { path: 'conditions', parameter: null };
	const flags: Flag[] = [];
	const signs = [
		seen('odour').includes('sewage') ? 'the smell' : '',
		seen('growth').includes('grey') ? 'grey threads' : '',
		seen('colour').includes('grey') ? 'grey water' : '',
		seen('foam').includes('soapy') ? 'soapy foam' : ''
	].filter(Boolean);
	// each sign alone may be chance, so its smell or two of the others are asked for
	if (signs.includes('the smell') || signs.length >= 2)
		flags.push({ ...at, code: 'sewage-signs', evidence: { signs: signs.join(', '), to: reportTo ?? '' } });
	const now = [
		seen('fish').includes('many') ? 'more than five dead fish' : '',
		seen('sheen').includes('closes') ? 'a film that closes again, as oil does' : '',
		seen('odour').includes('chemical') ? 'a chemical smell' : '',
		seen('odour').includes('oil') ? 'a smell of oil or fuel' : ''
	].filter(Boolean);
	if (now.length) flags.push({ ...at, code: 'report-now', evidence: { what: now.join(', '), to: reportTo ?? '' } });
	const [in24, in48] = [RAIN.indexOf(seen('rain24')[0] ?? ''), RAIN.indexOf(seen('rain48')[0] ?? '')];
	if (in24 >= 0 && in48 >= 0 && in24 > in48) flags.push({ ...at, code: 'rain-contradicts', evidence: {} });
	return flags;
}

/** From least to most; 48 hours hold the last 24. */
const RAIN = ['none', 'little', 'some', 'much'];
