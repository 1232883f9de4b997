import { and, eq, sql } from 'drizzle-orm';
import { v7 } from 'uuid';
import { z } from 'zod';
import { pressureFromElevation } from '../../core/oxygen';
import { checkBuffers, checkSleeve, checkStandard, checkThermometer } from '../../core/quality';
import { isKnownCode, isOwnCode, isParameterCode, parameterOf, units, type KnownCode } from '../../core/quantity';
import type { Member } from '../access';
import type { Db } from '../db/connect';
import { knownParameters } from '../db/queries/own-parameters';
import { calibration, instrument } from '../db/schema';

const number = (what: string) => z.coerce.number({ error: `${what}: type a number.` });
const optional = (what: string) =>
	z.preprocess((v) => (v === '' || v == null ? undefined : v), number(what).optional());

/** What is typed at a calibration, by how the parameter is calibrated. */
export const Calibrated = z.discriminatedUnion('way', [
	z.object({
		way: z.literal('sleeve'),
		/** What the meter calls 100 %: air at sea level, or the air where it is. */
		percentOf: z.enum(['sea-level', 'local'], { error: 'Say which percent the meter shows.' }).default('sea-level'),
		reading_percent: number('The reading').min(0).max(200, 'A reading over 200 % is not possible.'),
		temperature_C: number('The temperature').min(-2, 'Too cold for this check.').max(45, 'Too hot for this check.'),
		pressure_kPa: optional('The pressure').pipe(
			z
				.number()
				.min(40, 'The pressure of the station, in kPa: 40 to 115.')
				.max(115, 'The pressure of the station, in kPa: 40 to 115.')
				.optional()
		),
		elevation_m: optional('The height').pipe(z.number().min(-430).max(9000).optional()),
		settled_min: number('Minutes in the sleeve').min(0)
	}),
	z.object({
		way: z.literal('standard'),
		reading: number('The reading').min(0),
		standard: number('The standard').positive('The standard is more than 0.')
	}),
	z.object({
		way: z.literal('thermometer'),
		reading_C: number('The reading').min(-40).max(60),
		other_C: number('The other thermometer').min(-40).max(60)
	}),
	z.object({
		way: z.literal('buffers'),
		low: number('The buffer near 4'),
		middle: number('The buffer near 7'),
		high: optional('The buffer near 10').pipe(z.number().optional())
	})
]);
export type Calibrated = z.infer<typeof Calibrated>;

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
	const { rows } = await db.execute<{ parameter: string; at: Date; passed: boolean; note: string }>(sql`
		select distinct on (parameter) parameter, at, passed, note from calibration
		where program_id = ${programId} and instrument_id = ${tool.id} order by parameter, at desc, id desc`);
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
	if (
		typed.way === 'sleeve' &&
		typed.percentOf === 'sea-level' &&
		typed.pressure_kPa === undefined &&
		typed.elevation_m === undefined
	)
		return {
			ok: false,
			why: 'Type the pressure here, or the height of this place: what the probe should read follows from it.'
		};
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
const signed = (n: number, digits: number): string => `${n < 0 ? '−' : '+'}${Math.abs(n).toFixed(digits)}`;

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
			const off = `reads ${typed.reading_percent} %, should read ${check.expected_percent.toFixed(1)} % here (${signed(check.offBy_percent, 1)})`;
			return {
				passed: check.passed,
				said: check.isSettled ? off : `${off}; only ${typed.settled_min.toFixed(0)} minutes in the sleeve`
			};
		}
		case 'standard': {
			const check = checkStandard(typed);
			return {
				passed: check.passed,
				said: `reads ${typed.reading} in a standard of ${typed.standard} (${signed(check.offBy_percent, 1)} %)`
			};
		}
		case 'thermometer': {
			const check = checkThermometer(typed);
			return {
				passed: check.passed,
				said: `reads ${typed.reading_C} °C beside ${typed.other_C} °C (${signed(check.offBy_C, 1)})`
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
