declare global {
	interface Window {
		/** Kept from before the application was there, by `static/first-paint.js`; takes no more once it was asked. */
		enteredEarly?: { take(): Map<EventTarget, { value: string; checked?: boolean }> };
	}
}

/** What was typed or chosen in a page before it knew of it is entered again; once, when all of it listens. */
export function enterAgain(): void {
	for (const [field, { value, checked = false }] of window.enteredEarly?.take() ?? []) {
		const type = field instanceof HTMLInputElement ? field.type : 'text';
		if (field instanceof HTMLInputElement && (type === 'checkbox' || type === 'radio')) field.checked = checked;
		else if (type !== 'file' && 'value' in field && field.value !== value) field.value = value; // files stay where they are
		for (const event of ['input', 'change']) field.dispatchEvent(new Event(event, { bubbles: true }));
	}
	delete window.enteredEarly;
}
