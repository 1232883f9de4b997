// to wade or not
export { ABSOLUTE, wadingRuleAt, wadingStanding, WadingLimit, type WadingRule, type Water } from './wading';
// the limit in words
export { sayLimit, type WaterUnits } from './say-limit';
// said at the step
export { cautionFor, COLD_WATER_C } from './cautions';
