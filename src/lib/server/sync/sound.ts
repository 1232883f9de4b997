/* What a line must be before anything else is asked of it: small, flat, and of signs that every store keeps. */

/** No line that a person writes is longer; the longest are names drawn with a finger. */
export const MOST_BYTES_A_LINE = 16_384;
const DEEPEST = 8;

/**
 * Why this cannot be kept, or null. Walks without recursion: whoever sends a hundred thousand brackets stops nothing.
 */
export function whyUnsound(one: unknown): string | null {
	const open: { value: unknown; depth: number }[] = [{ value: one, depth: 0 }];
	let bytes = 0;
	for (let next = open.pop(); next !== undefined; next = open.pop()) {
		const { value, depth } = next;
		if (depth > DEEPEST) return 'it is nested deeper than any line is';
		bytes += 8;
		if (typeof value === 'string') {
			bytes += Buffer.byteLength(value);
			if (!isWritable(value)) return 'a text holds a sign that cannot be kept (NUL, or half of a letter)';
		} else if (typeof value === 'object' && value !== null)
			for (const [key, inner] of Object.entries(value)) {
				bytes += Buffer.byteLength(key);
				if (!isWritable(key)) return 'a name holds a sign that cannot be kept (NUL, or half of a letter)';
				open.push({ value: inner, depth: depth + 1 });
				if (bytes > MOST_BYTES_A_LINE) break;
			}
		if (bytes > MOST_BYTES_A_LINE) return `it is longer than ${MOST_BYTES_A_LINE / 1024} kB, which no line is`;
	}
	return null;
}

const isWritable = (text: string): boolean => !text.includes('\0') && text.isWellFormed();
