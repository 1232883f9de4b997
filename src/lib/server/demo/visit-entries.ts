import { tick, type Entry } from '../../core/logbook';
import type { MethodCard } from '../../core/method';
import type { Figure } from '../../core/quantity';
import { seeded, type Chance } from '../../core/statistics';
import { v7 } from 'uuid';
import type { DemoSite } from './catchment';
import type { DemoPerson } from './people';
import { profileFor, round, type Truth } from './water-model';

const MINUTE_ms = 60_000;
const PLATED_AFTER_ms = 15 * MINUTE_ms;

export type Writer = DemoPerson & { id: string };

export interface VisitPlan {
	id: string;
	site: DemoSite & { id: string };
	cardVersion: { id: string; card: MethodCard };
	roundId: string;
	startedAt_ms: number;
	crew: readonly [Writer, Writer];
	kit: number;
	truth: Truth;
	/** How much the oxygen probe reads low, as a share. */
	oxygenDrift: number;
	/** Stop after this many minutes: a visit that is still going on. */
	stopAfter_min?: number;
	/** When they mean to be back, minutes after the visit began. */
	backAfter_min: number;
	/** Its nets and boots are entered as wet, to dry before they go elsewhere. */
	leavesGearWet?: boolean;
	incident?: 'ice' | 'depth-in-dm' | 'two-values' | 'late-to-lab';
}

/** Ids and clock readings for entries made at given minutes of a visit, from seeded chance. */
export function logbookWriter(plan: Pick<VisitPlan, 'id' | 'startedAt_ms'>, chance: Chance) {
	const entries: Entry[] = [];
	let last: string | null = null;
	const write = (
		by: Writer,
		minute: number,
		path: string,
		value: Entry['value'],
		more: Partial<Pick<Entry, 'op' | 'was'>> = {}
	): Entry => {
		const now_ms = Math.round(plan.startedAt_ms + minute * MINUTE_ms);
		last = tick(last, now_ms);
		const entry: Entry = {
			id: seededId(now_ms, chance),
			visitId: plan.id,
			at: last,
			by: by.id,
			device: `phone-${by.initials.toLowerCase()}`,
			path,
			op: 'set',
			value,
			was: null,
			...more
		};
		entries.push(entry);
		return entry;
	};
	return { entries, write };
}

export const seededId = (at_ms: number, chance: Chance): string =>
	v7({
		msecs: at_ms,
		seq: Math.floor(chance.uniform() * 2 ** 31),
		random: Uint8Array.from({ length: 16 }, () => Math.floor(chance.uniform() * 256))
	});

/** The logbook of one visit as its crew would have written it, slips and strikes among it. */
export function visitEntries(plan: VisitPlan, chance: Chance): Entry[] {
	const { entries, write } = logbookWriter(plan, chance);
	const [first, second] = plan.crew;
	const { truth, site } = plan;
	const at = (minute: number) => new Date(plan.startedAt_ms + minute * MINUTE_ms).toISOString();
	const misread = (sd: number) => sd * chance.normal();
	const read = (by: Writer, minute: number, path: string, figure: Figure) =>
		write(by, minute, `readings/${path}`, figure);

	write(first, 0, 'opening', {
		siteId: site.id,
		cardVersionId: plan.cardVersion.id,
		roundId: plan.roundId,
		startedAt: at(0)
	});
	for (const person of plan.crew) write(first, 1, `arrival/crew/${person.initials}/initials`, person.initials);
	write(first, 1.2, 'arrival/waiting/who', 'Orla, at the depot');
	write(first, 1.4, 'arrival/waiting/backAt', at(plan.backAfter_min));
	if (plan.incident === 'ice') {
		write(first, 3, 'arrival/access', 'leave');
		write(first, 4, 'arrival/reason', 'Shelf ice on both banks, the edge breaks under the pole.');
		write(first, 6, 'leaving/at', at(6));
		return entries;
	}
	const high = truth.storm > 2.4;
	const profile = profileFor(truth.discharge_m3_s, 11 + Math.floor(4 * chance.uniform()), chance);
	const trial = profile.verticals[Math.floor(profile.verticals.length / 2)]!;
	write(first, 2, 'arrival/depth_m', trial.depth_m);
	write(first, 2.5, 'arrival/velocity_m_s', trial.velocity_m_s);
	write(first, 3, 'arrival/access', high ? (site.code === 'TE4' ? 'bridge' : 'bank') : 'wade');
	if (high) write(first, 3.5, 'arrival/reason', 'Water up and brown after the rain.');

	entries.push(...asSeen(plan, second, high));

	const month = new Date(plan.startedAt_ms).toISOString().slice(2, 7).replace('-', '');
	write(first, 5, 'bottles/bacteria/kind', 'bacteria');
	write(first, 5, 'bottles/bacteria/label', `${site.code}-${month}-B`);
	write(first, 6, 'bottles/bacteria/filledAt', at(6));
	write(first, 8, 'bottles/bacteria/onIceAt', at(8));
	write(first, 8.4, 'bottles/nutrients/kind', 'nutrients');
	write(first, 8.5, 'bottles/nutrients/rinses', 3);
	write(first, 8.5, 'bottles/nutrients/label', `${site.code}-${month}-N`);
	write(first, 9, 'bottles/nutrients/filledAt', at(9));

	read(second, 10, 'air-temperature/shade', {
		value: round(Math.round((truth.air_C + misread(0.3)) * 2) / 2, 1),
		unit: 'degC',
		instrument: `T-${plan.kit}`
	});
	read(second, 13, 'water-temperature/main', {
		value: round(truth.water_C + misread(0.1), 1),
		unit: 'degC',
		instrument: `M-${plan.kit}`
	});
	for (const [i, slot] of ['left', 'middle', 'right'].entries())
		read(second, 15 + 2 * i, `dissolved-oxygen/${slot}`, {
			value: round(Math.max(0, truth.oxygen_mg_L * (1 - plan.oxygenDrift) + misread(0.12)), 1),
			unit: 'mg_L',
			instrument: `M-${plan.kit}`
		});
	read(second, 22, 'conductivity/main', {
		value: round(truth.conductivity_uS_cm + misread(2), 0),
		unit: 'uS_cm',
		instrument: `M-${plan.kit}`
	});
	const tube = truth.tube_cm * (1 + (first.tubeBias ?? 0)) + misread(1.5);
	const disc = read(
		first,
		25,
		'tube-depth/tube',
		tube >= 120 ? { above: 120, unit: 'cm' } : { value: round(Math.max(6, tube), 0), unit: 'cm' }
	);
	if (plan.incident === 'two-values' && 'value' in (disc.value as object))
		read(second, 25.4, 'tube-depth/tube', { value: round(Math.max(6, tube * 0.78), 0), unit: 'cm' });

	if (!high) {
		const path = 'gaugings/main';
		write(second, 30, `${path}/instrument`, `V-${plan.kit}`);
		write(second, 31, `${path}/edges/startDistance_m`, profile.start_m);
		for (const [i, v] of profile.verticals.entries()) {
			const place = `${path}/verticals/v${i + 1}`;
			const minute = 32 + 1.8 * i;
			write(second, minute, `${place}/distance_m`, v.distance_m);
			if (plan.incident === 'depth-in-dm' && i === 4) {
				const slip = write(second, minute + 0.3, `${place}/depth_m`, round(v.depth_m * 10, 1));
				write(first, minute + 1, `${place}/depth_m`, 'typed in dm', { op: 'strike', was: slip.id });
				write(second, minute + 1.2, `${place}/depth_m`, v.depth_m);
			} else write(second, minute + 0.3, `${place}/depth_m`, v.depth_m);
			write(second, minute + 1.2, `${place}/velocity_m_s`, v.velocity_m_s);
		}
		write(second, 56, `${path}/edges/endDistance_m`, profile.end_m);
	}
	if (plan.leavesGearWet) {
		write(first, 57, 'gear/nets/what', 'nets and boots, kit 1');
		write(first, 57, 'gear/nets/wetAt', at(57));
	}
	write(first, 58, 'leaving/checked', true);
	write(first, 59, 'leaving/at', at(59));
	if (plan.stopAfter_min === undefined) return entries;
	const until = new Date(plan.startedAt_ms + plan.stopAfter_min * MINUTE_ms).toISOString();
	return entries.filter((e) => e.at <= until);
}

/** How the stream looked, as far as the model knows; with a chance of its own, so that it shifts no figure. */
function asSeen(plan: VisitPlan, who: Writer, high: boolean): Entry[] {
	const { entries, write } = logbookWriter(plan, seeded(Number.parseInt(plan.id.slice(-7), 16)));
	const { tube_cm } = plan.truth;
	const said = {
		flow: high ? 'high' : 'usual',
		colour: tube_cm > 90 ? 'clear' : tube_cm > 45 ? 'tea' : 'muddy',
		surface: high ? 'waves' : 'rippled',
		foam: 'none',
		litter: plan.site.code === 'QU1' ? 'little' : 'none'
	};
	for (const [question, choice] of Object.entries(said)) write(who, 4, `conditions/${question}`, choice);
	return entries;
}

/** What the bench adds: when the bottles came, and days later what was found in them. */
export function benchEntries(
	plan: VisitPlan,
	bench: Writer,
	arrived_ms: number,
	now_ms: number,
	chance: Chance
): Entry[] {
	if (plan.incident === 'ice') return [];
	const { entries, write } = logbookWriter(plan, chance);
	const minute = (at_ms: number) => (at_ms - plan.startedAt_ms) / MINUTE_ms;
	if (arrived_ms > now_ms) return [];
	for (const bottle of ['bacteria', 'nutrients'])
		write(bench, minute(arrived_ms), `bottles/${bottle}/atLabAt`, new Date(arrived_ms).toISOString());
	const plated_ms = arrived_ms + PLATED_AFTER_ms;
	if (plated_ms <= now_ms)
		write(bench, minute(plated_ms), 'bottles/bacteria/platedAt', new Date(plated_ms).toISOString());
	const found_ms = arrived_ms + 3 * 86_400_000;
	if (found_ms > now_ms) return entries;
	const colonies = Math.round(plan.truth.eColi_cfu_100mL);
	write(
		bench,
		minute(found_ms),
		'bottles/bacteria/results/e-coli',
		colonies < 10
			? { below: 10, unit: 'cfu_100mL' }
			: colonies > 24_000
				? { above: 24_000, unit: 'cfu_100mL' }
				: { value: Number(colonies.toPrecision(2)), unit: 'cfu_100mL' }
	);
	const nitrite = plan.truth.nitrite_mg_L_N;
	write(
		bench,
		minute(found_ms) + 1,
		'bottles/nutrients/results/nitrite',
		nitrite < 0.01 ? { below: 0.01, unit: 'mg_L_N' } : { value: round(nitrite, 3), unit: 'mg_L_N' }
	);
	return entries;
}
