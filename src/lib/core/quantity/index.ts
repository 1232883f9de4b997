// units
export { areAlike, convert, digitsMoved, stepIn, unitCodes, units, type Unit } from './unit';
// figures
export {
	amount,
	decimalsShown,
	exactly,
	Figure,
	figureIn,
	isFromStandIn,
	keptText,
	saySide,
	significant,
	withQualifier,
	writeExactly,
	writeFigure,
	type Qualifier
} from './figure';
export {
	asWritten,
	asWrittenWithin,
	decimalMark,
	numberStyles,
	withPoint,
	withPointWithin,
	writeFixed,
	writeNumber,
	writeNumbersBy,
	type NumberStyle
} from './number-style';
export { meanFigure } from './mean-figure';
// figures reckoned with
export { certain, decimalsBorne, follows, measured, rounded, sumOf, type Measured } from './measured';
// how a figure was worked out
export {
	addedUp,
	geometricMeanOf,
	given,
	meanOf,
	minus,
	over,
	plus,
	times,
	type Given,
	type Step,
	type Working
} from './working';
// the units that a program reads figures in
export { parameterIn, unitChoices, unitRead, unitsShown, type ShownUnits } from './shown-units';
// parameters
export {
	codesWith,
	figureOf,
	inUsualOrder,
	isImplausible,
	isKnownCode,
	isParameterCode,
	isUnitOf,
	ParameterCode,
	parameterCodes,
	parameterOf,
	parameters,
	plausibleRange,
	whyImpossible,
	type KnownCode,
	type Parameter
} from './parameter';
export { isOwnCode, OwnCode, OwnParameter, OwnParameters, ownWays } from './own-parameter';
// how a figure was found
export { isRead, ways, type Way } from './way';
// what a person typed
export { inPlaceUnit, whyNoMeasure, type AsTyped } from './as-typed';
export { readPlain, readTyped, readWhole, type Typed } from './typed';
// contracts of a formula's input
export { atLeast, finite, inRange, listOf, openShare, orDefault, pairedLists, positive, whole } from './argument';
