import type { AnimalList, OwnAnimal, Taxon } from '../macroinvertebrates';
import type { Chances, Described, Question } from './described';

/** What a program says that its kind shows, it shows nine times of ten; else it is like those it belongs to. */
const SAID = 0.9;

/** The key's kinds with those of a program among them. */
export interface WithOwn {
	described: Described[];
	/** By kind that was there before: those that the program tells apart in it. */
	narrower: ReadonlyMap<string, string[]>;
}

/**
 * Takes the kinds that a program describes into the key. One that is part of a kind of the key shares its place with
 * it: the family is as common as before, its kinds and the rest of it alike. One that is part of an order alone stands
 * beside the families. What is said of a kind that is there already takes the place of its words.
 */
export function ownInKey(
	own: readonly OwnAnimal[],
	animals: AnimalList,
	shipped: readonly Described[],
	questions: readonly Question[]
): WithOwn {
	const known = new Map(shipped.map((t) => [t.code, t]));
	const added = own.flatMap((said) => {
		const taxon = animals.of(said.code);
		if (known.has(said.code) || said.shows.length === 0 || taxon?.code !== said.code) return [];
		const family = taxon.within.find((code) => known.has(code)) ?? null;
		const models = family === null ? shipped.filter((t) => isBeside(t, taxon, animals)) : [known.get(family)!];
		return models.length === 0 ? [] : [{ family, kind: like(models, said, questions) }];
	});
	const narrower = new Map<string, string[]>();
	for (const { family, kind } of added)
		if (family !== null) narrower.set(family, [...(narrower.get(family) ?? []), kind.code]);
	const shareIn = (family: string | null) => 1 / (1 + (family === null ? 0 : (narrower.get(family)?.length ?? 0)));
	const saidOf = new Map(own.map((said) => [said.code, said]));
	return {
		narrower,
		described: [
			...shipped.map((t) => ({ ...reworded(t, saidOf.get(t.code)), share: shareIn(t.code) })),
			...added.map(({ family, kind }) => ({
				...kind,
				share: family === null ? 1 : shareIn(family),
				likeness: added
					.filter((other) => other.family === family && family !== null && other.kind !== kind && other.kind.tell)
					.map((other) => ({ taxon: other.kind.code, apart: other.kind.tell }))
			}))
		]
	};
}

const isBeside = (t: Described, taxon: Taxon, animals: AnimalList) =>
	taxon.within[0] !== undefined && animals.isWithin(t.code, taxon.within[0]);

const reworded = (t: Described, said: OwnAnimal | undefined): Described => ({
	...t,
	tell: said?.tell || t.tell,
	drawing: said?.drawing ?? t.drawing
});

/** A kind that is like others, but for what is said of it. */
function like(models: readonly Described[], { code, tell, drawing, shows }: OwnAnimal, questions: readonly Question[]) {
	const [first] = models as [Described];
	const chances: Chances = {};
	for (const { id, states } of questions) {
		const usual = meanOf(models, id);
		const said = states.filter((state) => shows.some((s) => s.character === id && s.state === state.id));
		if (said.length === 0) {
			if (usual) chances[id] = usual;
			continue;
		}
		const rest = usual ?? Object.fromEntries(states.map((s) => [s.id, 1 / states.length]));
		chances[id] = Object.fromEntries(
			states.map((s) => {
				const share = said.includes(s) ? SAID / said.length : 0;
				return [s.id, share + (1 - SAID) * (rest[s.id] ?? 0)];
			})
		);
	}
	const isOne = models.length === 1;
	return {
		code,
		drawing: drawing ?? first.drawing,
		size_mm: [Math.min(...models.map((m) => m.size_mm[0])), Math.max(...models.map((m) => m.size_mm[1]))],
		moves: isOne ? first.moves : '',
		where: isOne ? first.where : '',
		tell,
		chances
	} satisfies Omit<Described, 'likeness'>;
}

/** How often kinds show each state, all of them and all of their forms alike; undefined where it is known of none. */
function meanOf(models: readonly Described[], question: string): Record<string, number> | undefined {
	const rows = models.flatMap((m) => {
		const forms: { share: number; chances: Chances }[] = m.forms ?? [{ share: 1, chances: {} }];
		return forms.flatMap(({ share, chances }) => {
			const row = chances[question] ?? m.chances[question];
			return row === undefined ? [] : [{ share, row }];
		});
	});
	if (rows.length === 0) return undefined;
	const mean: Record<string, number> = {};
	for (const { share, row } of rows) {
		const sum = Object.values(row).reduce((a, b) => a + b, 0);
		for (const [state, p] of Object.entries(row)) mean[state] = (mean[state] ?? 0) + (share * p) / sum;
	}
	const all = rows.reduce((sum, r) => sum + r.share, 0);
	return Object.fromEntries(Object.entries(mean).map(([state, p]) => [state, p / all]));
}
