import { taxa } from './taxa';
import type { Taxon } from './taxon';

/*
 * What other lists call the animals of ours: genera by their family, families that were split from one or joined to
 * it since the score lists were published, subfamilies. Only what belongs to one kind alone stands here; the rest is
 * asked.
 */
const others: Readonly<Record<string, string>> = {
	Acariformes: 'Acari, Hydracarina, Hydrachnidia, Trombidiformes',
	Aeshnidae: 'Aeshna, Anax, Boyeria',
	Ancylidae: 'Acroloxidae, Acroloxus, Ancylus',
	Aphelocheiridae: 'Aphelocheirus',
	Asellidae: 'Asellus, Caecidotea, Proasellus',
	Astacidae: 'Astacus, Austropotamobius, Pacifastacus',
	Athericidae: 'Atherix, Ibisia',
	Baetidae: 'Alainites, Baetis, Centroptilum, Cloeon',
	Brachycentridae: 'Brachycentrus, Micrasema',
	Caenidae: 'Caenis',
	Calopterygidae: 'Agriidae, Calopteryx, Hetaerina',
	Cambaridae: 'Cambarus, Faxonius, Orconectes, Procambarus',
	Capniidae: 'Allocapnia, Capnia',
	Ceratopogonidae: 'Bezzia, Culicoides',
	Chironomidae: 'Chironominae, Diamesinae, Orthocladiinae, Prodiamesinae, Tanypodinae, Tanytarsini',
	Chloroperlidae: 'Chloroperla, Siphonoperla, Sweltsa',
	Coenagrionidae: 'Argia, Coenagrion, Coenagriidae, Enallagma, Ischnura, Pyrrhosoma',
	Cordulegastridae: 'Cordulegaster',
	Corixidae: 'Corixa, Micronecta, Sigara',
	Corydalidae: 'Chauliodes, Corydalus, Nigronia',
	Dendrocoelidae: 'Bdellocephala, Dendrocoelum',
	Dytiscidae: 'Agabus, Dytiscus, Ilybius, Platambus',
	Elmidae: 'Dubiraphia, Elminthidae, Elmis, Limnius, Optioservus, Oulimnius, Stenelmis',
	Ephemerellidae: 'Drunella, Ephemerella, Serratella',
	Ephemeridae: 'Ephemera, Hexagenia',
	Erpobdellidae: 'Dina, Erpobdella, Trocheta',
	Gammaridae: 'Crangonyctidae, Crangonyx, Echinogammarus, Gammarus, Niphargidae, Niphargus',
	Gerridae: 'Aquarius, Gerris',
	Glossiphoniidae: 'Glossiphonia, Helobdella, Theromyzon',
	Glossosomatidae: 'Agapetus, Glossosoma',
	Goeridae: 'Goera, Silo',
	Gomphidae: 'Gomphus, Onychogomphus, Ophiogomphus',
	Gyrinidae: 'Dineutus, Gyrinus, Orectochilus',
	Haliplidae: 'Haliplus, Peltodytes',
	Heptageniidae: 'Ecdyonuridae, Ecdyonurus, Epeorus, Heptagenia, Maccaffertium, Rhithrogena, Stenacron, Stenonema',
	Hydrobiidae: 'Bithynia, Bithyniidae, Hydrobia, Potamopyrgus, Tateidae',
	Hydropsychidae: 'Ceratopsyche, Cheumatopsyche, Diplectrona, Hydropsyche',
	Hydroptilidae: 'Hydroptila, Ithytrichia, Oxyethira',
	Lepidostomatidae: 'Lepidostoma',
	Leptoceridae: 'Athripsodes, Mystacides, Oecetis',
	Leptophlebiidae: 'Habrophlebia, Leptophlebia, Paraleptophlebia',
	Lestidae: 'Lestes',
	Leuctridae: 'Leuctra',
	Limnephilidae: 'Anabolia, Halesus, Limnephilus, Potamophylax, Pycnopsyche',
	Lymnaeidae: 'Galba, Lymnaea, Radix, Stagnicola',
	Nemouridae: 'Amphinemura, Nemoura, Protonemura',
	Nepidae: 'Nepa, Ranatra',
	Neritidae: 'Theodoxus',
	Notonectidae: 'Notonecta',
	Odontoceridae: 'Odontocerum, Psilotreta',
	Oligochaeta:
		'Enchytraeidae, Haplotaxidae, Limnodrilus, Lumbricidae, Lumbriculidae, Lumbriculus, Naididae, Stylaria, Tubifex, Tubificidae',
	Perlidae: 'Acroneuria, Agnetina, Dinocras, Paragnetina, Perla',
	Perlodidae: 'Isogenus, Isoperla, Perlodes',
	Philopotamidae: 'Chimarra, Philopotamus, Wormaldia',
	Physidae: 'Physa, Physella',
	Piscicolidae: 'Piscicola',
	Planariidae: 'Crenobia, Dugesia, Dugesiidae, Phagocata, Planaria, Polycelis',
	Planorbidae: 'Bulinidae, Gyraulus, Helisoma, Planorbarius, Planorbis',
	Polycentropodidae: 'Neureclipsis, Plectrocnemia, Polycentropus',
	Psephenidae: 'Ectopria, Psephenus',
	Psychomyiidae: 'Psychomyia, Tinodes',
	Pteronarcyidae: 'Pteronarcys',
	Rhyacophilidae: 'Rhyacophila',
	Scirtidae: 'Elodidae, Helodidae',
	Sericostomatidae: 'Sericostoma',
	Sialidae: 'Sialis',
	Simuliidae: 'Prosimulium, Simulium',
	Sphaeriidae: 'Pisidiidae, Pisidium, Sphaerium',
	Taeniopterygidae: 'Brachyptera, Strophopteryx, Taeniopteryx',
	Tipulidae: 'Antocha, Cylindrotomidae, Dicranota, Hexatoma, Limoniidae, Pedicia, Pediciidae, Tipula',
	Turbellaria: 'Tricladida',
	Unionidae: 'Anodonta, Unio',
	Valvatidae: 'Valvata',
	Viviparidae: 'Viviparus'
};

/** Letters alone, small: `Chironomidae (red)` and `chironomidae-red` are one word. */
const bare = (text: string): string => text.toLowerCase().replace(/[^\p{L}]/gu, '');
/** What stands beside a name and is none: how old the animal is, and that nobody could tell further. */
const BESIDE = /\b(larvae?|nymphs?|pupae?|adults?|family|genus|spp?|indet|undet|juv)\b\.?/giu;

const byName = new Map<string, Taxon>(taxa.map((taxon) => [bare(taxon.code), taxon]));
const byOther = new Map<string, Taxon>(
	Object.entries(others).flatMap(([code, names]) =>
		names.split(', ').map((name) => [bare(name), byName.get(bare(code))!] as const)
	)
);
// what people call an animal, where one kind alone is called so
const isShared = (taxon: Taxon) => taxa.some((other) => other !== taxon && other.name === taxon.name);
for (const taxon of taxa) if (!isShared(taxon)) byOther.set(bare(taxon.name), taxon);

/** An animal as a list names it: the same name as ours, or another one for it. */
export interface NamedTaxon {
	taxon: Taxon;
	/** It is called otherwise here, or told no further. */
	isOther: boolean;
}

/**
 * The kind that a list's word means; null where it could be several, or none. A species is found by its genus. Genera
 * and families as in the score lists' own counting of what was split since (Armitage et al. 1983).
 */
export function taxonNamed(word: string): NamedTaxon | null {
	const text = word.replaceAll(BESIDE, ' ').trim();
	const whole = bare(text);
	const same = byName.get(whole);
	if (same) return { taxon: same, isOther: false };
	const other = byOther.get(whole) ?? byOther.get(bare(text.split(/\s+/)[0] ?? ''));
	return other ? { taxon: other, isOther: true } : null;
}

/** All words by which a kind is found, as they are written: to offer those that are nearly the one that was asked. */
export const taxonWords: readonly { word: string; code: string }[] = [
	...taxa.map(({ code }) => ({ word: code, code })),
	...Object.entries(others).flatMap(([code, names]) => names.split(', ').map((word) => ({ word, code })))
];
