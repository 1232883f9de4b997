// to wade or not
export { ABSOLUTE, wadingRuleAt, wadingStanding, WadingLimit, type WadingRule, type Water } from './wading';
// said at the step
export { cautionFor, COLD_WATER_C } from './cautions';
