import type { Sheet } from '../logbook';
import type { Flag } from '../quality';

/** A sheet that came from paper is typed in by two people, neither seeing the other's. */
export function paperFlags({ opening, copies }: Sheet): Flag[] {
	const done = Object.values(copies ?? {}).filter((c) => c.doneAt !== undefined).length;
	return opening?.isOnPaper && done === 1
		? [{ code: 'typed-once', path: 'copies', parameter: null, evidence: {} }]
		: [];
}
