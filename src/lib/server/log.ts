import pino from 'pino';

/** The server's log. Cookies and authorisation never reach it, nor what a failed query carried. */
export const log = pino({
	level: process.env['KEEN_RIFFLE_LOG'] ?? 'info',
	redact: ['req.headers.cookie', 'req.headers.authorization'],
	serializers: { err: told }
});

interface Told {
	type: string;
	message: string;
	code?: string;
	stack?: string;
	cause?: Told;
}

/** An error without the values of its query: those are tokens, names, what people wrote. */
export function told(error: unknown): unknown {
	if (!(error instanceof Error)) return error;
	const isQuery = 'params' in error || 'query' in error || error.message.startsWith('Failed query');
	const { code } = error as { code?: unknown };
	// what the database says of a value quotes it
	const plain = 'severity' in error ? `the database refused it with ${String(code)}` : error.message;
	const message = isQuery ? 'a query failed' : plain;
	const frames = error.stack?.split('\n').filter((line) => /^\s+at /.test(line));
	return {
		type: error.name,
		message,
		...(typeof code === 'string' ? { code } : {}),
		...(frames ? { stack: frames.join('\n') } : {}),
		...(error.cause instanceof Error ? { cause: told(error.cause) as Told } : {})
	};
}

/**
 * What a library has to tell, in the same log under the same rules: its errors carry the query and the token that
 * failed.
 */
export const libraryTold = (level: 'debug' | 'info' | 'warn' | 'error', message: string, ...more: unknown[]): void =>
	log[level]({ told: more.map((m) => (typeof m === 'string' ? withoutQuery(m) : told(m))) }, withoutQuery(message));

const withoutQuery = (words: string) => (/failed query/i.test(words) ? 'a query failed' : words);
