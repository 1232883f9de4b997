// how long a bottle keeps
export { heldFor_h, holdingTime, type Holding } from './holding';
// what stands on a bottle
export { labelCode, readLabelCode, roundLabels, type BottleLabel, type SampleRole } from './labels';
// how it is filled
export { fillingGuide } from './technique';
