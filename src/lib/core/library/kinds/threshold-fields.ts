import { statistics } from '../../interpret';
import { isOwnCode, parameterCodes, parameters, type ParameterCode } from '../../quantity';
import { maybeNumber, number, oneOf, words, yesNo, type Field, type Lookup } from '../field';
import type { RowOf } from '../kind';

/* What a threshold says, field by field. */

const LARGE = 1e9;
const FIRST_MONTH = 1;
const LAST_MONTH = 12;

/** A parameter known here, by its name, or one of the program's own. */
const parameter: Field<ParameterCode> = {
	label: 'Parameter',
	isRequired: true,
	control: 'one',
	options: parameterCodes.map((code) => parameters[code].name),
	refers: ['parameters'],
	read: (text, lookup) => {
		const given = text.trim();
		if (given === '') return { why: 'Parameter is missing.' };
		const plain = given.toLowerCase();
		const known = parameterCodes.find((code) => code === plain || parameters[code].name.toLowerCase() === plain);
		const code = known ?? ownNamed(given, lookup);
		return code === null ? { why: `Parameter: there is no “${given}” here.` } : { value: code };
	},
	write: (code) => (isOwnCode(code) ? code : parameters[code].name)
};

function ownNamed(text: string, lookup: Lookup): ParameterCode | null {
	const id = lookup.find(['parameters'], text);
	const code = id === null ? '' : lookup.nameOf(['parameters'], id);
	return isOwnCode(code) ? code : null;
}

const limit = (label: string, help: string) =>
	maybeNumber({ label, help, least: -LARGE, most: LARGE, isInRowUnit: true });
const said = (label: string) => words({ label, most: 80, help: 'in a few words, as people read it' });
const month = (label: string) =>
	maybeNumber({
		label,
		help: '1 to 12; leave both months empty for all year',
		least: FIRST_MONTH,
		most: LAST_MONTH,
		whole: true
	});

export const thresholdFields = {
	use: words({ label: 'Use', isRequired: true, most: 60, help: 'what the stream is wanted for, such as bathing' }),
	parameter,
	statistic: oneOf({
		label: 'What is held against it',
		help: 'each sample as it is, or what the samples of a season come to',
		options: statistics
	}),
	leastSamples: number({
		label: 'Samples needed',
		help: 'of a season, before its statistic says anything; 1 for each sample',
		least: 1,
		most: 1000,
		whole: true
	}),
	monthFrom: month('From month'),
	monthTo: month('To month'),
	watchBelow: limit('Watch below', 'in the unit of the parameter; empty where too little is no matter'),
	watchLow: said('Word for “watch below”'),
	actBelow: limit('Act below', 'lower than “watch below”'),
	actLow: said('Word for “act below”'),
	watchFrom: limit('Watch from', 'this much or more; empty where too much is no matter'),
	watchHigh: said('Word for “watch from”'),
	actFrom: limit('Act from', 'higher than “watch from”'),
	actHigh: said('Word for “act from”'),
	good: words({ label: 'As hoped', isRequired: true, most: 80, help: 'the word for it, such as enough' }),
	nextStep: words({
		label: 'Next step',
		most: 200,
		help: 'what to do where it is not as hoped, such as: sample again within a day, upstream as well'
	}),
	source: words({ label: 'Source', isRequired: true, most: 200, help: 'the rule, its year, who says so' }),
	isExample: yesNo({ label: 'An example', help: 'yes: invented, to be replaced by what your authority says' })
};
export type ThresholdRow = RowOf<typeof thresholdFields>;
