import { COLD_WATER_C, wadingRuleAt, wadingStanding, type Water } from '../../safety';
import type { Sheet } from '../../logbook';
import { amount, figureIn, inPlaceUnit } from '../../quantity';
import { doubt, type Flag } from '../flags';
import type { GaugingView } from '../gauging/view';
import { defineSubject } from '../subject';
import { dangers, type Danger } from './branch';

/** The trial of depth and speed at the edge, in metres. */
export const trialOf = (arrival: Sheet['arrival']): Water => ({
	depth_m: arrival?.depth_m === undefined ? undefined : inPlaceUnit(arrival.depth_m, 'm'),
	velocity_m_s: arrival?.velocity_m_s === undefined ? undefined : inPlaceUnit(arrival.velocity_m_s, 'm_s')
});

/** Dangers that hold wherever somebody stands, in the water or beside it. */
const EVERYWHERE: readonly Danger[] = ['storm', 'ice', 'alone'];
const at = { path: 'arrival', parameter: null };

/**
 * What the arrival says about being there: over the card's limit, a life jacket asked for, alone, nobody who waits,
 * in spite of a danger, cold water, or nothing sampled.
 */
export const arrival = defineSubject({
	branches: ['arrival', 'opening', 'leaving', 'readings'],
	knows: ['site'],
	observe({ sheet, card, context }) {
		const { arrival: here } = sheet;
		if (!here) return {};
		const rule = wadingRuleAt(card.wading, context.site.wadingDepth_m);
		const { depth_m, velocity_m_s } = trialOf(here);
		const standing = wadingStanding({ depth_m, velocity_m_s }, rule);
		const isWading = here.access === 'wade';
		const flags: Flag[] = [];
		if (standing === 'over') {
			const water = { depth_m: depth_m ?? null, velocity_m_s: velocity_m_s ?? null, rule };
			flags.push(doubt(isWading ? 'waded-over-limit' : 'over-wading-limit', at, water));
		}
		if (standing === 'lifeJacket' && card.wading.school === 'depth-only')
			flags.push(doubt('life-jacket', at, { depth_m: depth_m ?? 0, limit_m: card.wading.lifeJacket_m }));
		if (here.access === undefined) return { flags };
		if (here.access === 'leave') return { flags: [...flags, doubt('not-sampled', at, { reason: here.reason ?? '' })] };
		if (isWading && standing === 'unknown') flags.push(doubt('waded-untried', at, { rule }));
		return {
			flags: [...flags, ...peopleFlags(sheet), ...dangerFlags(here, isWading), ...(isWading ? coldWater(sheet) : [])]
		};
	},
	relate({ gaugings, sheet, card, context }) {
		return sheet.arrival?.access === 'wade'
			? overAtVerticals(gaugings, wadingRuleAt(card.wading, context.site.wadingDepth_m))
			: [];
	}
});

type Here = NonNullable<Sheet['arrival']>;

/** Who is here, and who waits for them. */
function peopleFlags({ arrival: here, opening, leaving }: Pick<Sheet, 'arrival' | 'opening' | 'leaving'>): Flag[] {
	const crew = Object.keys(here?.crew ?? {}).length;
	const isOverOrOnPaper = opening?.isOnPaper === true || leaving?.at !== undefined;
	return [
		...(crew === 0 ? [doubt('nobody-named', at, {})] : []),
		...(crew === 1 ? [doubt('alone', at, {})] : []),
		...(!isOverOrOnPaper && here?.waiting?.who === undefined ? [doubt('nobody-waits', at, {})] : [])
	];
}

function dangerFlags(here: Here, isWading: boolean): Flag[] {
	const noted = dangers.filter((d) => here.dangers?.[d] && (isWading || EVERYWHERE.includes(d)));
	return noted.length ? [doubt('in-spite-of-danger', at, { isWading, dangers: noted })] : [];
}

/** The water where somebody stood to gauge it, held against the same limit as the edge. */
function overAtVerticals(gaugings: readonly GaugingView[], rule: ReturnType<typeof wadingRuleAt>): Flag[] {
	return gaugings.flatMap(({ id, verticals }): Flag[] => {
		const over = verticals.filter(
			(v) =>
				wadingStanding({ depth_m: v.depth_m ?? undefined, velocity_m_s: v.velocity_m_s ?? undefined }, rule) === 'over'
		);
		const [first] = over;
		if (!first) return [];
		const { depth_m, velocity_m_s } = first;
		const place = { path: `gaugings/${id}/verticals/${first.id}`, parameter: null };
		const evidence = { distance_m: first.distance_m ?? 0, depth_m, velocity_m_s, verticals: over.length, rule };
		return [doubt('vertical-over-limit', place, evidence)];
	});
}

/** Said while they are there: of a visit that is over it says nothing. */
function coldWater({ readings, leaving }: Pick<Sheet, 'readings' | 'leaving'>): Flag[] {
	if (leaving?.at !== undefined) return [];
	const read = Object.values(readings?.['water-temperature'] ?? {}).flatMap((f) =>
		f ? [amount(figureIn(f, 'degC')).number] : []
	);
	const [coldest_C] = read.sort((a, b) => a - b);
	if (coldest_C === undefined || coldest_C >= COLD_WATER_C) return [];
	return [doubt('cold-water', at, { temperature_C: coldest_C, limit_C: COLD_WATER_C })];
}
