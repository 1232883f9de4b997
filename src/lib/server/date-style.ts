import { AsyncLocalStorage } from 'node:async_hooks';
import { writeDatesBy, type DateStyle } from '../core/wording';

/* Words are made for one program at a time: while a request is served, its dates are written that program's way. */

const served = new AsyncLocalStorage<DateStyle | undefined>();
writeDatesBy(() => served.getStore());

export const inDateStyle = <T>(style: DateStyle | undefined, serve: () => T): T => served.run(style, serve);
