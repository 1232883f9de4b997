import { liveQuery } from 'dexie';
import { v7 } from 'uuid';
import type { Entry } from '$lib/core/logbook';
import { deviceNow_ms } from './device-clock';
import { heldLines, hold, letGo, type HeldLine, type Line } from './held';
import { settleDrafts, store, type KeptEntry, type Packed } from './store';
import { SyncClient } from './sync-client.svelte';

const CLOCK_STEP_ms = 15_000;

/** What every field screen shares: the satchel, what is kept and sent, the clock, and the exchange with the server. */
export class FieldApp {
	packed = $state.raw<Packed | null>(null);
	/** False until the store has been read once. */
	isOpen = $state(false);
	/** The lines that open and end the visits on this device. */
	bounds = $state.raw<KeptEntry[]>([]);
	unsent = $state.raw<KeptEntry[]>([]);
	refused = $state.raw<KeptEntry[]>([]);
	keptCount = $state(0);
	now_ms = $state(Date.now());
	readonly sync = new SyncClient();

	get member() {
		return this.packed?.satchel.member ?? null;
	}

	/** The first look into the store begins before there is a page to show it on. */
	constructor() {
		this.#opened = store.packed.get('satchel').then((packed) => this.#open(packed ?? null));
	}
	readonly #opened: Promise<void>;

	#open(packed: Packed | null): void {
		this.packed = packed;
		this.now_ms = deviceNow_ms(packed);
		this.isOpen = true;
	}

	/** Follows the store and starts exchanging. Returns a way to stop. */
	start(): () => void {
		const watching = [
			liveQuery(() => store.packed.get('satchel')).subscribe((packed) => this.#open(packed ?? null)),
			liveQuery(() => store.entries.where('path').anyOf('opening', 'leaving/at').toArray()).subscribe((bounds) => (this.bounds = bounds)),
			liveQuery(() => store.entries.where('state').equals('kept').toArray()).subscribe((unsent) => (this.unsent = unsent)),
			liveQuery(() => store.entries.where('state').equals('refused').toArray()).subscribe((refused) => (this.refused = refused)),
			liveQuery(() => store.entries.count()).subscribe((count) => (this.keptCount = count))
		];
		const clock = setInterval(() => (this.now_ms = deviceNow_ms(this.packed)), CLOCK_STEP_ms);
		let stopSync = () => {};
		let isStopped = false;
		// the screen comes first: what only writing and sending need is loaded once there is something to see
		void this.#opened.then(nextPaint).then(() => {
			if (isStopped) return;
			void settleDrafts();
			for (const held of heldLines()) void this.#settle(held);
			void import('./record');
			stopSync = this.sync.start();
			void navigator.storage?.persist?.();
		});
		return () => {
			isStopped = true;
			for (const w of watching) w.unsubscribe();
			clearInterval(clock);
			stopSync();
		};
	}

	/** Writes a line; it is on the disk when this resolves, held safely until then, and sent when it can be. */
	async write(line: Line): Promise<Entry> {
		if (!this.member) throw new RangeError('nobody has signed in on this device yet');
		this.now_ms = deviceNow_ms(this.packed);
		const held = { id: v7(), line, by: this.member.id, now_ms: this.now_ms };
		hold(held);
		const entry = await this.#settle(held);
		this.sync.nudge();
		return entry;
	}

	async #settle(held: HeldLine): Promise<Entry> {
		const { record } = await import('./record');
		try {
			const entry = await record(held);
			letGo(held.id);
			return entry;
		} catch (trouble) {
			// what the sheet cannot take is told to the person; anything else (a full disk) is tried again at the next start
			if (trouble instanceof RangeError) letGo(held.id);
			throw trouble;
		}
	}

	/** The initials of whoever wrote something. */
	initialsOf = (memberId: string): string => this.packed?.satchel.people.find((p) => p.id === memberId)?.initials ?? '?';
}

/** After the next picture is on the screen; at once where none is drawn because the page is hidden. */
const nextPaint = (): Promise<void> =>
	new Promise((done) => {
		if (document.visibilityState === 'hidden') return done();
		requestAnimationFrame(() => setTimeout(done));
	});
