// time in words
export { instantOfTime, isoDay, minuteOfClock, sayDay, sayDuration, sayMonth, sayTime } from './time';
// figures and values in words
export { saySure, sayValue, type Limits95 } from './value';
// how a figure was found
export { wayWords } from './way';
// so many of something
export { counted, withArticle } from './count';
// a title inside a sentence
export { capitalised, inSentence } from './sentence';
