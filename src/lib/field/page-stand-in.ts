/** Stands in for a page that is seen or not, where tests have no browser. */
export class PageStandIn extends EventTarget {
	visibilityState: 'visible' | 'hidden' = 'visible';

	turn(to: 'visible' | 'hidden'): void {
		this.visibilityState = to;
		this.dispatchEvent(new Event('visibilitychange'));
	}
}

/** Stands in for the browser's store of small texts. */
export class TextsStandIn {
	[key: string]: unknown;
	getItem(key: string): string | null {
		return Object.hasOwn(this, key) ? String(this[key]) : null;
	}
	setItem(key: string, text: string): void {
		this[key] = text;
	}
	removeItem(key: string): void {
		delete this[key];
	}
}
