// which animals are worth what
export { exampleSchemes, objectionsToScheme, scoreBy, ScoreScheme, type Scored } from './scheme';
// as a file
export { addingWords, rowsOfScheme, schemeColumns, schemeFromRows } from './scheme-file';
// how sure, with the names
export { confusionOf, schemeInterval, type Checked, type SchemeInterval } from './naming';
