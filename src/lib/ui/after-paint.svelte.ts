import { untrack } from 'svelte';

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
			if (document.visibilityState === 'hidden') return show(); // nothing is painted there
			if (isDue) return; // quick fingers do not put it off
			isDue = true;
			requestAnimationFrame(() => setTimeout(show));
		});
	}
}
