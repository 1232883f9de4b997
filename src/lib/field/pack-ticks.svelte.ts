import { liveQuery } from 'dexie';
import { z } from 'zod';
import { store, type Tick } from './store';
import { whileVisible } from './while-visible';

const Answer = z.object({
	ticks: z.array(
		z.object({ roundId: z.string(), line: z.string(), isPacked: z.boolean(), at: z.string(), by: z.string() })
	)
});

const EVERY_ms = 15_000;

/**
 * The ticks of one round's list: kept on this device at once, told to the server when there is one, and heard from
 * others.
 */
export class PackTicks {
	ticks = $state.raw<ReadonlyMap<string, Tick> | null>(null);
	/** False while the store has not taken the last words. */
	isKept = $state(true);
	/** False while the last words have not reached the server. */
	isTold = $state(true);

	/** Words of this hand that the store has not shown yet: the screen follows the hand, not the disk. */
	readonly #onTheWay = new Map<string, Tick>();

	#running: Promise<void> | null = null;
	#isAsked = false;

	constructor(readonly roundId: string) {}

	#latest(stored: Tick): Tick {
		const mine = this.#onTheWay.get(stored.line);
		if (mine && stored.at < mine.at) return mine;
		this.#onTheWay.delete(stored.line);
		return stored;
	}

	/** Follows the store and the server. Returns a way to stop. */
	follow(): () => void {
		const watched = liveQuery(() => store.ticks.where('roundId').equals(this.roundId).toArray()).subscribe((ticks) => {
			this.ticks = new Map(ticks.map((t) => [t.line, this.#latest(t)]));
			this.isKept = this.#onTheWay.size === 0;
			this.isTold = this.isKept && ticks.every((t) => t.state === 'sent');
		});
		const hear = () => void this.exchange();
		const stopAsking = whileVisible(EVERY_ms, hear);
		addEventListener('online', hear);
		hear();
		return () => {
			watched.unsubscribe();
			stopAsking();
			removeEventListener('online', hear);
		};
	}

	async tick(line: string, isPacked: boolean, by: string, now_ms: number): Promise<void> {
		const last = this.ticks?.get(line);
		// a change of mind within one stroke of the clock is still the later word
		const at_ms = Math.max(now_ms, last ? Date.parse(last.at) + 1 : 0);
		const tick: Tick = { roundId: this.roundId, line, isPacked, by, at: new Date(at_ms).toISOString(), state: 'kept' };
		this.#onTheWay.set(line, tick);
		this.isKept = this.isTold = false;
		this.ticks = new Map(this.ticks).set(line, tick);
		await store.ticks.put(tick);
		await this.exchange();
	}

	/** Tells what is new and takes what others said; with no network nothing happens, and it is tried again. */
	exchange(): Promise<void> {
		this.#isAsked = true;
		this.#running ??= this.#inTurn().finally(() => (this.#running = null));
		return this.#running;
	}

	/** One at a time: two requests under way could arrive in the other order, and an older word would stand. */
	async #inTurn(): Promise<void> {
		while (this.#isAsked) {
			this.#isAsked = false;
			await this.#tellAndHear();
		}
	}

	async #tellAndHear(): Promise<void> {
		const mine = await store.ticks.where('roundId').equals(this.roundId).toArray();
		const fresh = mine.filter((t) => t.state === 'kept');
		const ticks = fresh.map(({ roundId, line, isPacked, at }) => ({ roundId, line, isPacked, at }));
		const response = await fetch('/api/pack', {
			method: 'POST',
			headers: { 'content-type': 'application/json' },
			body: JSON.stringify({ rounds: [this.roundId], ticks })
		}).catch(() => null);
		if (!response?.ok) return;
		const answer = Answer.safeParse(await response.json().catch(() => null));
		if (!answer.success) return;
		await store.transaction('rw', store.ticks, async () => {
			for (const sent of fresh) {
				const now = await store.ticks.get([sent.roundId, sent.line]);
				if (now?.at === sent.at) await store.ticks.put({ ...sent, state: 'sent' });
			}
			for (const theirs of answer.data.ticks) {
				const now = await store.ticks.get([theirs.roundId, theirs.line]);
				if (!now || now.state === 'sent' || theirs.at > now.at) await store.ticks.put({ ...theirs, state: 'sent' });
			}
		});
	}
}
