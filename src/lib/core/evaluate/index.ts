// the one function
export { evaluate } from './evaluate';
// what it is told
export type { Context, InstrumentFacts, Usual } from './context';
// what it says
export type { GaugingView, Missing, Outcome, Result, ReviewStatus, RunningClock, StepState, VerticalView } from './outcome';
export { judgedText } from './reviews';
export { pathsOf } from './steps';
export { withHistory } from './history';
