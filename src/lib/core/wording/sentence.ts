/**
 * A title inside a sentence: small at its beginning, but what is written large for a reason stays, as the H of pH and
 * the initials of a name.
 */
export const inSentence = (title: string): string =>
	/^\p{Lu}(?![\p{Lu}.])/u.test(title) ? title.charAt(0).toLowerCase() + title.slice(1) : title;

/** Words as they begin a sentence. */
export const capitalised = (words: string): string => words.charAt(0).toUpperCase() + words.slice(1);

const list = new Intl.ListFormat('en-GB', { type: 'conjunction' });

/** Several things as they are said in one sentence: `a, b and c`. */
export const listed = (things: readonly string[]): string => list.format(things);
