// What a page shows before the application is there; runs in the head, before the first paint.
try {
	// the mode chosen on this device, so that the page never flashes in another one
	const mode = localStorage.getItem('keen-riffle-mode');
	if (mode === 'sun' || mode === 'dusk') document.documentElement.dataset.mode = mode;
	if (location.pathname === '/sample')
		drawLastSeen(JSON.parse(localStorage.getItem('keen-riffle-last-seen') ?? 'null'));
} catch {
	// no storage, or nothing that can be read there: paper, and an empty page
}

// What is entered while the application is still on its way: it would begin with what the page came with, and what a
// hand has done since would be gone (ui/kit/entered-early.ts gives it back).
const entered = new Map();
const remember = ({ target }) => entered.set(target, { value: target.value, checked: target.checked });
for (const event of ['input', 'change']) addEventListener(event, remember, true);
window.enteredEarly = {
	take() {
		for (const event of ['input', 'change']) removeEventListener(event, remember, true);
		return entered;
	}
};

/**
 * The list of visits as it was last seen, with its links: a wet hand can tap at once. The application takes it away when it knows the
 * same and more (field/last-seen.ts keeps it).
 */
function drawLastSeen(seen) {
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
	const waiting = new MutationObserver(() => {
		if (!document.body) return;
		waiting.disconnect();
		document.body.prepend(page);
	});
	waiting.observe(document.documentElement, { childList: true });
}
