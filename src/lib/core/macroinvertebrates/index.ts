// kinds of animal, and what a sample of them says
export { taxa } from './taxa';
export { animalList, shippedAnimals, type AnimalList } from './animal-list';
export { animalWords } from './animal-words';
export { OwnAnimal } from './own-animal';
export { isLargerGroup, sensitivityGroups, taxonRanks, type SensitivityGroup, type Taxon } from './taxon';
export { communityOf, kindsThatCount, scoredAs, type Community, type Kind } from './community';
export { animalsToTell, classChances, exampleClasses, type QualityClass } from './quality-classes';
// how many kinds, how even
export { brayCurtis, chao1, jaccard, percentDominant, pielou, shannon, simpson } from './diversity';
// how unlike samples are, as a picture
export { principalCoordinates, type Ordination } from './ordination';
export { betweenSites, differs, type BetweenSites, type Differs } from './between-sites';
export { latestOfEach, quarterOf } from './latest-of-each';
export { rarefactionCurve, rarefy } from './rarefaction';
// what they say of the water
export { averageScorePerTaxon, eptRichness, familyBioticIndex } from './scores';
export { bioticIndexInterval } from './interval';
export { fromSquares, type FromSquares } from './squares';
// a site's animals from year to year
export {
	indexChange,
	kindsThroughYears,
	samplingSaid,
	type IndexChange,
	type KindThroughYears,
	type SamplingSaid
} from './through-years';
// when to stop picking
export { pickAdvice, type PickAdvice, type Picked } from './picking';
