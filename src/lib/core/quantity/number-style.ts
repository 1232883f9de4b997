/** How numbers are written on screens and papers. Files, addresses and what is kept always have a point. */
export const numberStyles = ['11.2', '11,2'] as const;
export type NumberStyle = (typeof numberStyles)[number];
const [, WITH_COMMA] = numberStyles;

let styleNow: () => NumberStyle | undefined = () => undefined;

/** Says whose numbers are written from now on: asked anew with every number, since a server writes for many programs. */
export function writeNumbersBy(style: () => NumberStyle | undefined): void {
	styleNow = style;
}

/** The decimal mark of whoever reads. */
export const decimalMark = (): '.' | ',' => (styleNow() === WITH_COMMA ? ',' : '.');

/** Digits with a point, as they are read: with the reader's decimal mark and a true minus. */
export const asWritten = (digits: string): string => digits.replace('.', decimalMark()).replace('-', '−');

/** What a person typed of a number, with a point and a plain minus: as it is read. */
export const withPoint = (typed: string): string => typed.replace('−', '-').replace(',', '.');

/** A line that has numbers in it, each with the reader's decimal mark: `0 to 0,5; resolution 0,01`. */
export const asWrittenWithin = (line: string): string => line.replace(/(\d)\.(?=\d)/g, `$1${decimalMark()}`);

/** The same back. Where people write a point, a comma between digits is none of theirs and stays: it is asked back. */
export const withPointWithin = (line: string): string =>
	decimalMark() === ',' ? line.replace(/(\d),(?=\d)/g, '$1.') : line;

/** A number in so many decimals. */
export const writeFixed = (number: number, decimals: number): string => asWritten(number.toFixed(decimals));

/** A number as it is written, without the digits that a change of unit leaves behind. */
export const writeNumber = (number: number): string => asWritten(String(Number(number.toPrecision(6))));
