import { liveQuery } from 'dexie';
import { v7 } from 'uuid';
import type { Entry } from '$lib/core/logbook';
import { Alarms } from './alarms.svelte';
import { deviceNow_ms } from './device-clock';
import { heldLines, hold, letGo, type HeldLine, type Line } from './held';
import { NewVersion } from './new-version.svelte';
import { OnTheWay } from './on-the-way.svelte';
import type { OtherBottles } from './around-visit';
import { settleDrafts, store, type KeptEntry, type Packed } from './store';
import { SyncClient } from './sync-client.svelte';

/** What every field screen shares: the satchel, what is kept and sent, the clock, and the exchange with the server. */
export class FieldApp {
	packed = $state.raw<Packed | null>(null);
	/** False until the store has been read once. */
	isOpen = $state(false);
	/** The lines that open and end the visits on this device. */
	bounds = $state.raw<KeptEntry[]>([]);
	/** Labels and times of filling of all bottles on this device. */
	bottleLines = $state.raw<KeptEntry[]>([]);
	/** The lines that hand a visit over to somebody. */
	handovers = $state.raw<KeptEntry[]>([]);
	unsent = $state.raw<KeptEntry[]>([]);
	readonly onTheWay = new OnTheWay();
	refused = $state.raw<KeptEntry[]>([]);
	keptCount = $state(0);
	/** What was done to boxes and the server has not heard: whose words they are. */
	untoldOfBoxes = $state.raw<string[]>([]);
	/** Photos that are only on this device so far. */
	unsentPhotos = $state(0);
	/** Something was opened whose part of the application was not on this device and did not come. */
	isPartLost = $state(false);
	partLostRead = () => (this.isPartLost = false);
	now_ms = $state(Date.now());
	readonly newVersion = new NewVersion();
	readonly sync = new SyncClient();
	readonly alarms = new Alarms(
		() => deviceNow_ms(this.packed),
		() => (this.now_ms = deviceNow_ms(this.packed))
	);

	/** Bottles as all visits on this device have them. */
	otherBottles = $derived<OtherBottles>({
		openings: this.bounds.filter((e) => e.path === 'opening'),
		lines: this.bottleLines
	});

	get member() {
		return this.packed?.satchel.member ?? null;
	}

	/** The first look into the store begins before there is a page to show it on. */
	constructor() {
		// a site is shown as begun or not from the first moment, lest somebody begins it twice
		this.#opened = Promise.all([store.packed.get('satchel'), readBounds()]).then(([packed, bounds]) => {
			this.bounds = bounds;
			this.#open(packed ?? null);
		});
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
			liveQuery(readBounds).subscribe((bounds) => (this.bounds = bounds)),
			liveQuery(() =>
				store.entries
					.where('path')
					.startsWith('bottles/')
					.filter((e) => e.state !== 'refused' && /\/(label|filledAt)$/.test(e.path))
					.toArray()
			).subscribe((lines) => (this.bottleLines = lines)),
			liveQuery(() =>
				store.entries
					.where('path')
					.startsWith('handovers/')
					.filter((e) => e.path.endsWith('/to'))
					.sortBy('at')
			).subscribe((handovers) => (this.handovers = handovers)),
			liveQuery(() => store.entries.where('state').equals('kept').toArray()).subscribe((unsent) => {
				this.unsent = unsent;
				this.onTheWay.seen(unsent);
			}),
			liveQuery(() => store.entries.where('state').equals('refused').toArray()).subscribe(
				(refused) => (this.refused = refused)
			),
			liveQuery(() => store.boxWords.filter((w) => w.why === null).toArray()).subscribe(
				(words) => (this.untoldOfBoxes = words.map((w) => w.memberId))
			),
			liveQuery(() => store.photos.where('state').equals('kept').count()).subscribe(
				(count) => (this.unsentPhotos = count)
			),
			liveQuery(() => store.entries.count()).subscribe((count) => (this.keptCount = count))
		];
		const stopClock = this.alarms.start();
		const lost = () => (this.isPartLost = true);
		addEventListener(PART_LOST, lost);
		let stopSync = () => {};
		let isStopped = false;
		// the screen comes first: what only writing and sending need is loaded once there is something to see
		void this.#opened.then(nextPaint).then(() => {
			if (isStopped) return;
			void settleDrafts();
			for (const held of heldLines()) {
				// another tab may be writing it this moment: what shows as unsent already is not counted twice
				if (!this.unsent.some((e) => e.id === held.id)) this.onTheWay.add(held.id);
				void this.#settle(held);
			}
			void recording();
			stopSync = this.sync.start();
			void navigator.storage?.persist?.();
		});
		return () => {
			isStopped = true;
			for (const w of watching) w.unsubscribe();
			removeEventListener(PART_LOST, lost);
			stopClock();
			stopSync();
		};
	}

	/** Writes a line; it is on the disk when this resolves, held safely until then, and sent when it can be. */
	write(line: Line): Promise<Entry> {
		return this.keep(this.hold(line));
	}

	/** Holds a line where a reload cannot lose it, before the next instruction runs. */
	hold(line: Line): HeldLine {
		if (!this.member) throw new RangeError('nobody has signed in on this device yet');
		this.now_ms = deviceNow_ms(this.packed);
		const held = { id: v7(), line, by: this.member.id, now_ms: this.now_ms };
		hold(held);
		this.onTheWay.add(held.id);
		return held;
	}

	/** Puts a held line on the disk, and sends it when that can be. */
	async keep(held: HeldLine): Promise<Entry> {
		const entry = await this.#settle(held);
		this.sync.nudge();
		return entry;
	}

	async #settle(held: HeldLine): Promise<Entry> {
		await nextPaint(); // it is held: the figure that the hand waits for comes before the disk
		const { record } = await recording();
		try {
			const entry = await record(held);
			letGo(held.id);
			this.onTheWay.written(held.id);
			return entry;
		} catch (trouble) {
			// what the sheet cannot take is told to the person; anything else (a full disk) is tried again at the
			// next start
			if (trouble instanceof RangeError) {
				letGo(held.id);
				this.onTheWay.refused(held.id);
			}
			throw trouble;
		}
	}

	/** The initials of whoever wrote something. */
	initialsOf = (memberId: string): string =>
		this.packed?.satchel.people.find((p) => p.id === memberId)?.initials ?? '?';
}

/** Loaded once; asking the bundler's loader again with every line would cost a phone a millisecond each time. */
let loaded: Promise<typeof import('./record')> | undefined;
const recording = () => (loaded ??= import('./record'));

const readBounds = () =>
	store.entries.where('path').anyOf('opening', 'leaving/at', 'bottles/bacteria/filledAt').toArray();

/** What the bundler's loader of parts says when one of them cannot be fetched. */
const PART_LOST = 'vite:preloadError';

const LONGEST_FRAME_ms = 250;
/**
 * After the next picture is on the screen; at once where none is drawn because the page is hidden, or soon where it
 * is hidden meanwhile.
 */
const nextPaint = (): Promise<void> =>
	new Promise((done) => {
		if (document.visibilityState === 'hidden') return done();
		const late = setTimeout(done, LONGEST_FRAME_ms);
		requestAnimationFrame(() => {
			clearTimeout(late);
			setTimeout(done);
		});
	});
