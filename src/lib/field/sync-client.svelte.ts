/** How things stand between this device and the server, in a word. */
export type Standing = 'idle' | 'sending' | 'offline' | 'signed-out' | 'trouble';

const FIRST_WAIT_ms = 2_000;
const LONGEST_WAIT_ms = 60_000;

/**
 * Exchanges what this device wrote for what it has not seen: when there is a network, one tab at a time, as often as
 * it takes.
 */
export class SyncClient {
	standing = $state<Standing>('idle');
	/** What the server wants said to the person: a clock that is off. */
	notes = $state<string[]>([]);
	lastExchange_ms = $state<number | null>(null);
	#wait_ms = FIRST_WAIT_ms;
	#timer: ReturnType<typeof setTimeout> | undefined;
	#again = false;
	#running = false;

	/** Exchanges now, and again whenever the network comes back. Returns a way to stop. */
	start(): () => void {
		const soon = () => this.nudge();
		addEventListener('online', soon);
		document.addEventListener('visibilitychange', soon);
		this.nudge();
		return () => {
			removeEventListener('online', soon);
			document.removeEventListener('visibilitychange', soon);
			clearTimeout(this.#timer);
		};
	}

	/** Asks for what others wrote meanwhile; nothing is hurried by it. */
	look = (): void => {
		if (navigator.onLine && (this.standing === 'idle' || this.standing === 'offline')) void this.#run();
	};

	/** Something changed: exchange as soon as the present exchange is over. */
	nudge(): void {
		clearTimeout(this.#timer);
		this.#wait_ms = FIRST_WAIT_ms;
		void this.#run();
	}

	async #run(): Promise<void> {
		if (!navigator.onLine) {
			this.standing = 'offline'; // asking would only cost battery: the network says when it is back
			return;
		}
		if (this.#running) {
			this.#again = true;
			return;
		}
		this.#running = true;
		try {
			await navigator.locks.request('keen-riffle-sync', { ifAvailable: true }, async (lock) => {
				if (lock) await this.#exchangeAll();
			});
		} finally {
			this.#running = false;
		}
		if (this.#again) {
			this.#again = false;
			void this.#run();
		}
	}

	async #exchangeAll(): Promise<void> {
		// fetched when first needed: the first screen does not wait for what only an exchange uses
		const { exchangeAll, SignedOut } = await import('./exchange');
		try {
			this.standing = 'sending';
			this.notes = await exchangeAll();
			this.standing = 'idle';
			this.lastExchange_ms = Date.now();
			this.#wait_ms = FIRST_WAIT_ms;
		} catch (trouble) {
			const unheard = trouble instanceof TypeError ? 'offline' : 'trouble';
			this.standing = trouble instanceof SignedOut ? 'signed-out' : unheard;
			if (this.standing !== 'signed-out') this.#tryLater();
		}
	}

	#tryLater(): void {
		clearTimeout(this.#timer);
		if (document.visibilityState === 'hidden') return; // coming back into sight tries again
		this.#timer = setTimeout(() => void this.#run(), this.#wait_ms);
		this.#wait_ms = Math.min(LONGEST_WAIT_ms, this.#wait_ms * 2);
	}
}
