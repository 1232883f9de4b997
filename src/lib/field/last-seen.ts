const KEY = 'keen-riffle-last-seen';

/**
 * Keeps a page as it looks, so that it can be drawn at the next start before the application is there
 * (static/first-paint.js).
 */
export function keepLastSeen(page: HTMLElement): void {
	const copy = page.cloneNode(true) as HTMLElement;
	// what is pressed needs the application: only what leads somewhere is drawn as live
	for (const button of copy.querySelectorAll('button')) button.disabled = true;
	// nor does anything unfold that would fold again under the finger when the application comes
	for (const fold of copy.querySelectorAll('summary')) fold.setAttribute('inert', '');
	const styles = [...document.querySelectorAll<HTMLLinkElement>('link[rel=stylesheet]')].map((link) => link.href);
	try {
		localStorage.setItem(KEY, JSON.stringify({ html: copy.outerHTML, styles: [...new Set(styles)] }));
	} catch {
		localStorage.removeItem(KEY); // no room: the next start draws nothing before its time
	}
}

/** The application is there: what was drawn in its place goes. */
export const dropLastSeen = (): void => document.getElementById('last-seen')?.remove();
