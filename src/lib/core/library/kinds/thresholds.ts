import type { Band, Threshold } from '../../interpret';
import { parameterOf, units, writeNumber, type ParameterCode } from '../../quantity';
import { inSentence } from '../../wording';
import { kind, type Library } from '../kind';
import { exampleThresholds } from './example-thresholds';
import { definitionOf, ownCodeOf } from './parameters';
import { thresholdFields as fields, type ThresholdRow } from './threshold-fields';

/** Each limit that parts two bands, with the word on its far side; from the lowest of the scale upwards. */
const limits = [
	{ at: 'actBelow', word: 'actLow' },
	{ at: 'watchBelow', word: 'watchLow' },
	{ at: 'watchFrom', word: 'watchHigh' },
	{ at: 'actFrom', word: 'actHigh' }
] as const;

/** What may follow from a row: its bands ascend, the first from the least that the parameter can be. */
export function thresholdOf(row: ThresholdRow, { parameters: own }: Pick<Library, 'parameters'>): Threshold {
	const known = knownAs(row.parameter, own);
	const bands: Band[] = [];
	let from = Math.min(known.possible[0], ...limits.flatMap(({ at }) => row[at] ?? []));
	if (row.actBelow !== null) {
		bands.push({ from, word: row.actLow, state: 'act' });
		from = row.actBelow;
	}
	if (row.watchBelow !== null) {
		bands.push({ from, word: row.watchLow, state: 'watch' });
		from = row.watchBelow;
	}
	bands.push({ from, word: row.good, state: 'good' });
	if (row.watchFrom !== null) bands.push({ from: row.watchFrom, word: row.watchHigh, state: 'watch' });
	if (row.actFrom !== null) bands.push({ from: row.actFrom, word: row.actHigh, state: 'act' });
	return {
		parameter: row.parameter,
		unit: known.unit,
		use: row.use,
		bands,
		statistic: row.statistic,
		leastSamples: row.leastSamples,
		season: row.monthFrom === null || row.monthTo === null ? null : { from: row.monthFrom, to: row.monthTo },
		source: row.source,
		nextStep: row.nextStep,
		isExample: row.isExample
	};
}

function knownAs(code: ParameterCode, own: Library['parameters']) {
	const row = own.find((r) => ownCodeOf(r as unknown as { code: string }) === code);
	return parameterOf(code, row && { [code]: definitionOf(row as unknown as Parameters<typeof definitionOf>[0]) });
}

export const thresholds = kind({
	name: 'thresholds',
	one: 'threshold',
	many: 'Thresholds',
	about:
		'What each use of your streams wants of the water: the words beside figures and the bands of charts come ' +
		'from here.',
	isNeeded: false,
	examples: exampleThresholds,
	fields,
	key: ['use', 'parameter', 'statistic', 'monthFrom'],
	columns: ['use', 'parameter', 'statistic', 'actBelow', 'watchBelow', 'watchFrom', 'actFrom', 'source'],
	filter: 'use',
	nameOf: (row, lookup) => {
		const parameter = lookup.commonNameOf(['parameters'], fields.parameter.write(row.parameter, lookup));
		return [row.use, inSentence(parameter), ...(row.statistic === 'each sample' ? [] : [row.statistic])].join(', ');
	},
	unitIn: ({ parameter }, { parameters: own }) => (parameter ? units[knownAs(parameter, own).unit].symbol : ''),
	objections: (row, library) => {
		const faults: { field: keyof typeof fields; why: string }[] = [];
		const set = limits.filter(({ at }) => row[at] !== null);
		if (set.length === 0)
			faults.push({ field: 'watchFrom', why: 'Say at least one limit: below or from which figures are not as hoped.' });
		set.forEach(({ at }, i) => {
			const before = set[i - 1];
			if (before && row[at]! <= row[before.at]!)
				faults.push({
					field: at,
					why:
						`${fields[at].label} ${writeNumber(row[at]!)} lies no higher than ` +
						`${fields[before.at].label.toLowerCase()} ${writeNumber(row[before.at]!)}.`
				});
		});
		for (const { at, word } of limits) {
			if (row[at] !== null && row[word] === '')
				faults.push({
					field: word,
					why: `There is a limit (“${fields[at].label.toLowerCase()}” ${writeNumber(row[at])}), but no words for it.`
				});
			if (row[at] === null && row[word] !== '')
				faults.push({ field: at, why: `There are words for it (“${row[word]}”), but no limit.` });
		}
		const { possible, unit } = knownAs(row.parameter, library.parameters);
		for (const { at } of set)
			if (row[at]! < possible[0] || row[at]! > possible[1])
				faults.push({
					field: at,
					why:
						`${writeNumber(row[at]!)} ${units[unit].symbol} cannot be: it lies between ` +
						`${writeNumber(possible[0])} and ${writeNumber(possible[1])}.`
				});
		if ((row.monthFrom === null) !== (row.monthTo === null))
			faults.push({ field: 'monthTo', why: 'A season has a first and a last month, or neither.' });
		if (row.statistic === 'geometric mean' && possible[0] < 0)
			faults.push({
				field: 'statistic',
				why: 'A geometric mean needs figures above 0, and this parameter can be below.'
			});
		return faults;
	},
	doubts: (row) => [
		...(row.isExample
			? [{ field: 'isExample' as const, why: 'Invented: put what your authority says in its place.' }]
			: []),
		...(row.statistic !== 'each sample' && row.leastSamples === 1
			? [{ field: 'leastSamples' as const, why: 'One sample makes no season; five are often asked for.' }]
			: [])
	]
});
