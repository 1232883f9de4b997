import type { LabDeadline } from '../../custody';
import { sayTime, capitalised } from '../../wording';

type Deadline = Pick<LabDeadline, 'because' | 'lab' | 'first' | 'isShut'>;

/** By when a bottle must be at the lab and why, in one sentence; the same on the phone, on Today and on paper. */
export function sayDeadline(deadline: Deadline | null | undefined, last_ms: number, timeZone: string): string {
	const where = deadline?.lab ?? 'the lab';
	if (deadline?.isShut)
		return (
			`${capitalised(where)} takes no bottles before its limit is over at ${sayTime(last_ms, timeZone)}: find ` +
			'another lab now.'
		);
	return `At ${where} by ${sayTime(last_ms, timeZone)}: ${sayReason(deadline)}.`;
}

function sayReason(deadline: Deadline | null | undefined): string {
	if (deadline?.because === 'closing') return 'it closes then';
	return deadline?.because === 'first'
		? `the limit counts from ${deadline.first}, the first bottle of the trip`
		: 'its limit ends then';
}
