// counts and their interval
export { poissonInterval } from './poisson';
export { cfuPer100mL, type Plate, type PlateResult } from './plates';
export { mostProbableNumber, patternRarity, type MostProbableNumber, type Tubes } from './most-probable-number';
// over a season
export { geometricMean, statisticalThresholdShare } from './season';
// duplicates
export { logRangeDuplicatePrecision, relativePercentDifference } from './duplicates';
// how much to pour
export { volumeFor, volumesBetween } from './dilution';
// plates that differ more than chance allows
export { dispersionTest } from './dispersion';
// marks on a photo, and a photo drawn by a model
export { sameMarks, type MarkPlace } from './marks';
export { simulatedPlate, type SimulatedPlate } from './simulated-plate';
