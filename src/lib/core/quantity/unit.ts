/**
 * The ions that a concentration may be written as, with the share of the ion's mass that is its nitrogen or
 * phosphorus.
 */
// IUPAC 2021 conventional atomic weights
const nitrogenIn = { nitrate: 14.007 / 62.004, nitrite: 14.007 / 46.005, ammonium: 14.007 / 18.039 };
const phosphorusIn = { phosphate: 30.974 / 94.97 };

/**
 * The one table of units in which figures are typed, kept and shown. `toBase` and `offset` lead to the base unit of the
 * dimension: base = value × toBase + offset. Factors are exact by definition of the unit; those of ions follow from
 * atomic weights. `ion`: the unit speaks of that ion alone, so "mg/L as nitrate" cannot become "mg/L as nitrite".
 */
export const units = {
	degC: { symbol: '°C', dimension: 'temperature', toBase: 1, offset: 0 },
	degF: { symbol: '°F', dimension: 'temperature', toBase: 5 / 9, offset: -160 / 9 },
	mg_L: { symbol: 'mg/L', dimension: 'concentration', toBase: 1, offset: 0 },
	ug_L: { symbol: 'µg/L', dimension: 'concentration', toBase: 0.001, offset: 0 },
	percent: { symbol: '%', dimension: 'ratio', toBase: 1, offset: 0 },
	uS_cm: { symbol: 'µS/cm', dimension: 'conductance', toBase: 1, offset: 0 },
	mS_cm: { symbol: 'mS/cm', dimension: 'conductance', toBase: 1000, offset: 0 },
	m: { symbol: 'm', dimension: 'length', toBase: 1, offset: 0 },
	cm: { symbol: 'cm', dimension: 'length', toBase: 0.01, offset: 0 },
	ft: { symbol: 'ft', dimension: 'length', toBase: 0.3048, offset: 0 },
	inch: { symbol: 'in', dimension: 'length', toBase: 0.0254, offset: 0 },
	m2: { symbol: 'm²', dimension: 'area', toBase: 1, offset: 0 },
	ft2: { symbol: 'ft²', dimension: 'area', toBase: 0.09290304, offset: 0 },
	m_s: { symbol: 'm/s', dimension: 'velocity', toBase: 1, offset: 0 },
	cm_s: { symbol: 'cm/s', dimension: 'velocity', toBase: 0.01, offset: 0 },
	ft_s: { symbol: 'ft/s', dimension: 'velocity', toBase: 0.3048, offset: 0 },
	m3_s: { symbol: 'm³/s', dimension: 'discharge', toBase: 1, offset: 0 },
	L_s: { symbol: 'L/s', dimension: 'discharge', toBase: 0.001, offset: 0 },
	ft3_s: { symbol: 'ft³/s', dimension: 'discharge', toBase: 0.028316846592, offset: 0 },
	PSU: { symbol: 'PSU', dimension: 'salinity', toBase: 1, offset: 0 },
	pH: { symbol: 'pH', dimension: 'acidity', toBase: 1, offset: 0 },
	mV: { symbol: 'mV', dimension: 'potential', toBase: 1, offset: 0 },
	hPa: { symbol: 'hPa', dimension: 'pressure', toBase: 1, offset: 0 },
	kPa: { symbol: 'kPa', dimension: 'pressure', toBase: 10, offset: 0 },
	mg_L_CaCO3: { symbol: 'mg/L as CaCO₃', dimension: 'concentration as calcium carbonate', toBase: 1, offset: 0 },
	/** A number that counts or compares, with no unit. */
	one: { symbol: '', dimension: 'number', toBase: 1, offset: 0 },
	NTU: { symbol: 'NTU', dimension: 'turbidity', toBase: 1, offset: 0 },
	cfu_100mL: { symbol: 'per 100 mL', dimension: 'count density', toBase: 1, offset: 0 },
	mg_L_N: { symbol: 'mg/L as N', dimension: 'concentration as nitrogen', toBase: 1, offset: 0 },
	ug_L_N: { symbol: 'µg/L as N', dimension: 'concentration as nitrogen', toBase: 0.001, offset: 0 },
	mg_L_NO3: {
		symbol: 'mg/L as nitrate',
		dimension: 'concentration as nitrogen',
		toBase: nitrogenIn.nitrate,
		offset: 0,
		ion: 'nitrate'
	},
	mg_L_NO2: {
		symbol: 'mg/L as nitrite',
		dimension: 'concentration as nitrogen',
		toBase: nitrogenIn.nitrite,
		offset: 0,
		ion: 'nitrite'
	},
	mg_L_NH4: {
		symbol: 'mg/L as ammonium',
		dimension: 'concentration as nitrogen',
		toBase: nitrogenIn.ammonium,
		offset: 0,
		ion: 'ammonium'
	},
	mg_L_P: { symbol: 'mg/L as P', dimension: 'concentration as phosphorus', toBase: 1, offset: 0 },
	ug_L_P: { symbol: 'µg/L as P', dimension: 'concentration as phosphorus', toBase: 0.001, offset: 0 },
	mg_L_PO4: {
		symbol: 'mg/L as phosphate',
		dimension: 'concentration as phosphorus',
		toBase: phosphorusIn.phosphate,
		offset: 0,
		ion: 'phosphate'
	}
} as const satisfies Record<string, UnitFacts>;

interface UnitFacts {
	symbol: string;
	dimension: string;
	toBase: number;
	offset: number;
	ion?: Ion;
}

export type Ion = keyof typeof nitrogenIn | keyof typeof phosphorusIn;
export type Unit = keyof typeof units;

export const unitCodes = Object.keys(units) as [Unit, ...Unit[]];

/** True when an amount in the one unit can be written in the other: the same dimension, and not two different ions. */
export function areAlike(a: Unit, b: Unit): boolean {
	const [from, to]: UnitFacts[] = [units[a], units[b]];
	return (
		from!.dimension === to!.dimension && (from!.ion === undefined || to!.ion === undefined || from!.ion === to!.ion)
	);
}

/** How many of the one unit a step of the other is, whatever the zeros of the two. */
export const stepIn = (from: Unit, to: Unit): number => Math.abs(convert(1, from, to) - convert(0, from, to));

/** How many places the digits of an amount move to the left in another unit: ten times as many need a decimal less. */
export const digitsMoved = (from: Unit, to: Unit): number => Math.round(Math.log10(stepIn(from, to)));

/** The ion that a unit speaks of alone, or null. */
export const ionOf = (unit: Unit): Ion | null => (units[unit] as UnitFacts).ion ?? null;

/**
 * The same amount in another unit.
 * Throws RangeError when the two units measure different things: that mix-up is a bug, never a measurement.
 */
export function convert(value: number, from: Unit, to: Unit): number {
	if (!areAlike(from, to)) throw new RangeError(`${units[from].symbol} cannot be written in ${units[to].symbol}`);
	const [a, b] = [units[from], units[to]];
	return from === to ? value : (value * a.toBase + a.offset - b.offset) / b.toBase;
}
