import { untrack } from 'svelte';

/**
 * The same value, once the screen has been painted: the figure that the hand waits for comes first, and what is heavy to draw
 * follows it in the next frame. Made while a component is set up.
 */
export class AfterPaint<T> {
	current: T = $state.raw() as T;

	constructor(value: () => T) {
		this.current = untrack(value);
		$effect(() => {
			const next = value();
			if (document.visibilityState === 'hidden') return void (this.current = next); // nothing is painted there
			let timer: ReturnType<typeof setTimeout> | undefined;
			const frame = requestAnimationFrame(() => (timer = setTimeout(() => (this.current = next))));
			return () => {
				cancelAnimationFrame(frame);
				clearTimeout(timer);
			};
		});
	}
}
