// what is asked
export { asLastTime, chosen, isAnswered, usualFirst, type Answers, type Choice, type Question } from './question';
export { hasRainedMuch } from './conditions';
export { forms, type FormName } from './forms';
// what may be answered
export { answersTo } from './schema';
