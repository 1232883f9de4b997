import { capitalised } from '../../wording';
import { areAlike, OwnParameter, ownWays, parameters, unitCodes, units, type OwnCode, type Unit } from '../../quantity';
import { number, oneOf, someOf, words, yesNo, type Field } from '../field';
import { kind, type RowOf } from '../kind';

const NO_UNIT = 'no unit';
const symbolOf = (unit: Unit): string => units[unit].symbol || NO_UNIT;
const LARGE = 1e9;

/** A unit by its symbol, as it is read off a display. */
function unit({ label, help }: { label: string; help: string }): Field<Unit> {
	const symbols = oneOf({ label, help, options: unitCodes.map(symbolOf) });
	return {
		...symbols,
		read: (text, lookup) => {
			const read = symbols.read(text, lookup);
			return 'why' in read ? read : { value: unitCodes.find((u) => symbolOf(u) === read.value)! };
		},
		write: symbolOf
	};
}

const fields = {
	code: words({
		label: 'Code',
		isRequired: true,
		most: 39,
		help: 'in files and on cards, such as chlorophyll-a: small letters, digits, dashes; it stays when the name changes',
		pattern: /^[a-z0-9][a-z0-9-]*$/,
		patternSays: 'small letters, digits and dashes, such as chlorophyll-a'
	}),
	name: words({ label: 'Name', isRequired: true, most: 60, help: 'as people read it, such as Chlorophyll a' }),
	unit: unit({ label: 'Unit', help: 'in which it is kept and judged' }),
	decimals: number({
		label: 'Decimals shown',
		help: 'as finely as the meter shows it: 1 for 0.1',
		least: 0,
		most: 6,
		whole: true
	}),
	possibleLow: number({ label: 'Least possible', help: 'less is refused', least: -LARGE, most: LARGE }),
	possibleHigh: number({ label: 'Most possible', help: 'more is refused', least: -LARGE, most: LARGE }),
	plausibleLow: number({ label: 'Usual from', help: 'less is asked about', least: -LARGE, most: LARGE }),
	plausibleHigh: number({ label: 'Usual to', help: 'more is asked about', least: -LARGE, most: LARGE }),
	isNeverNought: yesNo({
		label: 'Never 0',
		help: 'yes: what is not found is “below” the limit of its method, and 0 is refused'
	}),
	ways: someOf({
		label: 'Found by',
		isRequired: true,
		help: 'meter: a step reads a figure. kit: a colour held against a chart',
		options: ownWays
	})
};
type ParameterRow = RowOf<typeof fields>;

/** The code by which cards, sheets and files mean it. */
export const ownCodeOf = ({ code }: Pick<ParameterRow, 'code'>): OwnCode => `own-${code}`;

/** What a card takes over when one of its steps reads it. */
export const definitionOf = (row: Omit<ParameterRow, 'id' | 'code'>): OwnParameter => ({
	name: row.name,
	unit: row.unit,
	decimals: row.decimals,
	possible: [row.possibleLow, row.possibleHigh],
	plausible: [row.plausibleLow, row.plausibleHigh],
	...(row.isNeverNought ? { isNeverNought: true } : {}),
	ways: row.ways
});

/** Which field a fault of a definition is shown at. */
const fieldAt = { possible: 'possibleHigh', plausible: 'plausibleHigh' } as const;

export const ownParameters = kind({
	name: 'parameters',
	one: 'parameter of your own',
	many: 'Parameters of your own',
	about:
		'What your meters and kits read beside what is known here: define it once, then choose it in a step of a card.',
	isNeeded: false,
	fields,
	key: ['code'],
	columns: ['name', 'code', 'unit', 'plausibleLow', 'plausibleHigh', 'ways'],
	filter: 'unit',
	nameOf: (row) => ownCodeOf(row),
	aliases: (row) => [ownCodeOf(row), row.code, row.name],
	commonName: (row) => row.name,
	objections: (row, { parameters: all }) => {
		const read = OwnParameter.safeParse(definitionOf(row));
		const faults: { field: keyof typeof fields | ''; why: string }[] = read.success
			? []
			: read.error.issues.map((i) => ({
					field: fieldAt[i.path[0] as keyof typeof fieldAt] ?? ('' as const),
					why: `${capitalised(i.message)}.`
				}));
		const before = all.find((r) => r.id === row.id) as ParameterRow | undefined;
		if (before && before.code !== row.code)
			faults.push({ field: 'code', why: `It is called ${before.code} where it was used; define another one instead.` });
		if (before && !areAlike(before.unit, row.unit))
			faults.push({
				field: 'unit',
				why: `Its figures so far are in ${symbolOf(before.unit)}; define another one for ${symbolOf(row.unit)}.`
			});
		return faults;
	},
	doubts: (row) =>
		Object.values(parameters).some((p) => p.name.toLowerCase() === row.name.trim().toLowerCase())
			? [{ field: 'name', why: 'There is one of that name here already, without defining it.' }]
			: []
});
