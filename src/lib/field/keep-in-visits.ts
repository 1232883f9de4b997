import type { FieldApp } from './field-app.svelte';

/** What one deed sets in several visits: by path, for each. */
export type InVisits = readonly { visitId: string; values: Readonly<Record<string, unknown>> }[];

/** Writes what was done in one go at the bench into each of its visits. */
export async function keepInVisits(app: FieldApp, said: InVisits): Promise<void> {
	const entries = said.flatMap(({ visitId, values }) =>
		Object.entries(values).map(([path, value]) => app.hold({ visitId, path, op: 'set', value, was: null }))
	);
	await Promise.all(entries.map((entry) => app.keep(entry)));
}
