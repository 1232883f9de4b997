import { z } from 'zod';
import { branches } from '../subjects/branches';

/*
 * The one schema of a visit's sheet: the places of all subjects. Which paths an entry may write, and what may stand
 * at each, are derived from it (path.ts). A leaf is marked with what it is; everything else is a branch. Things that
 * there can be several of are records by id, never lists: two devices can add at the same time.
 */
export const SheetSchema = z.object(branches);

/** A visit's sheet: what its live entries say, at the places the schema names. */
export type Sheet = z.infer<typeof SheetSchema>;
