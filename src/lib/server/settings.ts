import { z } from 'zod';

/* Everything that the environment decides; all else is in the database. */

const Environment = z.object({
	DATABASE_URL: z.url({
		protocol: /^postgres(ql)?$/,
		error: 'DATABASE_URL must be the address of a PostgreSQL database'
	}),
	KEEN_RIFFLE_SECRET: z
		.string({ error: 'KEEN_RIFFLE_SECRET must be set' })
		.min(32, 'KEEN_RIFFLE_SECRET must have 32 letters or more'),
	ORIGIN: z.url({ error: 'ORIGIN must be the address in the browser bar, such as https://streams.example.org' }),
	KEEN_RIFFLE_NOW: z.iso
		.datetime({ error: 'KEEN_RIFFLE_NOW must be an instant such as 2026-05-14T11:20:00Z' })
		.optional(),
	KEEN_RIFFLE_LOG: z.enum(['silent', 'error', 'warn', 'info', 'debug']).default('info')
});
export type Settings = z.infer<typeof Environment>;

let read: Settings | null = null;

/** The environment, checked once. Throws with every setting that is missing or wrong. */
export function settings(): Settings {
	if (read) return read;
	const parsed = Environment.safeParse(process.env);
	if (!parsed.success)
		throw new TypeError(
			`The application cannot start:\n${parsed.error.issues.map((i) => `- ${i.message}`).join('\n')}`
		);
	return (read = parsed.data);
}

/** The server's clock: fixed where the environment says so (demo, tests, screenshots). */
export const serverNow_ms = (): number =>
	settings().KEEN_RIFFLE_NOW ? Date.parse(settings().KEEN_RIFFLE_NOW!) : Date.now();

export const isClockFixed = (): boolean => settings().KEEN_RIFFLE_NOW !== undefined;
