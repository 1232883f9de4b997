// the line and its clock
export { Entry, whyUnfit } from './entry';
export { instantOf, tick } from './clock';
// the sheet and its places
export { Opening, Verdict, verdicts, type AccessWay, type Sheet } from './sheet';
export { placeAt, whyRefused, type Place } from './path';
// from lines to sheet
export { fold, foldOnto, type Conflict, type Folded, type Line } from './fold';
