import { liveQuery } from 'dexie';
import { untrack } from 'svelte';
import type { Outcome } from '$lib/core/visit';
import { type GaugingView } from '$lib/core/subjects/gauging/view';
import { type Context } from '$lib/core/subjects/context';
import { fold, foldOnto, seenBlind, tick, typesBlind, whyUnfit, type Folded } from '$lib/core/logbook';
import { aroundVisit, type OtherBottles } from './around-visit';
import { heldLines, type HeldLine } from './held';
import { orderSteps, type OrderedStep } from '$lib/core/method';
import { contextFrom, instrumentsOf, type SatchelSite } from '$lib/core/satchel';
import { draftsOf, store, type KeptEntry, type Packed } from './store';

const NO_BOTTLES: OtherBottles = { openings: [], lines: [] };

/**
 * What works out what follows from a sheet. It is as large as all else that a step needs, and fetched by itself: a
 * sheet can be on the screen before it has come. Fetched once, and there at once for the next visit.
 */
const fetchWorking = async () => {
	const [{ evaluate }, { gaugingViews }] = await Promise.all([
		import('$lib/core/visit/evaluate'),
		import('$lib/core/subjects/gauging/section')
	]);
	return { evaluate, gaugingViews };
};
type Working = Awaited<ReturnType<typeof fetchWorking>>;
let fetched: Working | null = null;

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
		now_ms: () => number,
		readonly otherBottles: () => OtherBottles = () => NO_BOTTLES,
		/** Whoever only handles the bottles types no copy of a sheet, and sees both. */
		readonly typesCopies = true
	) {
		this.packed = packed;
		this.now_ms = now_ms;
	}

	/** Follows the store, across tabs. Returns a way to stop. */
	follow(): () => void {
		// what a reload caught on its way to the disk shows at once, as it did before
		untrack(() => heldLines().forEach((held) => held.line.visitId === this.visitId && this.foresee(held)));
		const watched = [
			liveQuery(() => store.entries.where('visitId').equals(this.visitId).toArray()).subscribe(
				(entries) => (this.entries = entries)
			),
			liveQuery(() => draftsOf(this.visitId)).subscribe((drafts) => (this.drafts = drafts))
		];
		return () => watched.forEach((w) => w.unsubscribe());
	}

	/** Shows what is being typed at once: the next tap counts from it, and must not wait for the disk. */
	foreseeDraft(path: string, text: string): void {
		if (this.drafts === null) return; // not looked up yet: they come with this one among them
		const drafts = { ...this.drafts, [path]: text };
		if (text === '') delete drafts[path];
		this.drafts = drafts;
	}

	#working = $state.raw<Working | null>(fetched);
	/** What works it out did not come, with no network before all was on this device. */
	isPartLost = $state(false);
	/** From here on the outcome is worked out; before, there is none. */
	async workOut(): Promise<void> {
		try {
			this.#working = fetched ??= await fetchWorking();
			this.isPartLost = false;
		} catch {
			this.isPartLost = true;
		}
	}

	#lastFolded: Folded = fold([]);

	/** Lines of this hand that are held and on their way to the disk: the screen follows the hand, not the disk. */
	#foreseen = $state.raw<readonly KeptEntry[]>([]);

	/** Shows a held line at once. What the sheet cannot take is not shown; the disk refuses it with the reason. */
	foresee({ id, line, by, now_ms }: HeldLine): void {
		const last = latestOf(this.#foreseen, this.#stored.latest);
		const entry: KeptEntry = { ...line, id, at: tick(last, now_ms), by, device: HERE, state: 'kept' };
		if (whyUnfit(entry) !== null) return;
		this.#foreseen = [...this.#foreseen.filter((e) => !this.#stored.ids.has(e.id)), entry];
	}

	/** The disk would not take it. */
	forget = (id: string): void => void (this.#foreseen = this.#foreseen.filter((e) => e.id !== id));

	/** What the disk has, looked through once and not with every key. */
	#stored = $derived.by(() => {
		const entries = this.entries ?? [];
		return {
			ids: new Set(entries.map((e) => e.id)),
			latest: latestOf(entries),
			taken: entries.filter((e) => e.state !== 'refused')
		};
	});

	/** A refused line is not in the sheet; it stays readable in the list of what is kept. */
	#taken = $derived.by(() => {
		const { taken, ids } = this.#stored;
		return [...taken, ...this.#foreseen.filter((e) => !ids.has(e.id))];
	});

	/** A sheet from paper is typed without seeing what another typed, until one's own copy is done. */
	isBlind = $derived.by(() => {
		const me = this.packed()?.satchel.member;
		return this.typesCopies && me !== undefined && typesBlind(this.#taken, me.initials);
	});
	#seen = $derived.by(() => {
		const me = this.packed()?.satchel.member.id;
		return this.isBlind && me !== undefined ? seenBlind(this.#taken, me) : this.#taken;
	});

	folded: Folded = $derived.by(() => {
		// a line that came to the disk other than it was foreseen (another tab wrote there first) is folded anew
		const foreseen = this.#lastFolded.entries.filter((e) => e.device === HERE);
		const isAsForeseen = foreseen.every((before) => {
			const e = this.#seen.find((now) => now.id === before.id);
			return !e || (before.at === e.at && before.was === e.was);
		});
		return (this.#lastFolded = isAsForeseen ? foldOnto(this.#lastFolded, this.#seen) : fold(this.#seen));
	});
	/** The line that stands at a place, by its id. */
	liveAt = (path: string): string | null => this.folded.lines.get(path)?.live?.id ?? null;
	opening = $derived(this.folded.sheet.opening ?? null);
	site: SatchelSite | null = $derived.by(
		() => this.packed()?.satchel.sites.find((s) => s.id === this.opening?.siteId) ?? null
	);
	card = $derived.by(
		() => this.packed()?.satchel.cards.find((c) => c.id === this.opening?.cardVersionId)?.card ?? null
	);

	steps: OrderedStep[] = $derived.by(() => {
		if (!this.card) return [];
		const order = orderSteps(this.card);
		return 'steps' in order ? order.steps : this.card.steps.map((step) => ({ step, because: [] }));
	});

	/** The gaugings alone: a hand in the water waits for them with every key. */
	gaugings: GaugingView[] = $derived.by(() => {
		const [packed, working] = [this.packed(), this.#working];
		return packed && this.card && working
			? working.gaugingViews(this.folded, this.card, instrumentsOf(packed.satchel)).map((g) => g.view)
			: [];
	});

	/** What the rest of the trip means for this visit. */
	around: Pick<Context, 'trip' | 'labelsElsewhere'> = $derived.by(() => {
		const packed = this.packed();
		return packed ? aroundVisit(packed.satchel, this.visitId, this.opening, this.otherBottles()) : {};
	});

	outcome: Outcome | null = $derived.by(() => this.outcomeOf(this.folded, this.now_ms()));

	/** What follows from these lines at that moment. */
	outcomeOf(folded: Folded, now_ms: number): Outcome | null {
		const [packed, working] = [this.packed(), this.#working];
		const context =
			packed && this.opening ? contextFrom(packed.satchel, this.opening.siteId, now_ms, this.around) : null;
		return context && this.card && working ? working.evaluate(folded, this.card, context) : null;
	}
}

const latestOf = (entries: readonly KeptEntry[], from: string | null = null): string | null =>
	entries.reduce<string | null>((latest, e) => (latest === null || e.at > latest ? e.at : latest), from);
