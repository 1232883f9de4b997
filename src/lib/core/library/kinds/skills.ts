import { wordList, type Field } from '../field';
import type { Library, Objection } from '../kind';

/** What a program begins with; it writes its own list. */
export const usualSkills = ['trained crew', 'plates', 'acids'];

/** What somebody can be trained in, as the program says. */
export const skillsIn = (library: Library): string[] =>
	(library.program[0]?.['skills'] as string[] | undefined) ?? usualSkills;

/** Some of the program's skills. */
export const skillsField = (label: string): Field<string[]> => ({
	...wordList({ label }),
	control: 'several',
	optionsIn: skillsIn
});

/** A skill that the program does not know. */
export function unknownSkills<F extends string>(
	field: F,
	named: readonly string[],
	library: Library
): (Objection & { field: F })[] {
	const known = skillsIn(library);
	const strange = named.find((skill) => !known.includes(skill));
	return strange === undefined
		? []
		: [
				{
					field,
					why: `“${strange}” is nothing that people are trained in here: ${known.join(', ')}. The program has the list.`
				}
			];
}
