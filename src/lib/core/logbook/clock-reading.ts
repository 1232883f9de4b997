import { z } from 'zod';
import { isInstant } from './clock';
import { isOfThisCentury } from '../leaf';

/** A hybrid clock's reading as it comes from outside. */
export const ClockReading = z
	.string({ error: 'a clock reading is needed' })
	.regex(
		/^\d{4}-\d\d-\d\dT\d\d:\d\d:\d\d\.\d{3}Z-[0-9a-f]{4}$/,
		'a clock reading is like 2026-05-14T11:20:03.123Z-0000'
	)
	.refine(isInstant, 'a clock reading needs a date that exists')
	.refine(isOfThisCentury, 'a clock reading lies between the years 2000 and 2100');
