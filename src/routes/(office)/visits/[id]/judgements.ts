import { z } from 'zod';
import { SourceId } from '$lib/core/leaf';
import { ParameterCode } from '$lib/core/quantity';
import { verdictKinds } from '$lib/core/subjects/review/branch';

/* The table of a visit's results as a form: a row's fields carry its number, so that all are sent at once. */

const MOST_ROWS = 500;

/** What was said in a row, as it was typed. */
export interface Typed {
	at: string;
	verdict: string;
	reason: string;
	why: string;
}

const Judged = z
	.object({
		parameter: ParameterCode,
		from: SourceId,
		verdict: z.enum([...verdictKinds, 'report'], { error: 'Say accept, qualify, reject or report.' }),
		reason: z.string().trim().max(500, 'At most 500 letters.'),
		judged: z.string().max(120)
	})
	.refine((j) => j.verdict === 'accept' || j.reason !== '', {
		error: ({ input }) =>
			(input as { verdict: string }).verdict === 'report'
				? 'Say why this one is reported instead.'
				: 'To qualify or reject needs a reason, so that the crew learns what was wrong.'
	});

/** The rows in which something was said; and as they were typed, with what is wrong in each. */
export function readJudgements(form: FormData): { said: z.output<typeof Judged>[]; typed: Typed[] } {
	const text = (name: string) => {
		const value = form.get(name);
		return typeof value === 'string' ? value : '';
	};
	const said: z.output<typeof Judged>[] = [];
	const typed: Typed[] = [];
	for (let row = 0; row < MOST_ROWS && form.has(`parameter.${row}`); row++) {
		const given = Object.fromEntries(
			['parameter', 'from', 'verdict', 'reason', 'judged'].map((name) => [name, text(`${name}.${row}`)])
		) as Record<'parameter' | 'from' | 'verdict' | 'reason' | 'judged', string>;
		if (given.verdict === '') continue;
		const read = Judged.safeParse(given);
		if (read.success) said.push(read.data);
		typed.push({
			at: `${given.parameter} ${given.from}`,
			verdict: given.verdict,
			reason: given.reason,
			why: read.success ? '' : read.error.issues.map((i) => i.message).join(' ')
		});
	}
	return { said, typed };
}
