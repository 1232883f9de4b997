import { codesWith, parameterOf, type Parameter, type ParameterCode } from './parameter';
import type { OwnParameters } from './own-parameter';
import { convert, digitsMoved, type Unit } from './unit';

/*
 * The units that a program's people read figures in. What is kept, judged and written to files is in each parameter's
 * own; what a visit is asked in is for its card to say.
 */

/** For each choice, in its words, the units that stand in place of a parameter's own. */
const inPlace = {
	temperatures: { '°C': {}, '°F': { degC: 'degF' } },
	lengths: { metres: {}, feet: { m: 'ft', cm: 'inch' } },
	flows: { 'm³/s': {}, 'L/s': { m3_s: 'L_s' }, 'ft³/s': { m3_s: 'ft3_s' } }
} as const satisfies Record<string, Record<string, Partial<Record<Unit, Unit>>>>;

export type ShownUnits = { [What in keyof typeof inPlace]?: keyof (typeof inPlace)[What] | undefined };

const wordsOf = <What extends keyof ShownUnits>(what: What) =>
	Object.keys(inPlace[what]) as [NonNullable<ShownUnits[What]>, ...NonNullable<ShownUnits[What]>[]];
/** What may be chosen of each, the parameter's own first. */
export const unitChoices = {
	temperatures: wordsOf('temperatures'),
	lengths: wordsOf('lengths'),
	flows: wordsOf('flows')
};

/** The unit in which a program's people read a parameter. */
export function unitRead({ unit }: Pick<Parameter, 'unit'>, { temperatures, lengths, flows }: ShownUnits = {}): Unit {
	const instead: Partial<Record<Unit, Unit>> = {
		...(temperatures && inPlace.temperatures[temperatures]),
		...(lengths && inPlace.lengths[lengths]),
		...(flows && inPlace.flows[flows])
	};
	return instead[unit] ?? unit;
}

/** All parameters that they read in another unit than its own. */
export const unitsShown = (
	shown: ShownUnits | undefined,
	own: OwnParameters | undefined
): Partial<Record<ParameterCode, Unit>> =>
	Object.fromEntries(
		codesWith(own).flatMap((code) => {
			const known = parameterOf(code, own);
			const unit = unitRead(known, shown);
			return unit === known.unit ? [] : [[code, unit]];
		})
	);

/** A parameter as it is where its figures are shown in another unit of its kind. */
export function parameterIn(parameter: Parameter, unit: Unit): Parameter {
	const there = ([low, high]: readonly [number, number]) =>
		[convert(low, parameter.unit, unit), convert(high, parameter.unit, unit)] as const;
	return {
		...parameter,
		unit,
		decimals: Math.max(0, parameter.decimals - digitsMoved(parameter.unit, unit)),
		possible: there(parameter.possible),
		plausible: there(parameter.plausible)
	};
}
