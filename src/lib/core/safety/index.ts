// to wade or not
export { wadingRuleAt, wadingStanding, WadingLimit, type WadingRule, type Water } from './wading';
// said at the step
export { cautionFor } from './cautions';
