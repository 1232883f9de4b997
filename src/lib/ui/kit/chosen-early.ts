declare global {
	interface Window {
		/** Kept from before the application was there, by `static/first-paint.js`; takes no more once it was asked. */
		chosenEarly?: { take(): Map<EventTarget, string | boolean> };
	}
}

/** What was chosen in a page before it knew of it is chosen again; once, when all of it listens. */
export function chooseAgain(): void {
	for (const [field, chosen] of window.chosenEarly?.take() ?? []) {
		if (field instanceof HTMLSelectElement && typeof chosen === 'string') field.value = chosen;
		else if (field instanceof HTMLInputElement && typeof chosen === 'boolean') field.checked = chosen;
		else continue; // what was typed stays where it was typed
		field.dispatchEvent(new Event('change', { bubbles: true }));
	}
	delete window.chosenEarly;
}
