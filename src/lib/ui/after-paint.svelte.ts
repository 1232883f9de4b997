import { untrack } from 'svelte';

/** Does it once the screen has been painted; at once where nothing is painted, in a page that is not seen. */
export function whenPainted(act: () => void): void {
	if (document.visibilityState === 'hidden') act();
	else requestAnimationFrame(() => setTimeout(act));
}

/**
 * The same value, once the screen has been painted: the figure that the hand waits for comes first, and what is heavy
 * to draw follows it in the next frame. Made while a component is set up.
 */
export class AfterPaint<T> {
	current: T = $state.raw() as T;

	constructor(value: () => T) {
		let latest = untrack(value);
		let isDue = false;
		const show = () => {
			isDue = false;
			this.current = latest;
		};
		this.current = latest;
		$effect(() => {
			latest = value();
			if (isDue && document.visibilityState !== 'hidden') return; // quick fingers do not put it off
			isDue = true;
			whenPainted(show);
		});
	}
}
