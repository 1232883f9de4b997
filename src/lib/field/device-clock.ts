import type { Packed } from './store';

/** This device's clock, set to the server's where that one is fixed for show. */
export const deviceNow_ms = (packed: Pick<Packed, 'clockOffset_ms'> | null | undefined): number =>
	Date.now() + (packed?.clockOffset_ms ?? 0);
