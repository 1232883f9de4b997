import { z } from 'zod';
import { ticks } from '../../leaf';

/** What a disc on a line cannot be read through. */
export const discSpoilers = ['polarised', 'low-sun', 'glare', 'waves', 'on-bed', 'current'] as const;
export type DiscSpoiler = (typeof discSpoilers)[number];

export const disc = z.object({ spoilers: ticks(discSpoilers) }).optional();
