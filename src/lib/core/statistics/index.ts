// centre and spread
export { medianOfSorted, quantile } from './order';
export { mean, robustCv, standardDeviation } from './spread';
// without holding all values
export { nothingYet, putTogether, runningSd, withOneMore, type RunningSummary } from './running';
export { bootstrapInterval, type Resampling } from './bootstrap';
// distributions
export { gammaQuantile, gammaTails } from './distributions/gamma';
export { studentWithin } from './distributions/student';
// two samples
export { linearRegression, type Regression } from './regression';
export { mannWhitney, pairedWilcoxon, spearman } from './rank-tests';
export { beforeAfterControlImpact, geometricMeanRatio, hodgesLehmannShift } from './two-samples';
export { flowWeightedMean } from './weighted-mean';
export { logLogRating } from './rating';
export { gappy, type Gappy } from './samples';
// two methods
export { demingRegression, passingBablok, type MethodLine } from './methods-compared';
// in control
export { cusum, detectionLimit, duplicateSd, movingRangeLimits } from './control';
// somebody's practice
export { exactProportion, type Proportion } from './proportion';
export { countingBias, namingSkill, type TaxonSkill } from './practice';
// trend
export { mannKendall, type MannKendall } from './trend/mann-kendall';
export { theilSen, type TheilSen } from './trend/theil-sen';
export { seasonalKendall, seasonalSenSlope, type SeasonalKendall, type SeasonalSlope } from './trend/seasonal-kendall';
export { censoredSeasonalSlope, type CensoredSlope, type CensoredValue } from './trend/censored-slope';
export { normalCdf, normalTwoSided, zOf } from './distributions/normal';
export type { SeasonValue } from './trend/seasons';
// non-detects
export { kaplanMeierLeftCensored } from './censored/kaplan-meier';
export { regressionOnOrderStatistics, type OrderStatistics } from './censored/order-statistics';
export { maximumLikelihoodLognormal, type LognormalFit } from './censored/likelihood';
// two observers
export { cohenKappa, percentAgreement, weightedKappa } from './agreement/kappa';
export { percentDifferenceEnumeration, percentSimilarity, percentTaxonomicDisagreement } from './agreement/counts';
export { blandAltman, linsConcordance } from './agreement/measurements';
// a root, and chance from a seed
export { increasingRoot } from './root';
export { seeded, type Chance } from './chance';
