import { stringify } from 'csv-stringify/sync';
import { v7 } from 'uuid';
import type { KnownBottle } from '../../core/lab-report';
import { seeded } from '../../core/statistics';
import type { Db } from '../db/connect';
import { labReport } from '../db/schema';
import { labelledBottles } from '../lab/bottles';
import { labsOf } from '../lab/reports';
import { OUTSIDE_LAB } from './plan';

/*
 * A stand-in for a laboratory outside the program: it takes some days, writes by its own headings, names and units, and
 * makes the mistakes that laboratories make. Its figures are invented and marked so.
 */

const DAY_ms = 86_400_000;
/** The lab analysed what was filled between these days before now. */
const FILLED_days = [5, 75] as const;
const ANALYSED_AFTER_days = 6;
const SEED = 5_190;

interface Finding {
	label: string;
	filled_ms: number;
	nitrogen_mg_L: number;
}

/** Its report on nitrate and nitrite, waiting to be looked at, sent two hours ago. */
export async function reportFromOutside(tx: Db, programId: string, now_ms: number): Promise<void> {
	const lab = (await labsOf(tx, programId)).find((l) => l.name === OUTSIDE_LAB);
	if (!lab) return;
	const bottles = await labelledBottles(tx, programId, now_ms);
	await tx.insert(labReport).values({
		programId,
		id: v7(),
		labId: lab.id,
		name: 'N-2291',
		content: withMistakes(findingsIn(bottles, now_ms)),
		arrivedAt: new Date(now_ms - 2 * 3_600_000),
		isSimulated: true
	});
}

function findingsIn(bottles: readonly KnownBottle[], now_ms: number): Finding[] {
	const chance = seeded(SEED);
	const [latest, earliest] = FILLED_days.map((days) => now_ms - days * DAY_ms) as [number, number];
	const times = (label: string) => bottles.filter((b) => b.label === label).length;
	return bottles
		.filter(({ id, label, filledAt }) => {
			const filled_ms = filledAt === null ? 0 : Date.parse(filledAt);
			return id === 'nutrients' && filled_ms > earliest && filled_ms < latest && times(label) === 1;
		})
		.sort((a, b) => a.label.localeCompare(b.label))
		.map(({ label, filledAt }) => ({
			label,
			filled_ms: Date.parse(filledAt!),
			nitrogen_mg_L: 1.4 + 2.2 * chance.uniform() + 0.1 * chance.normal()
		}));
}

const headings = ['Client ref', 'Determinand', 'Finding', 'In', 'LOQ', 'U (k=2)', 'Date analysed', 'Technique'];

/**
 * A label misread, a unit that is a thousandfold off, a row twice, a bottle of somebody else's, one that is missing.
 */
function withMistakes(findings: readonly Finding[]): string {
	const rows = findings.map(({ label, filled_ms, nitrogen_mg_L }, i) => {
		const isMisread = i === 1;
		const isInMicrograms = i === 3;
		const number = isInMicrograms ? (1000 * nitrogen_mg_L).toFixed(0) : nitrogen_mg_L.toFixed(2);
		return [
			isMisread ? misread(label) : label,
			'Oxidised N (NO3+NO2)',
			number,
			'mg/L N',
			'0.05',
			isInMicrograms ? (0.08 * Number(number)).toFixed(0) : (0.08 * Number(number)).toFixed(2),
			new Date(filled_ms + ANALYSED_AFTER_days * DAY_ms).toISOString().slice(0, 10),
			'flow injection'
		];
	});
	const [first, ...rest] = rows;
	if (!first) return stringify([headings]);
	const foreign = first.with(0, 'WQ-77-0041');
	return stringify([headings, first, ...rest.slice(0, -1), first, foreign], { delimiter: ';' });
}

/** The last two digits of its month change places. */
const misread = (label: string): string => label.replace(/(\d)(\d)-N$/, '$2$1-N');
