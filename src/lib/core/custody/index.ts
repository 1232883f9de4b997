// how long a bottle keeps
export { heldFor_h, holdingTime, type Holding } from './holding';
export { labDeadline, type LabDeadline, type Trip } from './deadline';
// what a bottle can give
export { heldBeforeAnalysis, nutrientHolding_h, ruleFor, whyNotFrom, type AnalysisRule } from './analyses';
// what leaves by courier
export { bagsOf, isForLab, tooOldAt, whatLacks, type BottleToSend, type Lack } from './shipment';
export {
	KnownBoxes,
	packing,
	type Box,
	type Boxes,
	type JourneyAhead,
	type PackedBottle,
	type Packing
} from './known-boxes';
export { ARRIVAL, BoxWord, boxesAfter, byAge, hasArrived, type BoxWordWithout } from './boxes';
// what stands on a bottle
export { labelCode, readLabelCode, roundLabels, voucherCode, type BottleLabel, type SampleRole } from './labels';
// how it is filled
export { blankWater, fillingGuide } from './technique';
