import { z } from 'zod';
import { packing } from '$lib/core/custody';
import { bottleKinds, preservatives } from '$lib/core/subjects/bottle/branch';
import { store, untoldBy, type KeptBoxWord } from './store';

const Bottle = z.object({
	visitId: z.string(),
	id: z.string(),
	site: z.string(),
	label: z.string().nullable(),
	kind: z.enum(bottleKinds),
	filledAt: z.string().nullable(),
	asked: z.enum(preservatives).nullable(),
	preserved: z.enum(preservatives).nullable(),
	isFilterAsked: z.boolean(),
	filteredAt: z.string().nullable(),
	onIceAt: z.string().nullable(),
	keeps_h: z.number(),
	isReported: z.boolean()
});
const KnownBox = z.object({
	id: z.string(),
	code: z.string().nullable(),
	labId: z.string(),
	lab: z.string(),
	packed: z.array(z.enum(packing)),
	courier: z.string(),
	seal: z.string(),
	handedOver_ms: z.number().nullable(),
	expected_ms: z.number().nullable(),
	bottles: z.array(Bottle)
});
const Stretch = z.object({
	pickUp_ms: z.number(),
	arrives_ms: z.number(),
	by_ms: z.number(),
	stands: z.enum(['weekend', 'shut']).nullable()
});
const Lab = z.object({
	id: z.string(),
	name: z.string(),
	analyses: z.array(z.string()),
	journeys: z.array(Stretch.extend({ isToday: z.boolean(), better: Stretch.nullable() }))
});
const Answer = z.object({
	refused: z.array(z.object({ id: z.string(), why: z.string() })),
	known: z.object({ boxes: z.array(KnownBox), waiting: z.array(Bottle), labs: z.array(Lab) })
});
const Refusal = z.object({ message: z.string() });

const AT_ONCE = 200;

let underWay: Promise<void> = Promise.resolve();

/**
 * Tells what was done to boxes, in its order, and takes how they stand. One exchange at a time: two under way could
 * arrive in the other order. With no network it throws, and is tried again.
 */
export function exchangeBoxes(memberId: string): Promise<void> {
	underWay = underWay.catch(() => undefined).then(() => tellAndHear(memberId));
	return underWay;
}

async function tellAndHear(memberId: string): Promise<void> {
	// the lines of the bottles go first: of a bottle that the server does not know it could only say that it is gone
	const lines = await store.entries.where('[state+by]').equals(['kept', memberId]).count();
	const words = lines > 0 ? [] : (await untoldBy(memberId).sortBy('id')).slice(0, AT_ONCE);
	const response = await fetch('/api/boxes', {
		method: 'POST',
		headers: { 'content-type': 'application/json' },
		body: JSON.stringify({ words: words.map((w) => w.word) })
	});
	if (response.status === 403) return refuse(words, await response.json().catch(() => null));
	if (!response.ok) throw new Error(`/api/boxes answered ${response.status}`);
	const { refused, known } = Answer.parse(await response.json());
	const why = new Map(refused.map((r) => [r.id, r.why]));
	await store.transaction('rw', store.boxes, store.boxWords, async () => {
		await store.boxWords.bulkDelete(words.map((w) => w.id));
		await store.boxWords.bulkPut(words.flatMap((w) => (why.has(w.id) ? [{ ...w, why: why.get(w.id)! }] : [])));
		await store.boxes.put({ ...known, memberId });
	});
	if (words.length === AT_ONCE) await tellAndHear(memberId);
}

/** Who may not pack boxes any more keeps what was done, with the reason. */
async function refuse(words: readonly KeptBoxWord[], answer: unknown): Promise<void> {
	const said = Refusal.safeParse(answer);
	const why = said.success ? said.data.message : 'Boxes are not yours to pack any more.';
	await store.boxWords.bulkPut(words.map((w) => ({ ...w, why })));
}
