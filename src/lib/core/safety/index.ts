// to wade or not
export { wadingStanding, WadingLimit, type Water } from './wading';
// said at the step
export { cautionFor } from './cautions';
