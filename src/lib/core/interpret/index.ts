// doubts in words
export { flagSentence } from './words/flags';
export { wayWords } from './words/way';
export { changesDrawn, wayChanges, waysCounted } from './way-changes';
// time in words
export { instantOfTime, isoDay, sayDay, sayDuration, sayTime } from './words/time';
// choices, values and limits in words
export { saySure, sayValue, type Limits95 } from './words/value';
export { sayLimit } from './words/wading';
// working in words
export { sayWorking } from './words/working';
// what is due, in words
export { sayItem, type Said } from './words/agenda';
// by when at the lab, and why
export { sayDeadline } from './words/deadline';
// so many of something
export { counted, withArticle } from './words/count';
// a title inside a sentence
export { inSentence } from './words/sentence';
// a place of the sheet in words
export { sayPlace } from './words/place';
// a site in a few words
export { siteLine } from './site-line';
// judged against a use
export { judge, sayVerdict, Threshold, verdictOn, type Band } from './thresholds';
// over the years
export { siteTrend, type SiteTrend, type TrendPoint } from './site-trend';
export { sayTrend } from './words/trend';
// a plan in words
export {
	sayBreach,
	sayGear,
	sayMinute,
	sayMinutes,
	sayPlanDay,
	sayRemedy,
	saySamplerNeed,
	sayUnmet
} from './words/plan';
