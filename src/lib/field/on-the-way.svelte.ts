/**
 * Lines that a hand has written and that the store does not show yet. They are only on this phone like all that is not
 * sent, so they are counted with it: "all sent" must not be said of a line that is still on its way to the disk.
 */
export class OnTheWay {
	ids: readonly string[] = $state.raw([]);
	/**
	 * Those that the disk has: they leave with the next word of the store, whether that still has them as unsent or
	 * not.
	 */
	readonly #written = new Set<string>();

	add(id: string): void {
		this.ids = [...this.ids, id];
	}

	written(id: string): void {
		this.#written.add(id);
	}

	/** The sheet could not take it. */
	refused(id: string): void {
		this.ids = this.ids.filter((other) => other !== id);
	}

	/** The store has said what is unsent. */
	seen(unsent: readonly { id: string }[]): void {
		if (this.ids.length === 0) return;
		const there = new Set(unsent.map((e) => e.id));
		const gone = this.ids.filter((id) => this.#written.has(id) || there.has(id));
		for (const id of gone) this.#written.delete(id);
		this.ids = this.ids.filter((id) => !gone.includes(id));
	}
}
