import type { Limits } from '../../method';
import { standsSince, type OnShelf } from '../plates/shelf';
import type { TubeSet } from './series';

/** Where a set that is not read yet stands by its age; null where it was not filled, or was read. */
export const tubesOnShelf = (
	{ filledAt, readAt }: Pick<TubeSet, 'filledAt' | 'readAt'>,
	{ tubesReadable_h, tubesTooOld_h }: Pick<Limits, 'tubesReadable_h' | 'tubesTooOld_h'>,
	now_ms: number
): OnShelf | null =>
	filledAt === undefined || readAt !== undefined
		? null
		: standsSince(filledAt, { plateReadable_h: tubesReadable_h, plateTooOld_h: tubesTooOld_h }, now_ms);
