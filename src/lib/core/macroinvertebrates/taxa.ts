import { parse } from './taxon';

/*
 * Animals of wadeable streams, an example to begin with: larger groups and families, two lists of published values
 * beside them. Tolerance 0 (sensitive) to 10 is that of Hilsenhoff 1988 for insects, scuds and slaters and of later
 * compilations for the rest; score 1 to 10 (sensitive) that of Armitage et al. 1983. They come from two continents:
 * one is no check on the other. An empty cell is an animal that the list does not rate. Whoever answers for a
 * program's data holds them against the source that its authority uses.
 */
export const taxa = parse(`
Plecoptera|order|Plecoptera|stonefly|||
Capniidae|family|Plecoptera|stonefly|1|10|sensitive
Chloroperlidae|family|Plecoptera|stonefly|1|10|sensitive
Leuctridae|family|Plecoptera|stonefly|0|10|sensitive
Nemouridae|family|Plecoptera|stonefly|2|7|sensitive
Perlidae|family|Plecoptera|stonefly|1|10|sensitive
Perlodidae|family|Plecoptera|stonefly|2|10|sensitive
Pteronarcyidae|family|Plecoptera|stonefly|0||sensitive
Taeniopterygidae|family|Plecoptera|stonefly|2|10|sensitive
Ephemeroptera|order|Ephemeroptera|mayfly|||
Baetidae|family|Ephemeroptera|mayfly|4|4|sensitive
Baetiscidae|family|Ephemeroptera|mayfly|3||sensitive
Caenidae|family|Ephemeroptera|mayfly|7|7|sensitive
Ephemerellidae|family|Ephemeroptera|mayfly|1|10|sensitive
Ephemeridae|family|Ephemeroptera|mayfly|4|10|sensitive
Heptageniidae|family|Ephemeroptera|mayfly|4|10|sensitive
Leptophlebiidae|family|Ephemeroptera|mayfly|2|10|sensitive
Oligoneuriidae|family|Ephemeroptera|mayfly|2||sensitive
Polymitarcyidae|family|Ephemeroptera|mayfly|2||sensitive
Potamanthidae|family|Ephemeroptera|mayfly|4|10|sensitive
Siphlonuridae|family|Ephemeroptera|mayfly|7|10|sensitive
Odonata|order|Odonata|dragonfly or damselfly|||
Aeshnidae|family|Odonata|dragonfly|3|8|middling
Cordulegastridae|family|Odonata|dragonfly|3|8|middling
Corduliidae|family|Odonata|dragonfly|5|8|middling
Gomphidae|family|Odonata|dragonfly|1|8|middling
Libellulidae|family|Odonata|dragonfly|9|8|middling
Macromiidae|family|Odonata|dragonfly|3||middling
Calopterygidae|family|Odonata|damselfly|5|8|middling
Coenagrionidae|family|Odonata|damselfly|9|6|middling
Lestidae|family|Odonata|damselfly|9|8|middling
Platycnemididae|family|Odonata|damselfly||6|middling
Trichoptera|order|Trichoptera|caddisfly|||
Brachycentridae|family|Trichoptera|caddisfly|1|10|sensitive
Glossosomatidae|family|Trichoptera|caddisfly|0||sensitive
Helicopsychidae|family|Trichoptera|caddisfly|3||sensitive
Hydroptilidae|family|Trichoptera|caddisfly|4|6|sensitive
Lepidostomatidae|family|Trichoptera|caddisfly|1|10|sensitive
Leptoceridae|family|Trichoptera|caddisfly|4|10|sensitive
Limnephilidae|family|Trichoptera|caddisfly|4|7|sensitive
Molannidae|family|Trichoptera|caddisfly|6|10|sensitive
Odontoceridae|family|Trichoptera|caddisfly|0|10|sensitive
Philopotamidae|family|Trichoptera|caddisfly|3|8|sensitive
Phryganeidae|family|Trichoptera|caddisfly|4|10|sensitive
Polycentropodidae|family|Trichoptera|caddisfly|6|7|sensitive
Psychomyiidae|family|Trichoptera|caddisfly|2|8|sensitive
Rhyacophilidae|family|Trichoptera|caddisfly|0|7|sensitive
Sericostomatidae|family|Trichoptera|caddisfly|3|10|sensitive
Beraeidae|family|Trichoptera|caddisfly||10|sensitive
Goeridae|family|Trichoptera|caddisfly||10|sensitive
Hydropsychidae|family|Trichoptera|net-spinning caddisfly|4|5|middling
Megaloptera|order|Megaloptera|alderfly or dobsonfly|||
Corydalidae|family|Megaloptera|dobsonfly|0||sensitive
Sialidae|family|Megaloptera|alderfly|4|4|middling
Pyralidae|family|Lepidoptera|aquatic moth|5||middling
Coleoptera|order|Coleoptera|beetle|||
Elmidae|family|Coleoptera|riffle beetle|4|5|sensitive
Psephenidae|family|Coleoptera|water penny|4||sensitive
Dryopidae|family|Coleoptera|long-toed water beetle|5|5|middling
Dytiscidae|family|Coleoptera|diving beetle||5|middling
Gyrinidae|family|Coleoptera|whirligig beetle||5|middling
Haliplidae|family|Coleoptera|crawling water beetle||5|middling
Hydrophilidae|family|Coleoptera|water scavenger beetle||5|middling
Scirtidae|family|Coleoptera|marsh beetle||5|middling
Hemiptera|order|Hemiptera|water bug|||
Corixidae|family|Hemiptera|water boatman||5|middling
Gerridae|family|Hemiptera|pond skater||5|middling
Nepidae|family|Hemiptera|water scorpion||5|middling
Naucoridae|family|Hemiptera|creeping water bug||5|middling
Notonectidae|family|Hemiptera|backswimmer||5|middling
Pleidae|family|Hemiptera|pygmy backswimmer||5|middling
Mesoveliidae|family|Hemiptera|pond treader||5|middling
Hydrometridae|family|Hemiptera|water measurer||5|middling
Aphelocheiridae|family|Hemiptera|river bug||10|middling
Diptera|order|Diptera|fly larva|||
Athericidae|family|Diptera|watersnipe fly|2||sensitive
Blephariceridae|family|Diptera|net-winged midge|0||sensitive
Ceratopogonidae|family|Diptera|biting midge|6||middling
Chironomidae-red|family|Diptera|blood-red midge|8|2|tolerant
Chironomidae|family|Diptera|midge|6|2|tolerant
Simuliidae|family|Diptera|black fly|6|5|middling
Tipulidae|family|Diptera|crane fly|3|5|middling
Psychodidae|family|Diptera|moth fly|10||tolerant
Syrphidae|family|Diptera|rat-tailed maggot|10||tolerant
Dolichopodidae|family|Diptera|long-legged fly|4||middling
Empididae|family|Diptera|dance fly|6||middling
Ephydridae|family|Diptera|shore fly|6||tolerant
Muscidae|family|Diptera|house-fly kin|6||tolerant
Tabanidae|family|Diptera|horse fly|6||middling
Amphipoda|order|Amphipoda|scud|||
Gammaridae|family|Amphipoda|scud|4|6|middling
Talitridae|family|Amphipoda|scud|8||middling
Corophiidae|family|Amphipoda|scud||6|middling
Isopoda|order|Isopoda|water louse|||
Asellidae|family|Isopoda|water louse|8|3|middling
Decapoda|order|Decapoda|crayfish|||
Astacidae|family|Decapoda|crayfish||8|middling
Cambaridae|family|Decapoda|crayfish|||middling
Gastropoda|order|Gastropoda|snail|||
Viviparidae|family|Gastropoda|gilled snail||6|sensitive
Hydrobiidae|family|Gastropoda|gilled snail||3|middling
Valvatidae|family|Gastropoda|gilled snail||3|middling
Neritidae|family|Gastropoda|gilled snail||6|sensitive
Physidae|family|Gastropoda|lunged snail|8|3|tolerant
Lymnaeidae|family|Gastropoda|lunged snail|6|3|tolerant
Planorbidae|family|Gastropoda|lunged snail||3|tolerant
Ancylidae|family|Gastropoda|river limpet||6|middling
Bivalvia|order|Bivalvia|mussel or clam|||
Sphaeriidae|family|Bivalvia|pea clam|8|3|middling
Unionidae|family|Bivalvia|mussel||6|middling
Oligochaeta|class|Oligochaeta|aquatic worm|8|1|tolerant
Hirudinea|class|Hirudinea|leech|10||tolerant
Glossiphoniidae|family|Hirudinea|leech||3|tolerant
Erpobdellidae|family|Hirudinea|leech||3|tolerant
Piscicolidae|family|Hirudinea|leech||4|middling
Hirudinidae|family|Hirudinea|leech||3|tolerant
Turbellaria|class|Tricladida|flatworm|4||middling
Planariidae|family|Tricladida|flatworm||5|middling
Dendrocoelidae|family|Tricladida|flatworm||5|middling
Acariformes|order|Acari|water mite|4||middling
`);
