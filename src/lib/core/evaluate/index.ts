// the one function
export { evaluate } from './evaluate';
// what it is told
export type { Context, InstrumentFacts, Usual } from './context';
// what it says
export type {
	Flow,
	GaugingView,
	Missing,
	Outcome,
	Result,
	ReviewStatus,
	RunningClock,
	StepState,
	VerticalView
} from './outcome';
export { doubtsAbout, judgedText, undoubted, verdictPath } from './reviews';
export { earlierDuplicates } from './earlier-duplicates';
export { pathsOf, slotsAsked } from './steps';
export { titrated } from './titrations';
export { gaugingViews } from './gauging';
export { withHistory } from './history';
export { trialOf } from './arrival';
export { isBySection, wasRaised, wayAsked, wayTaken } from './way';
export { otherPreservative, rinsesAsked, whyWrong } from './handling';
export { colourPath, colourWait_s } from './field-tests';
