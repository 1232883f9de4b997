import { liveQuery } from 'dexie';
import { untrack } from 'svelte';
import { evaluate, type Outcome } from '$lib/core/evaluate';
import { fold, foldOnto, seenBlind, tick, typesBlind, whyUnfit, type Folded } from '$lib/core/logbook';
import { heldLines, type HeldLine } from './held';
import { orderSteps, type OrderedStep } from '$lib/core/method';
import { contextFrom, type SatchelSite } from '$lib/core/satchel';
import { draftsOf, store, type KeptEntry, type Packed } from './store';

/** Stands for this device's name on a line that the disk has not named yet. */
const HERE = 'this device';

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
		// what a reload caught on its way to the disk shows at once, as it did before
		untrack(() => heldLines().forEach((held) => held.line.visitId === this.visitId && this.foresee(held)));
		const watched = [
			liveQuery(() => store.entries.where('visitId').equals(this.visitId).toArray()).subscribe((entries) => (this.entries = entries)),
			liveQuery(() => draftsOf(this.visitId)).subscribe((drafts) => (this.drafts = drafts))
		];
		return () => watched.forEach((w) => w.unsubscribe());
	}

	#lastFolded: Folded = fold([]);

	/** Lines of this hand that are held and on their way to the disk: the screen follows the hand, not the disk. */
	#foreseen = $state.raw<readonly KeptEntry[]>([]);

	/** Shows a held line at once. What the sheet cannot take is not shown; the disk refuses it with the reason. */
	foresee({ id, line, by, now_ms }: HeldLine): void {
		const stored = this.entries ?? [];
		const last = [...stored, ...this.#foreseen].reduce<string | null>((latest, e) => (latest === null || e.at > latest ? e.at : latest), null);
		const entry: KeptEntry = { ...line, id, at: tick(last, now_ms), by, device: HERE, state: 'kept' };
		if (whyUnfit(entry) !== null) return;
		const arrived = new Set(stored.map((e) => e.id));
		this.#foreseen = [...this.#foreseen.filter((e) => !arrived.has(e.id)), entry];
	}

	/** The disk would not take it. */
	forget = (id: string): void => void (this.#foreseen = this.#foreseen.filter((e) => e.id !== id));

	/** A refused line is not in the sheet; it stays readable in the list of what is kept. */
	#taken = $derived.by(() => {
		const stored = (this.entries ?? []).filter((e) => e.state !== 'refused');
		if (this.#foreseen.length === 0) return stored;
		const there = new Map((this.entries ?? []).map((e) => [e.id, e]));
		return [...stored, ...this.#foreseen.filter((e) => !there.has(e.id))];
	});

	/** A sheet from paper is typed without seeing what another typed, until one's own copy is done. */
	isBlind = $derived.by(() => {
		const me = this.packed()?.satchel.member;
		return me !== undefined && typesBlind(this.#taken, me.initials);
	});
	#seen = $derived.by(() => {
		const me = this.packed()?.satchel.member.id;
		return this.isBlind && me !== undefined ? seenBlind(this.#taken, me) : this.#taken;
	});

	folded: Folded = $derived.by(() => {
		// a line that came to the disk other than it was foreseen (another tab wrote there first) is folded anew
		const known = new Map(this.#lastFolded.entries.map((e) => [e.id, e]));
		const isAsForeseen = this.#seen.every((e) => {
			const before = known.get(e.id);
			return !before || before.device !== HERE || (before.at === e.at && before.was === e.was);
		});
		return (this.#lastFolded = isAsForeseen ? foldOnto(this.#lastFolded, this.#seen) : fold(this.#seen));
	});
	/** The line that stands at a place, by its id. */
	liveAt = (path: string): string | null => this.folded.lines.get(path)?.live?.id ?? null;
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
