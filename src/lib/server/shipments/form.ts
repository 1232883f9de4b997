import { z } from 'zod';
import { packing } from '../../core/custody';
import { SheetId, temperature_C } from '../../core/leaf';
import { readPlain } from '../../core/quantity';
import { minuteOfClock } from '../../core/wording';
import { dayOfDate, instantAt } from '../plan/local-day';
import type { Place } from './shipments';

/* What the pages of boxes send, held against what is expected of it. */

const STRANGE = 'This bottle is not one of the program’s. Load the page again.';
/** A bottle as a checkbox names it: its visit and its id in the visit's sheet. */
const Bottle = z
	.string(STRANGE)
	.transform((text): Place => {
		const [visitId = '', id = ''] = text.split('/');
		return { visitId, id };
	})
	.pipe(z.object({ visitId: z.uuid(STRANGE), id: SheetId }));
const Bottles = z.array(Bottle).min(1, 'Choose the bottles that go into it.').max(500, 'At most 500 bottles at once.');

export const chosenBottles = (form: FormData): FormDataEntryValue[] => form.getAll('bottle');
export const Started = z.object({ labId: z.uuid('Say which lab the bottles go to.'), bottles: Bottles });
export const PutIn = z.object({ bottles: Bottles });
export const TakenOut = z.object({ bottle: Bottle });
/** One step of packing: sent by itself, so that quick ticks do not undo each other. */
export const Packed = z.object({
	step: z.enum(packing, 'This is not a step of packing. Load the page again.'),
	isDone: z
		.literal('on')
		.optional()
		.transform((on) => on === 'on')
});

/** A day and a time of day in the program's time zone, as the browser's own control writes them. */
const LocalTime = z
	.string('Say when.')
	.regex(/^\d{4}-\d\d-\d\dT\d\d:\d\d$/, 'Say the day and the time, such as 14.05.2026 14:30.')
	.refine((text) => !Number.isNaN(Date.parse(`${text}Z`)), 'There is no such day.')
	.transform((text) => ({ day: dayOfDate(text.slice(0, 10)), minute: minuteOfClock(text.slice(11))! }));
export const instantIn = ({ day, minute }: z.output<typeof LocalTime>, timeZone: string): number =>
	instantAt(day, minute, timeZone);

const Name = (missing: string) => z.string(missing).trim().min(1, missing).max(60, 'At most 60 letters.');

export const HandedOver = z.object({
	at: LocalTime,
	courier: Name('Say who takes it.'),
	seal: z.string().trim().max(60, 'A seal’s number has at most 60 letters.').default('')
});
export const Arrived = z.object({
	at: LocalTime,
	temperature_C: z
		.string()
		.trim()
		.refine((text) => text === '' || readPlain(text) !== null, 'The temperature is a number, or nothing.')
		.transform((text) => (text === '' ? null : readPlain(text)))
		.pipe(temperature_C.nullable())
});
