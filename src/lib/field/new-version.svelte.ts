import { TAKE_OVER } from './take-over';

/**
 * A new version of the application waits until the moment is good: a page that is loaded anew outside a visit takes it
 * at once, one that stands open says that it is there, and a visit under way is never interrupted.
 */
export class NewVersion {
	/** A version that is ready and not taken yet. */
	isReady = $state(false);
	#waiting: ServiceWorker | null = null;

	/** Follows the registration. `isQuiet`: nothing that is being written could be lost at this moment. */
	async follow(isQuiet: () => boolean): Promise<void> {
		if (!('serviceWorker' in navigator)) return;
		const registration = await navigator.serviceWorker.register('/service-worker.js');
		if (registration.waiting) this.#found(registration.waiting);
		if (this.isReady && isQuiet()) return this.take();
		registration.addEventListener('updatefound', () => {
			const fresh = registration.installing;
			fresh?.addEventListener('statechange', () => {
				// without one at work before, it is no new version but the first
				if (fresh.state === 'installed' && navigator.serviceWorker.controller) this.#found(fresh);
			});
		});
	}

	#found(worker: ServiceWorker): void {
		this.#waiting = worker;
		this.isReady = true;
	}

	take = (): void => {
		if (!this.#waiting) return;
		navigator.serviceWorker.addEventListener('controllerchange', () => location.reload(), { once: true });
		this.#waiting.postMessage(TAKE_OVER);
	};
}
