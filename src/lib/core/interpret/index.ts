export { changesDrawn, wayChanges, waysCounted } from './way-changes';
// a site's animals from year to year, in words
export { sayBetweenSites, sayIndexChange } from './words/animals';
export { sayBlanks } from './words/blanks';
export { sayMethodLine, sayWaysApart } from './words/ways-apart';
// working in words
export { sayWorking } from './words/working';
// what is due, in words
export { sayItem, type Said } from './words/agenda';
// by when at the lab, and why
export { sayDeadline } from './words/deadline';
// a box on its way to a lab
export { nextJourney, sayJourney, whyNotThere } from './words/journey';
// a place of the sheet in words
export { sayPlace, sayWritten } from './words/place';
// a site in a few words
export { siteLine } from './site-line';
// judged against a use
export {
	judge,
	saidOn,
	sayVerdict,
	statistics,
	Threshold,
	thresholdsAt,
	verdictOn,
	type Band,
	type Said as SaidOnUse
} from './thresholds';
export { seasonStanding, type Standing } from './season-standing';
// in the unit that it is read in
export { pointIn, stretchIn, thresholdIn, trendIn } from './in-unit';
// over the years
export { siteTrend, type SiteTrend, type TrendPoint } from './site-trend';
export { sayTrend } from './words/trend';
// a plan in words
export { sayBreach, sayGear, sayMinutes, sayPlanDay, sayRemedy, sayWait, saySamplerNeed, sayUnmet } from './words/plan';
