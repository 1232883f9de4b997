import type { BottleLabel } from '../custody';
import { units, type Unit } from '../quantity';
import type { StepOf, Tool } from './steps';

/** Room for a pencil on a printed sheet: lines of words with gaps, or a table to fill. */
export type Blank = { text: string } | { columns: string[]; rows: number };

/** What the printed sheet asks at a step; `labels`: those of the site's bottles. */
export type AskOnPaper<T extends Tool> = (step: StepOf<T>, labels: readonly BottleLabel[]) => Blank;

/** A gap to write in. */
export const LINE = '____________';
export const TIME = '____ : ____';
/** A unit as the typeface of the papers has it: without the micro sign, as meters, too, write uS/cm. */
export const onPaper = (unit: Unit): string => units[unit].symbol.replace('µ', 'u');
