import { and, eq, sql } from 'drizzle-orm';
import { v7 } from 'uuid';
import { z } from 'zod';
import { pressureFromElevation } from '../../core/oxygen';
import { checkBuffers, checkSleeve, checkStandard, checkThermometer, type Calibrated } from '../../core/quality';
import {
	isKnownCode,
	isOwnCode,
	isParameterCode,
	parameterOf,
	units,
	writeFixed,
	writeNumber,
	type KnownCode
} from '../../core/quantity';
import type { Member } from '../access';
import type { Db } from '../db/connect';
import { instant, rowsOf } from '../db/rows';
import { knownParameters } from '../db/queries/own-parameters';
import { calibration, instrument } from '../db/schema';

/** How each parameter is calibrated on the day. */
export const wayOf: Partial<Record<KnownCode, Calibrated['way']>> = {
	'dissolved-oxygen': 'sleeve',
	conductivity: 'standard',
	'water-temperature': 'thermometer',
	'air-temperature': 'thermometer',
	ph: 'buffers'
};

/** A parameter of the program's own is held against a standard of it; null: this one is not calibrated. */
function calibratedBy(parameter: string): Calibrated['way'] | null {
	if (isKnownCode(parameter)) return wayOf[parameter] ?? null;
	return isOwnCode(parameter) ? 'standard' : null;
}

export interface CalibrationDue {
	parameter: string;
	name: string;
	unitSymbol: string;
	way: Calibrated['way'];
	last: { at_ms: number; passed: boolean; note: string } | null;
	limit_days: number | null;
}

/** An instrument with what can be calibrated of it and when each was last; null when there is no such code. */
export async function calibrationsOf(db: Db, programId: string, code: string) {
	const [tool] = await db
		.select()
		.from(instrument)
		.where(and(eq(instrument.programId, programId), eq(instrument.code, code)));
	if (!tool) return null;
	const rows = await rowsOf(
		db,
		z.object({ parameter: z.string(), at: instant, passed: z.boolean(), note: z.string() }),
		sql`
		select distinct on (parameter) parameter, at, passed, note from calibration
		where program_id = ${programId} and instrument_id = ${tool.id} order by parameter, at desc, id desc`
	);
	const own = await knownParameters(db, programId);
	const due = Object.entries(tool.measures).flatMap(([parameter, m]): CalibrationDue[] => {
		const way = calibratedBy(parameter);
		if (way === null || !isParameterCode(parameter)) return [];
		const { name, unit } = parameterOf(parameter, own);
		const last = rows.find((r) => r.parameter === parameter);
		return [
			{
				parameter,
				name,
				unitSymbol: units[unit].symbol,
				way,
				last: last ? { at_ms: +new Date(last.at), passed: last.passed, note: last.note } : null,
				limit_days: m?.calibrationDays ?? null
			}
		];
	});
	return { id: tool.id, code: tool.code, kind: tool.kind, serialNumber: tool.serialNumber, due };
}

export type CalibrationSaid = { ok: true; passed: boolean; said: string } | { ok: false; why: string };

/** Judges what was typed and keeps it, passed or not: a probe that failed is as much worth knowing. */
export async function calibrate(
	db: Db,
	member: Member,
	instrumentId: string,
	parameter: string,
	typed: Calibrated,
	now_ms: number
): Promise<CalibrationSaid> {
	if (calibratedBy(parameter) !== typed.way) return { ok: false, why: 'This is not how that parameter is calibrated.' };
	const { passed, said } = judged(typed);
	await db.insert(calibration).values({
		programId: member.programId,
		id: v7(),
		instrumentId,
		parameter,
		at: new Date(now_ms),
		byMemberId: member.id,
		passed,
		note: said
	});
	return { ok: true, passed, said };
}

const SEA_LEVEL_kPa = 101.325;
const signed = (n: number, digits: number): string => `${n < 0 ? '−' : '+'}${writeFixed(Math.abs(n), digits)}`;

function judged(typed: Calibrated): { passed: boolean; said: string } {
	switch (typed.way) {
		case 'sleeve': {
			// a meter that shows percent of the air where it is reads 100 in it, as one that shows percent of sea
			// level does there
			const pressure_kPa =
				typed.percentOf === 'local'
					? SEA_LEVEL_kPa
					: (typed.pressure_kPa ?? pressureFromElevation({ elevation_m: typed.elevation_m! }).pressure_kPa);
			const check = checkSleeve({ ...typed, pressure_kPa });
			const off =
				`reads ${writeNumber(typed.reading_percent)} %, should read ${writeFixed(check.expected_percent, 1)} % ` +
				`here (${signed(check.offBy_percent, 1)})`;
			return {
				passed: check.passed,
				said: check.isSettled ? off : `${off}; only ${typed.settled_min.toFixed(0)} minutes in the sleeve`
			};
		}
		case 'standard': {
			const check = checkStandard(typed);
			return {
				passed: check.passed,
				said:
					`reads ${writeNumber(typed.reading)} in a standard of ${writeNumber(typed.standard)} ` +
					`(${signed(check.offBy_percent, 1)} %)`
			};
		}
		case 'thermometer': {
			const check = checkThermometer(typed);
			return {
				passed: check.passed,
				said:
					`reads ${writeNumber(typed.reading_C)} °C beside ${writeNumber(typed.other_C)} °C ` +
					`(${signed(check.offBy_C, 1)})`
			};
		}
		case 'buffers': {
			const buffers = [
				{ pH: 4, reading: typed.low },
				{ pH: 7, reading: typed.middle },
				...(typed.high === undefined ? [] : [{ pH: 10, reading: typed.high }])
			];
			const check = checkBuffers({ buffers });
			return {
				passed: check.passed,
				said: `slope ${check.slope_percent.toFixed(0)} %, off by ${signed(check.offset_pH, 2)} at pH 7`
			};
		}
	}
}
