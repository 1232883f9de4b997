// the line and its clock
export { Entry, whyUnfit } from './entry';
export { instantOf, tick } from './clock';
// the sheet and its places
export { SourceId } from './leaf';
export { Opening, Verdict, verdicts, type Sheet } from './sheet';
export type { AccessWay, Danger, Position } from './branches/arrival';
export { seenBlind, typesBlind, wholeCopies } from './blind';
export {
	bottleKinds,
	preservatives,
	techniques,
	type BottleKind,
	type Preservative,
	type Technique
} from './branches/bottles';
export type { DiscSpoiler } from './branches/field-tests';
export {
	arithmetics,
	gaugingMethods,
	velocitySchools,
	type Arithmetic,
	type GaugingMethod,
	type VelocitySchool
} from './branches/gaugings';
export { placeAt, whyRefused, type Place } from './path';
// from lines to sheet
export { fold, foldOnto, type Conflict, type Folded, type Line } from './fold';
// its choices in words
export {
	accessWords,
	arithmeticWords,
	dangerWords,
	discSpoilerWords,
	gaugingWords,
	schoolWords,
	techniqueWords
} from './names';
