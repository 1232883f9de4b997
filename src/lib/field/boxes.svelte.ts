import { liveQuery } from 'dexie';
import { v7 } from 'uuid';
import { BoxWord, boxesAfter, byAge, type Boxes, type BoxWordWithout, type PackedBottle } from '$lib/core/custody';
import { asPacked, bottlesWaiting } from '$lib/core/subjects/bottle/to-send';
import { stepOfBottle } from '$lib/core/subjects/bottle/step';
import { stepsOf } from '$lib/core/subjects/steps';
import { exchangeBoxes } from './boxes-exchange';
import type { BenchVisit } from './bench-shelf.svelte';
import { BOXES_TYPED, draftKey, draftsOf, keepDraft, store, type KeptBoxes, type KeptBoxWord } from './store';
import { whileVisible } from './while-visible';

const EVERY_ms = 30_000;

/**
 * Boxes for labs as this device knows them: what the server last said, what was filled on this device and has not been
 * sent, and what was done here since. It is told once there is a network, in the order in which it was done.
 */
export class FieldBoxes {
	#known = $state.raw<KeptBoxes | null>(null);
	#words = $state.raw<KeptBoxWord[]>([]);
	drafts = $state.raw<Record<string, string>>({});

	constructor(
		readonly memberId: string,
		/** Visits whose bottles are on this device. */
		readonly visits: () => readonly BenchVisit[],
		/** Has what is new sent as soon as it can be. */
		readonly tell: () => void
	) {}

	/** Follows the store and the server. Returns a way to stop. */
	follow(): () => void {
		const mine = () => store.boxWords.where('memberId').equals(this.memberId).sortBy('id');
		const watched = [
			liveQuery(() => store.boxes.get(this.memberId)).subscribe((known) => (this.#known = known ?? null)),
			liveQuery(mine).subscribe((words) => (this.#words = words)),
			liveQuery(() => draftsOf(BOXES_TYPED)).subscribe((drafts) => (this.drafts = drafts))
		];
		// what others did meanwhile; what was done here is told with the lines that are sent
		const hear = () => void exchangeBoxes(this.memberId).catch(() => undefined);
		const stopAsking = whileVisible(EVERY_ms, hear);
		hear();
		return () => {
			watched.forEach((w) => w.unsubscribe());
			stopAsking();
		};
	}

	/** False until the server has told this device of its boxes once. */
	isKnown = $derived(this.#known !== null);
	labs = $derived(this.#known?.labs ?? []);
	/** What was done here and the server has not heard. */
	untold = $derived(this.#words.filter((w) => w.why === null));
	/** Why it would not do something, each reason once, until somebody has read it. */
	refusals = $derived([...new Set(this.#words.flatMap((w) => w.why ?? []))]);
	#now: Boxes = $derived.by(() => {
		const { boxes, waiting } = this.#known ?? { boxes: [], waiting: [] };
		const here = new Set(this.visits().map((v) => v.id));
		const inBox = new Set(boxes.flatMap((box) => box.bottles.map((b) => `${b.visitId} ${b.id}`)));
		const filledHere = this.visits()
			.flatMap(waitingOf)
			.filter((b) => !inBox.has(`${b.visitId} ${b.id}`));
		const all = byAge([...waiting.filter((b) => !here.has(b.visitId)), ...filledHere]);
		return boxesAfter(
			{ boxes, waiting: all },
			this.untold.map((w) => w.word),
			this.labs
		);
	});
	boxes = $derived(this.#now.boxes);
	waiting = $derived(this.#now.waiting);

	/** Keeps what was done to a box; why it cannot be, where it is not as a box takes it. */
	async say(done: BoxWordWithout<'id' | 'at'>, at_ms: number): Promise<string | null> {
		const word = BoxWord.safeParse({ ...done, id: v7(), at: new Date(at_ms).toISOString() });
		if (!word.success) return word.error.issues[0]!.message;
		await store.boxWords.put({ id: word.data.id, memberId: this.memberId, word: word.data, why: null });
		this.tell();
		return null;
	}
	heard = (why: string): void =>
		void store.boxWords.bulkDelete(this.#words.filter((w) => w.why === why).map((w) => w.id));

	/** What is being typed stays through a reload. */
	typed = (place: string): string => this.drafts[place] ?? '';
	type(place: string, text: string): void {
		this.drafts = { ...this.drafts, [place]: text };
		void keepDraft(draftKey(BOXES_TYPED, place), text);
	}
}

const waitingOf = ({ id: visitId, siteName: site, sheet, card }: BenchVisit): PackedBottle[] =>
	bottlesWaiting(sheet).map((id) => {
		const step = stepOfBottle(id, stepsOf(card, 'bottle'));
		return asPacked({ visitId, id, site, bottle: sheet.bottles![id]!, card, step });
	});
