import { doubt } from '../flags';
import { defineSubject } from '../subject';

/** A sheet that came from paper is typed in by two people, neither seeing the other's. */
export const paperCopy = defineSubject({
	branches: ['opening', 'copies'],
	knows: [],
	observe({ sheet: { opening, copies } }) {
		const done = Object.values(copies ?? {}).filter((c) => c.doneAt !== undefined).length;
		const isTypedOnce = opening?.isOnPaper && done === 1;
		return { flags: isTypedOnce ? [doubt('typed-once', { path: 'copies', parameter: null }, {})] : [] };
	}
});
