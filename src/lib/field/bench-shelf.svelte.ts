import { liveQuery } from 'dexie';
import { fold, type Folded, type Sheet } from '$lib/core/logbook';
import type { MethodCard } from '$lib/core/method';
import type { Usual } from '$lib/core/subjects/context';
import { store, type KeptEntry, type Packed } from './store';

export interface BenchVisit {
	id: string;
	siteName: string;
	/** What its site mostly showed of E. coli in 100 mL; null where too few were read. */
	usual: Usual | null;
	card: MethodCard;
	sheet: Pick<Sheet, 'bottles' | 'plates' | 'growthTubes' | 'titrations'>;
	lines: Folded['lines'];
}

/** All bottles, plates, tubes and fixed bottles on this device, by the visits that they are of. */
export class BenchShelf {
	#lines = $state.raw<KeptEntry[]>([]);
	constructor(readonly packed: () => Packed | null) {}

	/** Follows the store, across tabs. Returns a way to stop. */
	follow(): () => void {
		const watching = liveQuery(() =>
			store.entries
				.where('path')
				.startsWithAnyOf('opening', 'bottles/', 'plates/', 'growthTubes/', 'titrations/')
				.filter((e) => e.state !== 'refused')
				.toArray()
		).subscribe((lines) => (this.#lines = lines));
		return () => watching.unsubscribe();
	}

	visits: BenchVisit[] = $derived.by(() => {
		const satchel = this.packed()?.satchel;
		if (!satchel) return [];
		const byVisit = new Map<string, KeptEntry[]>();
		for (const line of this.#lines) {
			const before = byVisit.get(line.visitId);
			if (before) before.push(line);
			else byVisit.set(line.visitId, [line]);
		}
		return [...byVisit].flatMap(([id, lines]) => {
			const { sheet, lines: folded } = fold(lines);
			const card = satchel.cards.find((c) => c.id === sheet.opening?.cardVersionId)?.card;
			const site = satchel.sites.find((s) => s.id === sheet.opening?.siteId);
			return card
				? [{ id, card, sheet, lines: folded, siteName: site?.name ?? '', usual: site?.usual['e-coli'] ?? null }]
				: [];
		});
	});
}
