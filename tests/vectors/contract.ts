/*
 * The one table from a reference file's topic and function names to core. Names are the contract of the reference
 * files; where the code lives is ours. A topic that is not here is listed as not built and counts as a mismatch.
 */
import * as bacteria from '../../src/lib/core/bacteria';
import * as clarity from '../../src/lib/core/clarity';
import * as conductivity from '../../src/lib/core/conductivity';
import * as discharge from '../../src/lib/core/discharge';
import * as identification from '../../src/lib/core/identification';
import * as logger from '../../src/lib/core/logger';
import * as macroinvertebrates from '../../src/lib/core/macroinvertebrates';
import * as nutrients from '../../src/lib/core/nutrients';
import * as oxygen from '../../src/lib/core/oxygen';
import * as statistics from '../../src/lib/core/statistics';

type AnyFunction = (input: never) => object;

/*
 * The reference files write m/s and m³/s as `_ms` and `_m3s`; the code writes `_m_s` and `_m3_s`, for `_ms` is
 * milliseconds there.
 */
export const inCode = (name: string) => name.replace(/_m3s$/, '_m3_s').replace(/(velocity\w*)_ms$/i, '$1_m_s');
const inReference = (name: string) => name.replace(/_m3_s$/, '_m3s').replace(/(velocity\w*)_m_s$/i, '$1_ms');

function renamed(value: unknown, name: (key: string) => string): unknown {
	if (Array.isArray(value)) return value.map((v) => renamed(v, name));
	if (typeof value !== 'object' || value === null) return value;
	return Object.fromEntries(Object.entries(value).map(([key, v]) => [name(key), renamed(v, name)]));
}

/** Functions under the names that the reference files use for their input and output. */
const asReferenced = (functions: Record<string, AnyFunction>): Record<string, AnyFunction> =>
	Object.fromEntries(
		Object.entries(functions).map(([fn, call]) => [
			fn,
			(input: never) => renamed(call(renamed(input, inCode) as never), inReference) as object
		])
	);

export const contract: Record<string, Record<string, AnyFunction>> = {
	oxygen: {
		dissolvedOxygenSaturation: oxygen.dissolvedOxygenSaturation,
		percentSaturation: oxygen.percentSaturation,
		pressureFromElevation: oxygen.pressureFromElevation,
		titrationOxygen: oxygen.titrationOxygen
	},
	conductivity: {
		specificConductance: conductivity.specificConductance,
		rawConductivity: conductivity.rawConductivity,
		practicalSalinityFromRatio: conductivity.practicalSalinityFromRatio,
		practicalSalinity: conductivity.practicalSalinity,
		totalDissolvedSolids: conductivity.totalDissolvedSolids
	},
	clarity: {
		turbidityFromTube: clarity.turbidityFromTube,
		tubeDepthFromTurbidity: clarity.tubeDepthFromTurbidity
	},
	discharge: asReferenced({
		midSectionDischarge: discharge.midSectionDischarge,
		meanSectionDischarge: discharge.meanSectionDischarge,
		meanDepthDischarge: discharge.meanDepthDischarge,
		verticalVelocity: discharge.verticalVelocity,
		iveUncertainty: discharge.iveUncertainty,
		isoUncertainty: discharge.isoUncertainty,
		sectionArea: discharge.sectionArea,
		floatDischarge: discharge.floatDischarge,
		flumeDischarge: discharge.flumeDischarge,
		volumetricDischarge: discharge.volumetricDischarge,
		load: discharge.load
	}),
	bacteria: {
		poissonInterval: bacteria.poissonInterval,
		cfuPer100mL: bacteria.cfuPer100mL,
		geometricMean: bacteria.geometricMean,
		statisticalThresholdShare: bacteria.statisticalThresholdShare,
		relativePercentDifference: bacteria.relativePercentDifference,
		logRangeDuplicatePrecision: bacteria.logRangeDuplicatePrecision,
		mostProbableNumber: bacteria.mostProbableNumber,
		dispersionTest: bacteria.dispersionTest
	},
	macroinvertebrates: {
		shannon: macroinvertebrates.shannon,
		simpson: macroinvertebrates.simpson,
		pielou: macroinvertebrates.pielou,
		chao1: macroinvertebrates.chao1,
		rarefy: macroinvertebrates.rarefy,
		rarefactionCurve: macroinvertebrates.rarefactionCurve,
		brayCurtis: macroinvertebrates.brayCurtis,
		jaccard: macroinvertebrates.jaccard,
		familyBioticIndex: macroinvertebrates.familyBioticIndex,
		eptRichness: macroinvertebrates.eptRichness,
		percentDominant: macroinvertebrates.percentDominant,
		averageScorePerTaxon: macroinvertebrates.averageScorePerTaxon
	},
	trend: {
		mannKendall: statistics.mannKendall,
		theilSen: statistics.theilSen,
		seasonalKendall: statistics.seasonalKendall,
		seasonalSenSlope: statistics.seasonalSenSlope
	},
	censored: {
		kaplanMeierLeftCensored: statistics.kaplanMeierLeftCensored,
		regressionOnOrderStatistics: statistics.regressionOnOrderStatistics,
		maximumLikelihoodLognormal: statistics.maximumLikelihoodLognormal
	},
	statistics: asReferenced({
		quantile: statistics.quantile,
		robustCv: statistics.robustCv,
		linearRegression: statistics.linearRegression,
		spearman: statistics.spearman,
		mannWhitney: statistics.mannWhitney,
		pairedWilcoxon: statistics.pairedWilcoxon,
		upstreamDownstreamLoads: nutrients.upstreamDownstreamLoads,
		flowWeightedMean: statistics.flowWeightedMean,
		logLogRating: statistics.logLogRating
	}),
	interobserver: {
		cohenKappa: statistics.cohenKappa,
		weightedKappa: statistics.weightedKappa,
		percentAgreement: statistics.percentAgreement,
		percentSimilarity: statistics.percentSimilarity,
		percentDifferenceEnumeration: statistics.percentDifferenceEnumeration,
		percentTaxonomicDisagreement: statistics.percentTaxonomicDisagreement,
		linsConcordance: statistics.linsConcordance,
		blandAltman: statistics.blandAltman
	},
	quality: {
		duplicateSd: statistics.duplicateSd,
		movingRangeLimits: statistics.movingRangeLimits,
		cusum: statistics.cusum,
		demingRegression: statistics.demingRegression,
		passingBablok: statistics.passingBablok,
		exactProportion: statistics.exactProportion,
		detectionLimit: statistics.detectionLimit
	},
	comparison: {
		hodgesLehmannShift: statistics.hodgesLehmannShift,
		beforeAfterControlImpact: statistics.beforeAfterControlImpact,
		geometricMeanRatio: statistics.geometricMeanRatio
	},
	practice: {
		countingBias: statistics.countingBias,
		namingSkill: statistics.namingSkill
	},
	ordination: {
		principalCoordinates: macroinvertebrates.principalCoordinates
	},
	identification: {
		posterior: identification.posterior,
		nextQuestions: identification.nextQuestions,
		surprise: identification.surprise
	},
	logger: {
		foulingAndDrift: logger.foulingAndDrift,
		correctRecord: logger.correctRecord,
		recordRating: logger.recordRating,
		dailyStatistics: logger.dailyStatistics,
		hampel: logger.hampel,
		flatLine: logger.flatLine,
		gaps: logger.gaps
	}
};
