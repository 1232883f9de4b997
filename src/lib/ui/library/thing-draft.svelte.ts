import {
	lookupIn,
	objectionsTo,
	readRow,
	withRow,
	type Kind,
	type Library,
	type Objection,
	type Texts
} from '$lib/core/library';

/** What is being typed into one thing of the library, and what is to be said about it. */
export class ThingDraft {
	texts = $state<Texts>({});
	/** Fields that a hand has left: only there is a fault said, not while one is typing. */
	#left = $state<Record<string, true>>({});
	#lookup;

	constructor(
		readonly kind: Kind,
		readonly id: string | null,
		texts: Texts,
		readonly library: Library,
		readonly today: string
	) {
		this.texts = { ...texts };
		this.#lookup = lookupIn(library);
	}

	#read = $derived.by(() => readRow(this.kind, this.id ?? 'new', this.texts, this.#lookup));
	#between: Objection[] = $derived.by(() =>
		this.#read.objections.length ? [] : objectionsTo(this.kind, this.#read.row, this.library, this.today)
	);
	objections: Objection[] = $derived.by(() => [...this.#read.objections, ...this.#between]);
	doubts: Objection[] = $derived.by(() =>
		this.objections.length
			? []
			: (this.kind.doubts?.(this.#read.row, withRow(this.library, this.kind, this.#read.row), this.today) ?? [])
	);

	type(field: string, text: string): void {
		this.texts[field] = text;
	}

	leave(field: string): void {
		this.#left[field] = true;
	}

	leaveAll(): void {
		for (const field of Object.keys(this.kind.fields)) this.#left[field] = true;
	}

	/** What is wrong at a field that has been left, or that the server refused. */
	whyAt(field: string): string | null {
		if (!this.#left[field]) return null;
		return this.objections.find((o) => o.field === field)?.why ?? null;
	}

	doubtAt = (field: string): string | null => this.doubts.find((d) => d.field === field)?.why ?? null;
}
