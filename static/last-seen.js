/*
 * Draws the list of visits as it was last seen, with its links, before the application itself is there: a wet hand can tap at once. The
 * application takes it away when it knows the same and more (field/last-seen.ts keeps it).
 */
(() => {
	if (location.pathname !== '/sample') return;
	try {
		const seen = JSON.parse(localStorage.getItem('keen-riffle-last-seen') ?? 'null');
		if (seen === null) return;
		const page = document.createElement('div');
		page.id = 'last-seen';
		page.innerHTML = seen.html;
		for (const href of seen.styles) {
			const style = document.createElement('link');
			style.rel = 'stylesheet';
			style.href = href;
			style.onerror = () => page.remove(); // of a version that is gone
			document.head.append(style);
		}
		document.body.prepend(page);
	} catch {
		localStorage.removeItem('keen-riffle-last-seen');
	}
})();
