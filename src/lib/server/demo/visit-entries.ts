import type { Entry } from '../../core/logbook';
import type { Figure } from '../../core/quantity';
import { seeded, type Chance } from '../../core/statistics';
import { logbookWriter, type VisitPlan, type Writer } from './logbook-writer';
import { arrival } from './scripts/arrival';
import { bottle } from './scripts/bottle';
import { form } from './scripts/form';
import { gauging } from './scripts/gauging';
import { leaving } from './scripts/leaving';
import { reading } from './scripts/reading';
import type { Script } from './scripts/script';
import { staffGauge } from './scripts/staff-gauge';
import { tube } from './scripts/tube';
import { profileFor, round } from './water-model';

const MINUTE_ms = 60_000;
const PLATED_AFTER_ms = 15 * MINUTE_ms;

/** What is done at a visit, a line for each subject; chance is drawn in this order. */
const scripts: readonly ((script: Script) => void)[] = [arrival, bottle, reading, tube, gauging, leaving];
/** Each of these has a chance of its own, so that it shifts no other figure. */
const ownScripts: readonly ((script: Script) => void)[] = [form, staffGauge];

/** The logbook of one visit as its crew would have written it, slips and strikes among it. */
export function visitEntries(plan: VisitPlan, chance: Chance): Entry[] {
	const { entries, write } = logbookWriter(plan, chance);
	write(plan.crew[0], 0, 'opening', {
		siteId: plan.site.id,
		cardVersionId: plan.cardVersion.id,
		roundId: plan.roundId,
		startedAt: new Date(plan.startedAt_ms).toISOString()
	});
	const script = scriptOf(plan, write, chance);
	if (plan.incident === 'ice') {
		arrival(script);
		write(plan.crew[0], 6, 'leaving/at', script.at(6));
		return entries;
	}
	for (const act of scripts) act(script);
	ownScripts.forEach((act, i) => {
		const own = seeded(Number.parseInt(plan.id.slice(-7), 16) + i);
		const writer = logbookWriter(plan, own);
		act(scriptOf(plan, writer.write, own));
		entries.push(...writer.entries);
	});
	if (plan.stopAfter_min === undefined) return entries;
	const until = script.at(plan.stopAfter_min);
	return entries.filter((e) => e.at <= until);
}

function scriptOf(plan: VisitPlan, write: Script['write'], chance: Chance): Script {
	const [first, second] = plan.crew;
	let profile: Script['profile'] | undefined;
	return {
		plan,
		first,
		second,
		write,
		read: (by, minute, path, figure) => write(by, minute, `readings/${path}`, figure),
		at: (minute) => new Date(plan.startedAt_ms + minute * MINUTE_ms).toISOString(),
		misread: (sd) => sd * chance.normal(),
		isHigh: plan.truth.storm > HIGH_STORM,
		/** Drawn when it is first asked for. */
		get profile() {
			profile ??= profileFor(plan.truth.discharge_m3_s, 11 + Math.floor(4 * chance.uniform()), chance);
			return profile;
		}
	};
}

/** A storm after which the stream is too high to wade. */
const HIGH_STORM = 2.4;

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
	write(bench, minute(found_ms), 'bottles/bacteria/results/e-coli', asTheLabWrites(colonies));
	const nitrite = plan.truth.nitrite_mg_L_N;
	write(
		bench,
		minute(found_ms) + 1,
		'bottles/nutrients/results/nitrite',
		nitrite < 0.01 ? { below: 0.01, unit: 'mg_L_N' } : { value: round(nitrite, 3), unit: 'mg_L_N' }
	);
	return entries;
}

/** A count of bacteria as it comes back: in two digits, and only within what the lab counts. */
function asTheLabWrites(colonies: number): Figure {
	if (colonies < 10) return { below: 10, unit: 'cfu_100mL' };
	if (colonies > 24_000) return { above: 24_000, unit: 'cfu_100mL' };
	return { value: Number(colonies.toPrecision(2)), unit: 'cfu_100mL' };
}
