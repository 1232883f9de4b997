/** So many of something: `1 site`, `12 sites`; `many` where the plural is not made with an s. */
export const counted = (n: number, one: string, many = `${one}s`): string => `${n} ${n === 1 ? one : many}`;

/** The word with its article: `a lab`, `an instrument`. */
export const withArticle = (word: string): string => `${/^[aeiou]/i.test(word) ? 'an' : 'a'} ${word}`;
