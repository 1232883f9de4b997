import { z } from 'zod';
import { ARRIVAL, hasArrived, KnownBoxes } from '$lib/core/custody';
import { BOXES_TYPED, draftKey, keepDraft, store, untoldBy, type KeptBoxWord } from './store';

const Answer = z.object({
	refused: z.array(z.object({ id: z.string(), why: z.string() })),
	known: KnownBoxes
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
	await letGoOfTyped();
	if (words.length === AT_ONCE) await tellAndHear(memberId);
}

/**
 * What was typed about a box stays until it is heard that the box has left, and of its arrival until that is heard:
 * what is refused need not be typed anew.
 */
async function letGoOfTyped(): Promise<void> {
	const [told, untold] = await Promise.all([
		store.boxes.toArray(),
		store.boxWords.filter((w) => w.why === null).toArray()
	]);
	const all = told.flatMap(({ boxes }) => boxes);
	const open = [
		...all.filter((b) => b.handedOver_ms === null).map((b) => `${b.id} `),
		...all.filter((b) => b.handedOver_ms !== null && !hasArrived(b)).map((b) => `${b.id} ${ARRIVAL} `),
		...untold.map((w) => `${w.word.box} `)
	].map((start) => draftKey(BOXES_TYPED, start));
	const typed = await store.drafts.where('key').startsWith(draftKey(BOXES_TYPED, '')).primaryKeys();
	const over = typed.filter((key) => !open.some((start) => key.startsWith(start)));
	await Promise.all(over.map((key) => keepDraft(key, '')));
}

/** Who may not pack boxes any more keeps what was done, with the reason. */
async function refuse(words: readonly KeptBoxWord[], answer: unknown): Promise<void> {
	const said = Refusal.safeParse(answer);
	const why = said.success ? said.data.message : 'Boxes are not yours to pack any more.';
	await store.boxWords.bulkPut(words.map((w) => ({ ...w, why })));
}
