import { z } from 'zod';
import { readPlain } from '../quantity';

const optional = <T extends z.ZodType>(number: T) =>
	z
		.literal('')
		.transform(() => undefined)
		.or(number)
		.optional();

/** A number as people type it, with a point or a comma; `what` begins the sentence that says what is wrong. */
const typed = (what: string, { least = -Infinity, most = Infinity, why = '' } = {}) =>
	z
		.string({ error: `${what}: type a number.` })
		.transform(readPlain)
		.pipe(z.number({ error: `${what}: type a number.` }))
		.refine((n) => n >= least && n <= most, why || `${what} lies between ${least} and ${most}.`);

const pressure = { least: 40, most: 115, why: 'The pressure of the station, in kPa: 40 to 115.' };

const sleeve = z
	.object({
		way: z.literal('sleeve'),
		/** What the meter calls 100 %: air at sea level, or the air where it is. */
		percentOf: z.enum(['sea-level', 'local'], { error: 'Say which percent the meter shows.' }),
		reading_percent: typed('The reading', { least: 0, most: 200 }),
		temperature_C: typed('The temperature', { least: -2, most: 45 }),
		pressure_kPa: optional(typed('The pressure', pressure)),
		elevation_m: optional(typed('The height', { least: -430, most: 9000 })),
		settled_min: typed('The minutes in the sleeve', { least: 0, most: 1440 })
	})
	.refine((at) => at.percentOf === 'local' || at.pressure_kPa !== undefined || at.elevation_m !== undefined, {
		path: ['pressure_kPa'],
		error: 'Type the pressure here, or the height of this place: what the probe should read follows from it.'
	});
const standard = z.object({
	way: z.literal('standard'),
	standard: typed('The standard', { least: Number.MIN_VALUE, why: 'The standard is more than 0.' }),
	reading: typed('The reading', { least: 0, why: 'The reading is 0 or more.' })
});
const thermometer = z.object({
	way: z.literal('thermometer'),
	reading_C: typed('The reading', { least: -40, most: 60 }),
	other_C: typed('The other thermometer', { least: -40, most: 60 })
});
const buffers = z.object({
	way: z.literal('buffers'),
	low: typed('The buffer near 4', { least: -2, most: 16 }),
	middle: typed('The buffer near 7', { least: -2, most: 16 }),
	high: optional(typed('The buffer near 10', { least: -2, most: 16 }))
});

/** What is typed at a calibration, by how the parameter is calibrated: texts in, numbers out. */
export const Calibrated = z.discriminatedUnion('way', [sleeve, standard, thermometer, buffers]);
export type Calibrated = z.output<typeof Calibrated>;

const shapes = { sleeve, standard, thermometer, buffers };

/** The form of one way: its texts, each with what is wrong in it said at its field. */
export function calibrationForm(way: Calibrated['way']) {
	const names = Object.keys(shapes[way].shape).filter((name) => name !== 'way');
	return z.object(Object.fromEntries(names.map((name) => [name, z.string().max(40).default('')]))).check((c) => {
		const read = Calibrated.safeParse({ way, ...c.value });
		for (const { message, path } of read.error?.issues ?? [])
			c.issues.push({ code: 'custom', message, path: [...path], input: c.value });
	});
}
