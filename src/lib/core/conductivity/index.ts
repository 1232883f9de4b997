// to and from 25 °C
export { PER_DEGREE, rawConductivity, specificConductance, totalDissolvedSolids } from './compensation';
// salinity
export { practicalSalinity, practicalSalinityFromRatio, type Salinity } from './salinity';
