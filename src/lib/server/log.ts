import pino from 'pino';

/** The server's log. Cookies and authorisation never reach it. */
export const log = pino({
	level: process.env['KEEN_RIFFLE_LOG'] ?? 'info',
	redact: ['req.headers.cookie', 'req.headers.authorization']
});
