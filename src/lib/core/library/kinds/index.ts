import type { Kind } from '../kind';
import { animals } from './animals';
import { sites, streams } from './catchment';
import { circuits } from './circuits';
import { consumables, gear, instruments, samplers } from './gear';
import { flumes } from './flumes';
import { ownParameters } from './parameters';
import { people, teams } from './people';
import { depots, drives, labs } from './places';
import { program } from './program';
import { thresholds } from './thresholds';

export { usualSkills } from './skills';

/** All kinds, in the order in which a program is set up: each needs only what stands before it. */
export const kinds: readonly Kind[] = [
	program,
	streams,
	sites,
	teams,
	people,
	depots,
	labs,
	drives,
	circuits,
	ownParameters,
	thresholds,
	animals,
	instruments,
	consumables,
	gear,
	samplers,
	flumes
];

export const kindNamed = (name: string): Kind | null => kinds.find((k) => k.name === name) ?? null;

export { definitionOf, ownCodeOf } from './parameters';
export { ownAnimalsIn } from './animals';
export { exampleThresholds } from './example-thresholds';
export { thresholdOf } from './thresholds';
export { type ThresholdRow } from './threshold-fields';
export { permissionMissing } from './catchment';
export { isTimeZone, type PaperSize } from './program';
