// time in words
export {
	clock24,
	dateStyles,
	instantOfTime,
	instantOnDay,
	isoDay,
	minuteOfClock,
	sayDate,
	sayDay,
	sayDuration,
	sayMinute,
	sayMonth,
	sayTime,
	sayWeekday,
	writeDatesBy,
	type DateStyle
} from './time';
// figures and values in words
export { saySure, sayValue, type Limits95 } from './value';
// how a figure was found
export { wayWords } from './way';
// so many of something
export { counted, withArticle } from './count';
// inside a sentence
export { capitalised, inSentence, listed } from './sentence';
