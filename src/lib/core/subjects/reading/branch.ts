import { z } from 'zod';
import { leaf, SheetId, YesNo } from '../../leaf';
import { Figure, ParameterCode } from '../../quantity';

/** Figures read off something, by parameter and the place or test that gave them. */
export const readings = z.partialRecord(ParameterCode, z.record(SheetId, leaf(Figure, 'figure'))).optional();

/** What a meter's display was said to show. */
export const meters = z.object({ conductivityAt25: leaf(YesNo) }).optional();
