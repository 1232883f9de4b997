// the section
export { type Edges, type Section, type Vertical } from './section';
export { verticalVelocity, type PointReadings } from './vertical-velocity';
export { sectionArea } from './section-area';
// velocity-area schools
export {
	meanDepthDischarge,
	meanSectionDischarge,
	midSectionDischarge,
	midSectionWorking,
	type Gauging,
	type MidSection,
	type Panel
} from './velocity-area';
// how sure, and where next
export { iveUncertainty, type InterpolatedVariance } from './interpolated-variance';
export { isoUncertainty, type IsoComponents } from './iso-uncertainty';
export { nextBestVertical, type NextVertical } from './next-vertical';
// without a velocity meter
export { floatDischarge } from './float';
export { flumeDischarge, type FlumeDoubt } from './flume';
export { volumetricDischarge } from './volumetric';
// a sample of the whole section
export { compositeVolumes, middlesOf } from './composite';
// what it carries
export { load } from './load';
// ratings of flumes, and what a float's speed is worth
export { FlumeLaw, FlumeRating, USUAL_SUBMERGENCE } from './flume-rating';
export { FLOAT_COEFFICIENT_GIVE, floatCoefficient } from './float-coefficient';
// a tape that hangs through
export { sagTooLong_percent } from './tape-sag';
