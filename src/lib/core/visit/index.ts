// the one function
export { evaluate } from './evaluate';
// what it says
export { NOTHING_FOLLOWS } from './outcome';
export type { Missing, Outcome, RunningClock, StepState } from './outcome';
// judged, and what is doubtful about a figure
export { doubtsAbout, judgedText, undoubted, verdictPath } from './reviews';
// what the site has shown before
export { withHistory } from './history';
