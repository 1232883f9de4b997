import { whileVisible } from './while-visible';

/** A moment that somebody waits for. */
export interface Awaited {
	/** The same for the same wait, so that it rings once. */
	id: string;
	label: string;
	due_ms: number;
}

const SLOW_ms = 15_000;
const FAST_ms = 1_000;
/** A moment nearer than this is watched second by second. */
const NEAR_ms = 20 * 60_000;
const RUNG = 'keen-riffle-rung';
const MOST_REMEMBERED = 60;
/** A phone that was off longer than this after a moment says nothing of it any more. */
const STILL_WORTH_RINGING_ms = 30 * 60_000;

/**
 * The clock of the field screens and what it rings for. In sight it goes by seconds while something short is awaited,
 * else by quarter minutes; out of sight there is one timer, for the next moment alone, and none where nothing is
 * awaited.
 */
export class Alarms {
	/** What rang and has not been heard yet, by id. */
	ringing = $state.raw<ReadonlySet<string>>(new Set());
	#awaited: readonly Awaited[] = [];
	#stop = () => {};
	#hiddenTimer: ReturnType<typeof setTimeout> | undefined;
	#awake: WakeLockSentinel | null = null;

	constructor(
		readonly now_ms: () => number,
		readonly ontick: () => void
	) {}

	/** Starts the clock. Returns a way to stop it. */
	start(): () => void {
		const seen = () => {
			this.#pace();
			this.#tick();
		};
		document.addEventListener('visibilitychange', seen);
		this.#pace();
		return () => {
			document.removeEventListener('visibilitychange', seen);
			this.#stop();
			clearTimeout(this.#hiddenTimer);
			void this.#awake?.release();
		};
	}

	/** What is awaited from now on. */
	await(moments: readonly Awaited[]): void {
		const same =
			moments.length === this.#awaited.length &&
			moments.every((m, i) => m.id === this.#awaited[i]!.id && m.due_ms === this.#awaited[i]!.due_ms);
		if (same) return;
		this.#awaited = moments;
		const still = [...this.ringing].filter((id) => moments.some((m) => m.id === id));
		if (still.length < this.ringing.size) this.ringing = new Set(still);
		this.#pace();
		this.#tick();
	}

	/** The person has seen it. */
	hear = (id: string): void => void (this.ringing = new Set([...this.ringing].filter((other) => other !== id)));

	#near = () => this.#awaited.filter((m) => m.due_ms > this.now_ms() && m.due_ms < this.now_ms() + NEAR_ms);

	#pace(): void {
		this.#stop();
		clearTimeout(this.#hiddenTimer);
		const near = this.#near();
		this.#stop = whileVisible(near.length ? FAST_ms : SLOW_ms, () => this.#tick());
		if (document.visibilityState === 'hidden') {
			const next = this.#awaited.map((m) => m.due_ms - this.now_ms()).filter((wait) => wait > 0);
			if (next.length) this.#hiddenTimer = setTimeout(() => this.#tick(), Math.min(...next));
		}
		void this.#keepAwake(near.length > 0);
	}

	#tick(): void {
		this.ontick();
		let rung = rungBefore();
		let isPaceOld = false;
		for (const { id, label, due_ms } of this.#awaited) {
			const late_ms = this.now_ms() - due_ms;
			const mark = `${id} ${due_ms}`;
			if (late_ms < 0 || late_ms > STILL_WORTH_RINGING_ms || rung.includes(mark)) continue;
			rung = [...rung, mark];
			remember(rung);
			this.ringing = new Set([...this.ringing, id]);
			ring(label);
			isPaceOld = true;
		}
		if (isPaceOld) this.#pace();
	}

	/** The screen stays on while something short is awaited, where the phone allows it. */
	async #keepAwake(wanted: boolean): Promise<void> {
		if (!wanted || document.visibilityState === 'hidden') {
			await this.#awake?.release();
			this.#awake = null;
		} else if (!this.#awake || this.#awake.released)
			this.#awake = (await navigator.wakeLock?.request('screen').catch(() => null)) ?? null;
	}
}

const rungBefore = (): string[] => (localStorage.getItem(RUNG) ?? '').split('\n').filter(Boolean);
function remember(marks: readonly string[]): void {
	try {
		localStorage.setItem(RUNG, marks.slice(-MOST_REMEMBERED).join('\n'));
	} catch {
		// no room or not allowed: it may ring a second time
	}
}

/** Asks whether it may call when the page is not in sight; to be asked by a tap. */
export async function mayCall(): Promise<void> {
	if ('Notification' in globalThis && Notification.permission === 'default')
		await Notification.requestPermission().catch(() => undefined);
}

/** Three short tones, a buzz, and a notice where the page is not in sight; each where the phone allows it. */
function ring(label: string): void {
	navigator.vibrate?.([300, 150, 300, 150, 300]);
	tones();
	if (document.visibilityState === 'hidden' && 'Notification' in globalThis && Notification.permission === 'granted')
		void navigator.serviceWorker?.ready
			.then((worker) => worker.showNotification(label, { body: 'The time has come.', tag: label }))
			.catch(() => undefined);
}

function tones(): void {
	try {
		const audio = new AudioContext();
		for (const [i, start] of [0, 0.3, 0.6].entries()) {
			const tone = audio.createOscillator();
			const loudness = audio.createGain();
			tone.frequency.value = i === 2 ? 1175 : 880;
			loudness.gain.setValueAtTime(0.25, audio.currentTime + start);
			loudness.gain.exponentialRampToValueAtTime(0.001, audio.currentTime + start + 0.22);
			tone.connect(loudness).connect(audio.destination);
			tone.start(audio.currentTime + start);
			tone.stop(audio.currentTime + start + 0.25);
			if (i === 2) tone.onended = () => void audio.close();
		}
	} catch {
		// no sound here: the screen and the buzz must do
	}
}
