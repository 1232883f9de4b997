// the card
export { MethodCard, OrderRule, shownUnit, waysOf } from './card';
// in which units its figures are shown
export { shownAs } from './shown';
// the order of its steps
export { comesFirst, orderSteps, pairsOf, type OrderedStep, type StepOrder } from './order';
// shipped cards
export { streamVisit, streamVisit1 } from './cards/stream-visit';
export { fullVisit } from './cards/full-visit';
export { shippedCards } from './cards/schools';
// numbers on which programs differ
export { Limits, limitsOf, MOST_PLATES } from './limits';
// what is done, put together
export { compose, readChanges, type Change, type Composed } from './compose';
// what may be set in it, and what contradicts itself
export { compareCards, settingsOf, withSettings, type Difference } from './settings';
export { contradictions, type Contradiction } from './contradictions';
