interface Slowing {
	/** The longest wait between two deeds. */
	most_ms: number;
	/** Nothing happened since the last deed: the next wait is twice as long. */
	isQuiet: () => boolean;
}

/**
 * Does something every so often while the page can be seen, and at once when it comes back into sight; less and less
 * often where `slowing` says that nothing happens. A page that nobody looks at sets no timer: a phone in a pocket
 * sleeps. Returns a way to stop.
 */
export function whileVisible(every_ms: number, deed: () => void, slowing?: Slowing): () => void {
	let timer: ReturnType<typeof setTimeout> | undefined;
	let wait_ms = every_ms;
	let isStopped = false;
	const wait = () => (timer = setTimeout(next, wait_ms));
	function next() {
		deed();
		if (isStopped) return; // the deed itself was the last
		wait_ms = slowing?.isQuiet() ? Math.min(wait_ms * 2, slowing.most_ms) : every_ms;
		wait();
	}
	const turn = () => {
		clearTimeout(timer);
		if (document.visibilityState === 'hidden') return;
		wait_ms = every_ms;
		next();
	};
	document.addEventListener('visibilitychange', turn);
	if (document.visibilityState !== 'hidden') wait();
	return () => {
		isStopped = true;
		clearTimeout(timer);
		document.removeEventListener('visibilitychange', turn);
	};
}
