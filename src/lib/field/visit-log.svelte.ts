import { liveQuery } from 'dexie';
import { evaluate, type Outcome } from '$lib/core/evaluate';
import { fold, foldOnto, type Folded } from '$lib/core/logbook';
import { orderSteps, type OrderedStep } from '$lib/core/method';
import { contextFrom, type SatchelSite } from '$lib/core/satchel';
import { draftsOf, store, type KeptEntry, type Packed } from './store';

/** One visit as this device knows it: its lines as they come, the sheet they make, and what follows from it. */
export class VisitLog {
	entries = $state.raw<KeptEntry[] | null>(null);
	/** What is being typed and not yet kept, by path, in whichever tab. */
	drafts = $state.raw<Record<string, string> | null>(null);
	readonly packed: () => Packed | null;
	readonly now_ms: () => number;

	constructor(
		readonly visitId: string,
		packed: () => Packed | null,
		now_ms: () => number
	) {
		this.packed = packed;
		this.now_ms = now_ms;
	}

	/** Follows the store, across tabs. Returns a way to stop. */
	follow(): () => void {
		const watched = [
			liveQuery(() => store.entries.where('visitId').equals(this.visitId).toArray()).subscribe((entries) => (this.entries = entries)),
			liveQuery(() => draftsOf(this.visitId)).subscribe((drafts) => (this.drafts = drafts))
		];
		return () => watched.forEach((w) => w.unsubscribe());
	}

	#lastFolded: Folded = fold([]);

	/** A refused line is not in the sheet; it stays readable in the list of what is kept. */
	folded: Folded = $derived.by(
		() =>
			(this.#lastFolded = foldOnto(
				this.#lastFolded,
				(this.entries ?? []).filter((e) => e.state !== 'refused')
			))
	);
	opening = $derived(this.folded.sheet.opening ?? null);
	site: SatchelSite | null = $derived.by(() => this.packed()?.satchel.sites.find((s) => s.id === this.opening?.siteId) ?? null);
	card = $derived.by(() => this.packed()?.satchel.cards.find((c) => c.id === this.opening?.cardVersionId)?.card ?? null);

	steps: OrderedStep[] = $derived.by(() => {
		if (!this.card) return [];
		const order = orderSteps(this.card);
		return 'steps' in order ? order.steps : this.card.steps.map((step) => ({ step, because: [] }));
	});

	outcome: Outcome | null = $derived.by(() => {
		const packed = this.packed();
		const context = packed && this.opening ? contextFrom(packed.satchel, this.opening.siteId, this.now_ms()) : null;
		return context && this.card ? evaluate(this.folded, this.card, context) : null;
	});
}
