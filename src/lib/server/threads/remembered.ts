import { createHash } from 'node:crypto';
import { styleNow } from '../program-style';
import { beside } from './beside';
import type { JobName, Jobs } from './jobs';

/**
 * A job done beside the thread that serves whose last answers are remembered: who asks the same again, or asks it too,
 * waits for the same answer. For jobs whose answer follows from what is asked alone.
 */
export function rememberedBeside<N extends JobName>(name: N, most: number) {
	const found = new Map<string, Promise<Awaited<ReturnType<Jobs[N]>>>>();
	return (...asked: Parameters<Jobs[N]>): Promise<Awaited<ReturnType<Jobs[N]>>> => {
		const key = createHash('sha256')
			.update(JSON.stringify([asked, styleNow()]))
			.digest('base64');
		const known = found.get(key);
		if (known) return known;
		const answer = beside(name, ...asked);
		if (found.size >= most) found.delete(found.keys().next().value!);
		found.set(key, answer);
		answer.catch(() => found.delete(key));
		return answer;
	};
}
