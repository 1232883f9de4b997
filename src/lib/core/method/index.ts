// the card
export { MethodCard, OrderRule, shownUnit, Step } from './card';
export { sectionUnits, type SectionUnits } from './section-units';
// the order of its steps
export { orderSteps, pairsOf, type OrderedStep, type StepOrder } from './order';
// shipped cards
export { streamVisit, streamVisit1 } from './cards/stream-visit';
// numbers on which programs differ
export { Limits, limitsOf } from './limits';
