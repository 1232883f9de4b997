// which animals are worth what
export { changedValues, exampleSchemes, objectionsToScheme, scoreBy, ScoreScheme } from './scheme';
// as a file
export { addingWords, rowsOfScheme, schemeColumns, schemeFromRows } from './scheme-file';
// a sampling by a scheme, and how sure with the names
export { scoreSampling, type SchemeSampling, type SchemeScore } from './score-sampling';
export { namingRecord, type NamingRecord } from './naming-record';
export { checksFor, type Checked, type CheckedBy } from './checked';
export { confusionOf, schemeInterval, type SchemeInterval } from './naming';
