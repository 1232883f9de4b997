/** What a page says to a new version of the service worker that waits. */
export const TAKE_OVER = 'take over';
