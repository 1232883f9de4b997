/** A key for each compartment, in the order in which they stand; those after these are tapped. */
const KEYS = '123456789abcdefghijklmnopqrstuvwxyz';

export const keyOf = (index: number): string | null => KEYS[index] ?? null;

export type TrayKey = { tap: number } | 'undo' | 'other';

/** What a key at the tray means; null where it means nothing. One that is held down counts once. */
export function meantBy(
	event: Pick<KeyboardEvent, 'key' | 'repeat' | 'ctrlKey' | 'metaKey' | 'altKey'>
): TrayKey | null {
	if (event.repeat || event.ctrlKey || event.metaKey || event.altKey) return null;
	if (event.key === 'Backspace') return 'undo';
	if (event.key === '+') return 'other';
	const index = event.key.length === 1 ? KEYS.indexOf(event.key.toLowerCase()) : -1;
	return index === -1 ? null : { tap: index };
}
