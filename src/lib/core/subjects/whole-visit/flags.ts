import type { ParameterCode, Way } from '../../quantity';
import { asWritten, parameterOf, writeNumber } from '../../quantity';
import { saySure, sayValue, wayWords, type Limits95 } from '../../wording';
import type { Figure } from '../../quantity';
import { doubtKind } from '../flag';
import { lower, nameOf, type SaidIn } from '../say';

/** A figure with how sure it is and how it was found. */
export interface Told {
	figure: Figure;
	uncertainty: number | null;
	limits: Limits95 | null;
	way: Way;
}
const told = ({ figure, uncertainty, limits, way }: Told, code: ParameterCode, { shown, own }: SaidIn) => {
	const { decimals } = parameterOf(code, own);
	return `${saySure(figure, uncertainty, decimals, shown?.[code], limits, way).figure} by ${wayWords[way]}`;
};

/** Two moments of one thing, the first of which must come before. */
export const momentPairs = {
	'bottle-filled-ice': ['the time of filling', 'the time on ice'],
	'bottle-filled-lab': ['the time of filling', 'the time at the lab'],
	'bottle-ice-lab': ['the time on ice', 'the time at the lab'],
	'titration-fixed-acid': ['the fixing', 'the acid'],
	'visit-arrived-left': ['the arrival', 'the leaving']
} as const satisfies Record<string, readonly [string, string]>;

export const wholeVisitFlags = {
	'out-of-order': doubtKind<{ first: string; then: string; because: string }>(
		'ask',
		(e) => `${e.then} was done before ${lower(e.first)}. ${e.because}`
	),
	'time-order': doubtKind<{ thing: 'bottle' | 'visit'; label: string; moments: keyof typeof momentPairs }>(
		'ask',
		(e) => {
			const [first, then] = momentPairs[e.moments];
			const what = e.thing === 'visit' ? 'The visit' : `Bottle ${e.label}`;
			return (
				`${what}: ${then} comes before ${first}, which cannot be. Strike the time that is wrong; the clock of ` +
				'the phone may have jumped.'
			);
		}
	),
	'ways-apart': doubtKind<{ parameter: ParameterCode; reported: Told; other: Told; guessed_percent: number }>(
		'ask',
		(e, said) =>
			`${nameOf(e.parameter, said)}: ${told(e.reported, e.parameter, said)}, ${told(e.other, e.parameter, said)}; ` +
			'they lie further apart than both are ' +
			`sure${e.guessed_percent > 0 ? ` (± ${writeNumber(e.guessed_percent)} % where nobody said how sure one is)` : ''}. ` +
			'Both are kept, the first is reported. Do one of them again, or say which is wrong.'
	),
	'two-values': doubtKind<{ path: string; shown: unknown; other: unknown }>(
		'ask',
		(e) =>
			`Two people wrote different values here without seeing each other’s: ${sayValue(e.shown)}, and ` +
			`${sayValue(e.other)}. Both are kept; a reviewer strikes one.`
	),
	'clock-skew': doubtKind<{ device: string; minutes: number }>(
		'ask',
		(e) =>
			`The clock of device ${e.device} is ${e.minutes} min off the server’s. Times are kept as written; judge them ` +
			'with that in mind.'
	),
	'changed-since-review': doubtKind<{ parameter: ParameterCode; judged: string; now: string }>(
		'ask',
		(e, said) =>
			`${nameOf(e.parameter, said)} was ${asWritten(e.judged)} when it was reviewed and is now ` +
			`${asWritten(e.now)}. It waits for review again.`
	)
};
