import { LEAST_BLANKS, type BlanksSay } from '../../quality';
import { significant } from '../../quantity';
import { counted } from '../../wording';

/** What the blanks of a parameter say of its small figures, and what to do with them. */
export function sayBlanks(
	{ n, below, limits }: BlanksSay,
	{ under, symbol }: { under: number; symbol: string }
): string {
	if (limits === null) {
		if (n < LEAST_BLANKS && below <= n)
			return `${counted(n, 'blank')} so far: from ${LEAST_BLANKS} on a limit can be told. Fill one on every round.`;
		return (
			'Most blanks lie under the lab’s own reporting limit: that is the limit here, and the bottles bring ' +
			'nothing in.'
		);
	}
	const least = `${significant(limits.detection, 2)} ${symbol}`;
	const share =
		under === 0
			? 'None of the figures of the lab lies under it.'
			: `${counted(under, 'figure')} of the lab ${under === 1 ? 'lies' : 'lie'} under it: they cannot be told from ` +
				'nothing.';
	return `What is found under ${least} may be nothing at all. ${share}`;
}
