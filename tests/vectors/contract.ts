/*
 * The one table from a reference file's topic and function names to core. Names are the contract of the reference
 * files; where the code lives is ours. A topic that is not here is listed as not built and counts as a mismatch.
 */
import * as bacteria from '../../src/lib/core/bacteria';
import * as clarity from '../../src/lib/core/clarity';
import * as conductivity from '../../src/lib/core/conductivity';
import * as discharge from '../../src/lib/core/discharge';
import * as macroinvertebrates from '../../src/lib/core/macroinvertebrates';
import * as nutrients from '../../src/lib/core/nutrients';
import * as oxygen from '../../src/lib/core/oxygen';
import * as statistics from '../../src/lib/core/statistics';

type AnyFunction = (input: never) => object;

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
	discharge: {
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
	},
	bacteria: {
		poissonInterval: bacteria.poissonInterval,
		cfuPer100mL: bacteria.cfuPer100mL,
		geometricMean: bacteria.geometricMean,
		statisticalThresholdShare: bacteria.statisticalThresholdShare,
		relativePercentDifference: bacteria.relativePercentDifference,
		logRangeDuplicatePrecision: bacteria.logRangeDuplicatePrecision,
		mostProbableNumber: bacteria.mostProbableNumber
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
	statistics: {
		quantile: statistics.quantile,
		robustCv: statistics.robustCv,
		linearRegression: statistics.linearRegression,
		spearman: statistics.spearman,
		mannWhitney: statistics.mannWhitney,
		pairedWilcoxon: statistics.pairedWilcoxon,
		upstreamDownstreamLoads: nutrients.upstreamDownstreamLoads
	},
	interobserver: {
		cohenKappa: statistics.cohenKappa,
		weightedKappa: statistics.weightedKappa,
		percentAgreement: statistics.percentAgreement,
		percentSimilarity: statistics.percentSimilarity,
		percentDifferenceEnumeration: statistics.percentDifferenceEnumeration,
		percentTaxonomicDisagreement: statistics.percentTaxonomicDisagreement,
		linsConcordance: statistics.linsConcordance,
		blandAltman: statistics.blandAltman
	}
};
