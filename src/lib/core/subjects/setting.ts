import {
	areAlike,
	asWritten,
	asWrittenWithin,
	parameterCodes,
	parameters,
	unitCodes,
	units,
	type OwnParameter,
	type OwnParameters,
	type Unit
} from '../quantity';
import type { StepOf, Tool } from './steps';

/** One thing that a program may set in a card, in its text form; `path` says where it stands. */
export interface Setting {
	path: string;
	/** The heading that it stands under. */
	group: string;
	label: string;
	text: string;
	/** `pairs`: "left: left bank; right: right bank". */
	control: 'number' | 'line' | 'lines' | 'one' | 'pairs';
	options?: readonly { code: string; word: string }[];
	/** Keys of each pair in the card; `isAmount`: the second is a number. */
	pair?: { keys: readonly [string, string]; isAmount: boolean };
	/** It need not be said. */
	isOptional?: boolean;
}

/** What stands in the field of a setting: a number as people write it, also one of a pair. */
export function settingAsShown({ control, pair, text }: Pick<Setting, 'control' | 'pair' | 'text'>): string {
	if (pair?.isAmount) return asWrittenWithin(text);
	return control === 'number' ? asWritten(text) : text;
}

/** A setting of a step, before it is known which step: its place within it. */
export type StepSetting = Omit<Setting, 'group'>;

/** What a program may set in the steps of one subject, and what it begins with when it adds one. */
export interface StepSettings<T extends Tool> {
	/** What a new step of this kind is called in a list to choose from. */
	name: string;
	/** A step to begin with; its id is made from its title. */
	example: Omit<StepOf<T>, 'id'>;
	/** A card may have several though none can be done again: they differ by a setting. */
	isOfKinds?: boolean;
	/** `own`: parameters of the program's own that may be chosen. */
	settings(step: StepOf<T>, own: OwnParameters): StepSetting[];
	/**
	 * What differs in a step of this kind that is done again, so that it writes elsewhere; `end` is free. Absent:
	 * only one can be.
	 */
	again?(step: StepOf<T>, end: string): Partial<StepOf<T>>;
	/** Two of them that cannot both stand, each with where it is set. */
	contradictions?(step: StepOf<T>): { path: string; why: string }[];
}

const line = (path: string, label: string, text: string | undefined, more: Partial<Setting> = {}): StepSetting => ({
	path,
	label,
	text: text ?? '',
	control: 'line',
	...more
});
export const textSetting = (path: string, label: string, text: string | undefined): StepSetting =>
	line(path, label, text);
export const numberSetting = (path: string, label: string, value: number | undefined): StepSetting =>
	line(path, label, value === undefined ? '' : String(value), { control: 'number' });
export const optional = (setting: StepSetting): StepSetting => ({ ...setting, isOptional: true });

export const oneOf = (
	path: string,
	label: string,
	value: string,
	words: Readonly<Record<string, string>>
): StepSetting =>
	line(path, label, value, {
		control: 'one',
		options: Object.entries(words).map(([code, word]) => ({ code, word }))
	});

/** A parameter that a step finds in this way: one known here, or one of the program's own that may be found so. */
export function parameterSetting(
	label: string,
	value: string,
	own: OwnParameters,
	way: OwnParameter['ways'][number]
): StepSetting {
	const known = parameterCodes.map((code): [string, string] => [code, parameters[code].name]);
	const others = (Object.entries(own) as [string, OwnParameter][]).filter(
		([code, p]) => code === value || p.ways.includes(way)
	);
	const words = [...known, ...others.map(([code, p]): [string, string] => [code, p.name])];
	return oneOf('parameter', label, value, Object.fromEntries(words));
}

export const unitOptions = (like: Unit) =>
	unitCodes.filter((u) => areAlike(like, u)).map((code) => ({ code, word: units[code].symbol || code }));
export const unitSetting = (path: string, label: string, value: Unit): StepSetting =>
	line(path, label, value, { control: 'one', options: unitOptions(value) });

/** Some things by two keys each, the second of which may be a number. */
export function pairsSetting<A extends string, B extends string>(
	path: string,
	label: string,
	keys: readonly [A, B],
	values: readonly (Record<A, string> & Record<B, string | number>)[]
): StepSetting {
	const text = values.map((v) => `${v[keys[0]]}: ${v[keys[1]]}`).join('; ');
	return line(path, label, text, {
		control: 'pairs',
		pair: { keys, isAmount: typeof values[0]?.[keys[1]] === 'number' }
	});
}
