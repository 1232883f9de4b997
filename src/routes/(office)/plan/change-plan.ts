import { z } from 'zod';

const Answer = z.union([
	z.object({ ok: z.literal(true), said: z.string(), audited: z.array(z.string()) }),
	z.object({ ok: z.literal(false), why: z.string() })
]);

/** Sends one change of the plan. What went wrong comes back in words; nothing is lost by it. */
export async function changePlan(change: object): Promise<z.infer<typeof Answer>> {
	try {
		const response = await fetch('/plan/change', {
			method: 'POST',
			headers: { 'content-type': 'application/json' },
			body: JSON.stringify(change)
		});
		return Answer.parse(await response.json());
	} catch {
		return { ok: false, why: 'The server did not answer. Nothing was changed; try again.' };
	}
}
