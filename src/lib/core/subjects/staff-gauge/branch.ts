import { z } from 'zod';
import { ticks } from '../../leaf';

/** What stands between the level on the board and the flow. */
export const levelSpoilers = ['tide', 'backwater', 'waves', 'ice', 'debris'] as const;
export type LevelSpoiler = (typeof levelSpoilers)[number];

/** The level itself stands under the readings, at `readings/water-level/board`. */
export const staff = z.object({ spoilers: ticks(levelSpoilers) }).optional();
