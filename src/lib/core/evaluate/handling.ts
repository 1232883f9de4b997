import { blankWater, readLabelCode } from '../custody';
import { isoDay } from '../interpret';
import { limitsOf, type MethodCard } from '../method';
import type { Preservative, Sheet } from '../logbook';
import type { Flag } from '../quality';
import type { Context } from './context';

/** How often a bottle is rinsed where the card says nothing; a sterile one never is. */
export const rinsesAsked = (step: Extract<MethodCard['steps'][number], { tool: 'bottle' }>): number =>
	step.bottle.kind === 'bacteria' ? 0 : (step.rinses ?? 3);

/** What was done with the bottles that should not have been: the wrong one, rinsed, without its acid, a blank of stream water, times that cannot be. */
export function handlingFlags(
	sheet: Sheet,
	card: MethodCard,
	{ site, timeZone = 'UTC', labelsElsewhere = {} }: Context
): Flag[] {
	const flags: Flag[] = [];
	const labels = new Map<string, number>();
	for (const { label } of Object.values(sheet.bottles ?? {}))
		if (label !== undefined) labels.set(label, (labels.get(label) ?? 0) + 1);
	for (const [id, bottle] of Object.entries(sheet.bottles ?? {})) {
		const label = bottle.label ?? id;
		const at = { path: `bottles/${id}`, parameter: null };
		const step = card.steps.find(
			(s) => s.tool === 'bottle' && (s.bottle.id === id || id.startsWith(`${s.bottle.id}-`))
		);
		const { filledAt } = bottle;
		const why =
			bottle.label === undefined
				? null
				: whyWrong(
						bottle.label,
						bottle.kind,
						sheet.opening && isoDay(Date.parse(sheet.opening.startedAt), timeZone),
						site.code
					);
		if (why !== null) flags.push({ ...at, code: 'wrong-bottle', evidence: { label, why } });
		if (bottle.label !== undefined && labels.get(bottle.label)! > 1)
			flags.push({ ...at, code: 'label-twice', evidence: { label } });
		if (bottle.kind === 'bacteria' && (bottle.rinses ?? 0) > 0)
			flags.push({ ...at, code: 'sterile-rinsed', evidence: { label } });
		if (bottle.label !== undefined && Object.hasOwn(labelsElsewhere, bottle.label))
			flags.push({ ...at, code: 'label-elsewhere', evidence: { label, site: labelsElsewhere[bottle.label]! } });
		if (bottle.role === 'blank' && bottle.water === 'deionised' && bottle.kind === 'bacteria')
			flags.push({ ...at, code: 'blank-not-sterile', evidence: { label } });
		if (bottle.role === 'blank' && bottle.water === 'stream')
			flags.push({
				...at,
				code: 'blank-of-stream',
				evidence: { label, wanted: blankWater[bottle.kind ?? 'nutrients'] }
			});
		if (bottle.role === 'blank' && bottle.water === undefined && filledAt !== undefined)
			flags.push({
				...at,
				code: 'blank-water-unsaid',
				evidence: { label, wanted: blankWater[bottle.kind ?? 'nutrients'] }
			});
		if (step?.tool !== 'bottle') continue;
		const wanted = rinsesAsked(step);
		if (bottle.kind !== 'bacteria' && bottle.rinses !== undefined && bottle.rinses !== wanted)
			flags.push({ ...at, code: 'rinsed-otherwise', evidence: { label, rinses: bottle.rinses, wanted } });
		if (bottle.kind !== 'bacteria' && bottle.rinses === undefined && wanted > 0 && filledAt !== undefined)
			flags.push({ ...at, code: 'rinse-unsaid', evidence: { label, wanted } });
		if (step.bottle.preserved !== undefined && filledAt !== undefined && bottle.preservedAt === undefined)
			flags.push({ ...at, code: 'not-preserved', evidence: { label, wanted: step.bottle.preserved } });
		const wrong = otherPreservative(bottle.preservedWith, step.bottle.preserved);
		if (wrong !== null) flags.push({ ...at, code: 'wrong-preservative', evidence: { label, ...wrong } });
	}
	return [...flags, ...coolerFlags(sheet, limitsOf(card).cooler_C), ...timeFlags(sheet)];
}

/** A cooler that was warm when it was handed over. */
const coolerFlags = ({ custody }: Sheet, most_C: number): Flag[] =>
	Object.entries(custody ?? {}).flatMap(([id, { temperature_C }]): Flag[] =>
		temperature_C !== undefined && temperature_C > most_C
			? [{ code: 'cooler-warm', path: `custody/${id}`, parameter: null, evidence: { temperature_C, limit_C: most_C } }]
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

/** What of a label's code does not fit where and when it is used; null where all does, or where the label has no such code. */
export function whyWrong(
	label: string,
	kind: string | undefined,
	day: string | undefined,
	siteCode: string | undefined
): string | null {
	const read = readLabelCode(label);
	if (!read) return null;
	if (siteCode !== undefined && read.site !== siteCode.toUpperCase())
		return `is labelled for site ${read.site}, and this is ${siteCode}`;
	if (day !== undefined && read.date !== day) return `is labelled for ${read.date}, and this visit began on ${day}`;
	if (kind !== undefined && read.kind !== kind) return `is a ${read.kind} bottle, and this step fills one for ${kind}`;
	return null;
}

/** Times of one thing that cannot lie so. */
function timeFlags(sheet: Sheet): Flag[] {
	const flags: Flag[] = [];
	const inTurn = (path: string, what: string, ...times: (readonly [string, string | undefined])[]) => {
		const known = times.filter((t): t is readonly [string, string] => t[1] !== undefined);
		for (let i = 1; i < known.length; i++) {
			const [first, then] = [known[i - 1]!, known[i]!];
			if (Date.parse(then[1]) < Date.parse(first[1]))
				flags.push({ code: 'time-order', path, parameter: null, evidence: { what, first: first[0], then: then[0] } });
		}
	};
	for (const [id, b] of Object.entries(sheet.bottles ?? {}))
		inTurn(
			`bottles/${id}`,
			`Bottle ${b.label ?? id}`,
			['the time of filling', b.filledAt],
			['the time on ice', b.onIceAt],
			['the time at the lab', b.atLabAt]
		);
	for (const [id, t] of Object.entries(sheet.titrations ?? {}))
		inTurn(`titrations/${id}`, `Bottle ${id}`, ['the fixing', t.fixedAt], ['the acid', t.acidAt]);
	inTurn('leaving', 'The visit', ['the arrival', sheet.opening?.startedAt], ['the leaving', sheet.leaving?.at]);
	return flags;
}
