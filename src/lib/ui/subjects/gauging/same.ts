/**
 * Gives the same object again for a thing that looks as it did before: a list that is worked out anew then changes on
 * the screen only where it differs.
 */
export class Same<T extends { id: string }> {
	#before = new Map<string, { text: string; item: T }>();

	of(items: readonly T[]): T[] {
		const now = new Map<string, { text: string; item: T }>();
		for (const item of items) {
			const text = JSON.stringify(item);
			const before = this.#before.get(item.id);
			now.set(item.id, before?.text === text ? before : { text, item });
		}
		this.#before = now;
		return [...now.values()].map((n) => n.item);
	}
}
