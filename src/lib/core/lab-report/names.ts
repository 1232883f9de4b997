import { parameters, type KnownCode, type Unit, units } from '../quantity';

/* How laboratories write parameters and units. Only what can mean one thing alone stands here; the rest is asked. */

/** Letters and digits alone, small: `NO3-N`, `no3 n` and `NO3_N` are one word. */
export const bare = (text: string): string =>
	text
		.toLowerCase()
		.replaceAll('µ', 'u')
		.replaceAll('μ', 'u')
		.replaceAll('₃', '3')
		.replaceAll('₂', '2')
		.replaceAll('₄', '4')
		.replace(/[^\p{L}\p{N}%°]/gu, '');

/** `asElement`: the word itself says that the figure is of the nitrogen or phosphorus in it. */
export interface NamedParameter {
	code: KnownCode;
	asElement?: true;
}

const words: readonly (readonly [string, NamedParameter])[] = [
	...(Object.entries(parameters) as [KnownCode, { name: string }][]).flatMap(([code, { name }]) =>
		[code, name].map((word) => [word, { code }] as const)
	),
	...['NO3-N', 'nitrate-N', 'nitrate as N', 'nitrate nitrogen'].map((w) => nutrient(w, 'nitrate')),
	...['NO2-N', 'nitrite-N', 'nitrite as N', 'nitrite nitrogen'].map((w) => nutrient(w, 'nitrite')),
	...['NH4-N', 'ammonium-N', 'ammonium as N', 'ammonium nitrogen'].map((w) => nutrient(w, 'ammonium')),
	...['PO4-P', 'phosphate-P', 'orthophosphate as P', 'phosphate as P'].map((w) => nutrient(w, 'phosphate')),
	...['NO3+NO2-N', 'nitrate + nitrite as N', 'NOx-N', 'TON'].map((w) => nutrient(w, 'nitrate-nitrite')),
	...['TP', 'total P', 'P total', 'phosphorus, total'].map((w) => nutrient(w, 'total-phosphorus')),
	['NO3', { code: 'nitrate' }],
	['NO2', { code: 'nitrite' }],
	['NH4', { code: 'ammonium' }],
	['PO4', { code: 'phosphate' }],
	['orthophosphate', { code: 'phosphate' }],
	['ecoli', { code: 'e-coli' }],
	['Escherichia coli', { code: 'e-coli' }]
];

function nutrient(word: string, code: KnownCode): readonly [string, NamedParameter] {
	return [word, { code, asElement: true }];
}

const byWord = new Map(words.map(([word, named]) => [bare(word), named]));

/** The parameter that a laboratory's word means; null where it could be several, or none. */
export const parameterNamed = (word: string): NamedParameter | null => byWord.get(bare(word)) ?? null;

const unitWords: readonly (readonly [string, Unit])[] = [
	...(Object.entries(units) as [Unit, { symbol: string }][]).flatMap(([unit, { symbol }]) =>
		symbol === '' ? [] : [[symbol, unit] as const]
	),
	['mg N/L', 'mg_L_N'],
	['mg/L N', 'mg_L_N'],
	['ug N/L', 'ug_L_N'],
	['ug/L N', 'ug_L_N'],
	['mg P/L', 'mg_L_P'],
	['mg/L P', 'mg_L_P'],
	['ug P/L', 'ug_L_P'],
	['ug/L P', 'ug_L_P'],
	['mg NO3/L', 'mg_L_NO3'],
	['mg/L NO3', 'mg_L_NO3'],
	['mg/L as NO3', 'mg_L_NO3'],
	['mg NO2/L', 'mg_L_NO2'],
	['mg/L as NO2', 'mg_L_NO2'],
	['mg NH4/L', 'mg_L_NH4'],
	['mg/L as NH4', 'mg_L_NH4'],
	['mg PO4/L', 'mg_L_PO4'],
	['mg/L as PO4', 'mg_L_PO4'],
	['cfu/100 mL', 'cfu_100mL'],
	['MPN/100 mL', 'cfu_100mL'],
	['1/100 mL', 'cfu_100mL'],
	['C', 'degC'],
	['F', 'degF']
];
const byUnitWord = new Map(unitWords.map(([word, unit]) => [bare(word), unit]));

/** The unit that a laboratory's word means as it stands; null where it is none known here. */
export const unitNamed = (word: string): Unit | null => byUnitWord.get(bare(word)) ?? null;

const asElements: Partial<Record<Unit, Partial<Record<Unit, Unit>>>> = {
	mg_L: { mg_L_N: 'mg_L_N', mg_L_P: 'mg_L_P' },
	ug_L: { mg_L_N: 'ug_L_N', mg_L_P: 'ug_L_P' }
};

/** A bare concentration read as that of the element, in a parameter that is kept so: mg/L of `NO3-N` is mg/L as N. */
export const ofElement = (unit: Unit, kept: Unit): Unit | null => asElements[unit]?.[kept] ?? null;
