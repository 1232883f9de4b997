import { volumeFor } from '../../core/bacteria';
import { labelCode } from '../../core/custody';
import type { Entry } from '../../core/logbook';
import { limitsOf } from '../../core/method';
import { seeded } from '../../core/statistics';
import { logbookWriter, type VisitPlan, type Writer } from './logbook-writer';

/*
 * Bottles of which the bench poured two plates before the rest went to the lab: a comparison that the program has made
 * at one site for two years, with a bias to be found in it.
 */

const MINUTE_ms = 60_000;
const DAY_ms = 86_400_000;
const SITE = 'TE5';
/** Between so many days before now. */
const SPLIT_days = [40, 40 + 25 * 30] as const;
/** The plates stand a little too cold, and what is no colony of E. coli is counted with them. */
const READS_HIGH = 1.18;
/** What else differs between two halves of one bottle, as a share. */
const SPLIT_SCATTER = 0.16;
const PLATES = 2;
/** Nitrite that is found where there should be none. */
const BLANK_mg_L_N = 0.003;
const BLANK_SCATTER_mg_L_N = 0.0012;

export function splitSample(plan: VisitPlan, bench: Writer, arrived_ms: number, now_ms: number): Entry[] {
	const daysAgo = (now_ms - plan.startedAt_ms) / DAY_ms;
	const isSplit = plan.site.code === SITE && daysAgo > SPLIT_days[0] && daysAgo < SPLIT_days[1];
	if (!isSplit || plan.incident === 'ice' || arrived_ms > now_ms) return [];
	const chance = seeded(Number.parseInt(plan.id.slice(-6), 16));
	const { entries, write } = logbookWriter(plan, chance);
	const limits = limitsOf(plan.cardVersion.card);
	const minute = (at_ms: number) => (at_ms - plan.startedAt_ms) / MINUTE_ms;
	const truth = plan.truth.eColi_cfu_100mL;
	const { volume_mL } = volumeFor({ expectedPer100mL: Math.max(1, truth), ...limits });
	const half = READS_HIGH * truth * Math.exp(SPLIT_SCATTER * chance.normal());
	const poured_ms = arrived_ms + 20 * MINUTE_ms;
	const read_ms = poured_ms + (limits.plateReadable_h + 4) * 60 * MINUTE_ms;
	for (let n = 1; n <= PLATES; n++) {
		const plate = `plates/split-${n}`;
		const expected = (half * volume_mL) / 100;
		const at = minute(poured_ms) + n;
		write(bench, at, `${plate}/bottle`, 'bacteria');
		write(bench, at, `${plate}/volume_mL`, volume_mL);
		write(bench, at, `${plate}/pouredAt`, new Date(poured_ms).toISOString());
		write(
			bench,
			minute(read_ms) + n,
			`${plate}/count`,
			Math.max(0, Math.round(expected + Math.sqrt(expected) * chance.normal()))
		);
		write(bench, minute(read_ms) + n, `${plate}/state`, 'counted');
		write(bench, minute(read_ms) + n, `${plate}/readAt`, new Date(read_ms).toISOString());
	}
	// a blank that went the same way
	const [crew] = plan.crew;
	const blank = 'bottles/nutrients-blank';
	write(crew, minute(arrived_ms), `${blank}/kind`, 'nutrients');
	write(crew, minute(arrived_ms), `${blank}/role`, 'blank');
	write(crew, minute(arrived_ms), `${blank}/label`, labelCode(SITE, isoDate(plan.startedAt_ms), 'nutrients', 'blank'));
	const found = Math.max(0, BLANK_mg_L_N + BLANK_SCATTER_mg_L_N * chance.normal());
	write(bench, minute(read_ms), `${blank}/results/nitrite`, { value: Number(found.toFixed(4)), unit: 'mg_L_N' });
	return entries;
}

const isoDate = (at_ms: number): string => new Date(at_ms).toISOString().slice(0, 10);
