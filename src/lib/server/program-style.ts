import { AsyncLocalStorage } from 'node:async_hooks';
import { writeNumbersBy, type NumberStyle } from '../core/quantity';
import { writeDatesBy, type DateStyle } from '../core/wording';

/*
 * Words are made for one program at a time: while a request is served, its dates and numbers are written that
 * program's way.
 */

export interface ProgramStyle {
	dates?: DateStyle | undefined;
	numbers?: NumberStyle | undefined;
}

const served = new AsyncLocalStorage<ProgramStyle>();
writeDatesBy(() => served.getStore()?.dates);
writeNumbersBy(() => served.getStore()?.numbers);

/** The way of the program that is served now. */
export const styleNow = (): ProgramStyle => served.getStore() ?? {};

export const inStyleOf = <T>({ dates, numbers }: ProgramStyle, serve: () => T): T =>
	served.run({ dates, numbers }, serve);
