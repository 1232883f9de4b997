/**
 * Does something every so often while the page can be seen, and at once when it comes back into sight. A page that
 * nobody looks at sets no timer: a phone in a pocket sleeps. Returns a way to stop.
 */
export function whileVisible(every_ms: number, deed: () => void): () => void {
	let timer: ReturnType<typeof setInterval> | undefined;
	const turn = () => {
		clearInterval(timer);
		timer = undefined;
		if (document.visibilityState === 'hidden') return;
		deed();
		timer = setInterval(deed, every_ms);
	};
	document.addEventListener('visibilitychange', turn);
	if (document.visibilityState !== 'hidden') timer = setInterval(deed, every_ms);
	return () => {
		clearInterval(timer);
		document.removeEventListener('visibilitychange', turn);
	};
}
