// the line and its clock
export { Entry, whyUnfit } from './entry';
export { instantOf, SKEW_WORTH_SAYING_ms, tick } from './clock';
// the sheet and its places
export type { Sheet } from './sheet';
export { seenBlind, typesBlind, wholeCopies } from './blind';
export { placeAt, whyRefused, type Place } from './path';
// from lines to sheet
export { fold, foldOnto, type Conflict, type Folded, type Line } from './fold';
