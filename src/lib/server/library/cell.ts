const isNumber = (cell: string): boolean => /^[+-]?\d+(\.\d+)?$/.test(cell);

/** A cell that a spreadsheet would take for a formula goes out with an apostrophe before it. */
export const safe = (cell: string): string => (/^[=+@\t\r-]/.test(cell) && !isNumber(cell) ? `'${cell}` : cell);

/** And comes back without. */
export const unescaped = (cell: string): string => (/^'[=+@\t\r-]/.test(cell) ? cell.slice(1) : cell);
