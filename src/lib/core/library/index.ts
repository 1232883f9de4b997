// a thing of the library, its kinds and fields
export { emptyLibrary, type Kind, type KindName, type Library, type Objection, type Row } from './kind';
export { asRead, asShown, type Field, type Lookup } from './field';
export { type Hours, type Span } from './calendar-fields';
export {
	definitionOf,
	exampleThresholds,
	isTimeZone,
	kindNamed,
	ownAnimalsIn,
	kinds,
	ownCodeOf,
	permissionMissing,
	thresholdOf,
	usualSkills,
	type PaperSize,
	type ThresholdRow
} from './kinds';
export { roles, type Role } from './roles';
// rows as texts
export { lookupIn, namedBy, objectionsTo, readRow, withRow, writeRow, type Texts } from './rows';
// forms
export { doubtsOn, textsOf, thingForm } from './thing-form';
export { readDay } from './day-text';
// files
export { ImportMapping, planImport, type FileRow, type ImportLine, type ImportPlan } from './import-plan';
