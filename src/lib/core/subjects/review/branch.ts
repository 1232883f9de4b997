import { z } from 'zod';
import { leaf, SourceId, Text } from '../../leaf';
import { ParameterCode } from '../../quantity';

export const verdictKinds = ['accept', 'qualify', 'reject'] as const;
/** A reviewer's word on one result. `judged` is the figure as it stood, so that a later change is noticed. */
export const Verdict = z
	.strictObject({
		verdict: z.enum(verdictKinds, { error: 'accept, qualify or reject' }),
		reason: Text.max(500, 'at most 500 letters'),
		judged: z.string().max(120)
	})
	.refine((v) => v.verdict === 'accept' || v.reason.trim() !== '', {
		error: 'to qualify or reject needs a reason',
		path: ['reason']
	});
export type Verdict = z.infer<typeof Verdict>;

/** Which determination of a parameter a reviewer wants reported, by where in the sheet it comes from. */
export const Choice = z.strictObject({
	from: SourceId,
	reason: Text.trim().min(1, 'say why this one').max(500, 'at most 500 letters')
});

/** As it was once: the word on whichever figure of the parameter was reported then. */
export const reviews = z.partialRecord(ParameterCode, leaf(Verdict)).optional();
/** The word on each determination, by where in the sheet it comes from. */
export const verdicts = z.partialRecord(ParameterCode, z.record(SourceId, leaf(Verdict))).optional();
export const reported = z.partialRecord(ParameterCode, leaf(Choice)).optional();

export const ofReviewer = /^(reviews|verdicts|reported)\//;
