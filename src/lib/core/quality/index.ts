// how sure
export { coverage, readingUncertainty, type HowSure } from './uncertainty';
// slips of unit and point
export { readingSlips, slipGuesses, type Range, type SlipGuess } from './slips';
// an instrument against what is known
export { checkBuffers, checkSleeve, checkStandard, checkThermometer, type CalibrationRules } from './calibration';
export { Calibrated, calibrationForm } from './calibrated';
// a meter that comes to rest
export { settling, type Rest, type Settling, type Shown } from './settling';
// duplicates
export { duplicateLimit, ENOUGH_PAIRS, type DuplicateLimit } from './duplicates';
// two ways of one parameter
export { apartOf, apartScale, LEAST_PAIRS, waysApart, type WayPair, type WaysApart } from './ways-apart';
// what blanks say
export { blanksSay, LEAST_BLANKS, type BlanksSay } from './blanks';
