import { blankWater, readLabelCode } from '../../custody';
import type { Sheet } from '../../logbook';
import { doubt, type Flag } from '../flags';
import { timesInTurn } from '../moments';
import type { Preservative } from './branch';
import type { LabelMismatch } from './flags';
import type { BottleSheet } from './held';
import { rinsesAsked, type BottleStep } from './step';

const placeOf = (id: string) => ({ path: `bottles/${id}`, parameter: null });

/** What was done with one bottle that should not have been: rinsed or not, without its acid, times that cannot be. */
export function handlingFlags(id: string, bottle: BottleSheet, step: BottleStep | undefined): Flag[] {
	const label = bottle.label ?? id;
	const { filledAt, onIceAt, atLabAt } = bottle;
	return [
		...(bottle.kind === 'bacteria' && (bottle.rinses ?? 0) > 0
			? [doubt('sterile-rinsed', placeOf(id), { label })]
			: []),
		...blankFlags(id, label, bottle),
		...(step ? [...rinseFlags(id, label, bottle, step), ...preservedFlags(id, label, bottle, step)] : []),
		...timesInTurn('bottle', label, placeOf(id), {
			'bottle-filled-ice': [filledAt, onIceAt],
			'bottle-ice-lab': [onIceAt, atLabAt],
			'bottle-filled-lab': onIceAt === undefined ? [filledAt, atLabAt] : [undefined, undefined]
		})
	];
}

/** A blank holds water that should have nothing in it, and for bacteria that does not starve them. */
function blankFlags(id: string, label: string, { role, water, kind, filledAt }: BottleSheet): Flag[] {
	if (role !== 'blank') return [];
	const wanted = blankWater[kind ?? 'nutrients'];
	if (water === 'stream') return [doubt('blank-of-stream', placeOf(id), { label, wanted })];
	if (water === 'deionised' && kind === 'bacteria') return [doubt('blank-not-sterile', placeOf(id), { label })];
	if (water !== undefined || filledAt === undefined) return [];
	return [doubt('blank-water-unsaid', placeOf(id), { label, wanted })];
}

function rinseFlags(id: string, label: string, { kind, rinses, filledAt }: BottleSheet, step: BottleStep): Flag[] {
	if (kind === 'bacteria') return [];
	const wanted = rinsesAsked(step);
	if (rinses !== undefined)
		return rinses === wanted ? [] : [doubt('rinsed-otherwise', placeOf(id), { label, rinses, wanted })];
	return wanted > 0 && filledAt !== undefined ? [doubt('rinse-unsaid', placeOf(id), { label, wanted })] : [];
}

function preservedFlags(id: string, label: string, bottle: BottleSheet, { bottle: asked }: BottleStep): Flag[] {
	const isMissing = asked.preserved !== undefined && bottle.filledAt !== undefined && bottle.preservedAt === undefined;
	const wrong = otherPreservative(bottle.preservedWith, asked.preserved);
	return [
		...(isMissing ? [doubt('not-preserved', placeOf(id), { label, wanted: asked.preserved! })] : []),
		...(wrong ? [doubt('wrong-preservative', placeOf(id), { label, ...wrong })] : [])
	];
}

/** A label used twice, at another site, or made for another site, day or kind. */
export function labelFlags(
	id: string,
	{ label, kind }: BottleSheet,
	bottles: NonNullable<Sheet['bottles']>,
	where: { siteCode: string | undefined; day: () => string | undefined; elsewhere: Readonly<Record<string, string>> }
): Flag[] {
	if (label === undefined) return [];
	const wrong = labelMismatch(label, kind, where.day, where.siteCode);
	const isTwice = Object.values(bottles).filter((b) => b.label === label).length > 1;
	return [
		...(wrong ? [doubt('wrong-bottle', placeOf(id), { label, wrong })] : []),
		...(isTwice ? [doubt('label-twice', placeOf(id), { label })] : []),
		...(Object.hasOwn(where.elsewhere, label)
			? [doubt('label-elsewhere', placeOf(id), { label, site: where.elsewhere[label]! })]
			: [])
	];
}

/** A cooler that was warm when it was handed over. */
export const coolerFlags = ({ custody }: Pick<Sheet, 'custody'>, limit_C: number): Flag[] =>
	Object.entries(custody ?? {}).flatMap(([id, { temperature_C }]): Flag[] =>
		temperature_C !== undefined && temperature_C > limit_C
			? [doubt('cooler-warm', { path: `custody/${id}`, parameter: null }, { temperature_C, limit_C })]
			: []
	);

/** What went into a bottle where that is not what the card asks for; a card that says `acid` takes either. */
export function otherPreservative(
	used: Preservative | undefined,
	asked: Preservative | undefined
): { with: string; wanted: string } | null {
	if (used === undefined || used === asked || (asked === 'acid' && used.endsWith('acid'))) return null;
	return { with: used, wanted: asked ?? 'none' };
}

/**
 * What of a label's code does not fit where and when it is used; null where all does, or where the label has no such
 * code.
 */
export function labelMismatch(
	label: string,
	kind: BottleSheet['kind'],
	dayHere: () => string | undefined,
	siteCode: string | undefined
): LabelMismatch | null {
	const read = readLabelCode(label);
	if (!read) return null;
	if (siteCode !== undefined && read.site !== siteCode.toUpperCase())
		return { of: 'site', labelled: read.site, here: siteCode };
	const day = dayHere();
	if (day !== undefined && read.date !== day) return { of: 'day', labelled: read.date, here: day };
	return kind !== undefined && read.kind !== kind ? { of: 'kind', labelled: read.kind, here: kind } : null;
}
