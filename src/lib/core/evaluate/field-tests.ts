import { limitsOf, type MethodCard } from '../method';
import { instantOf, type Folded, discSpoilerWords } from '../logbook';
import type { Flag } from '../quality';
import { amount, figureIn, parameters, writeFigure, type Figure } from '../quantity';
import type { Finding } from './outcome';

type KitStep = Extract<MethodCard['steps'][number], { tool: 'kit' }>;

/** Seconds that the colour of a kit needs, from the dip on. */
export const colourWait_s = ({ waits }: Pick<KitStep, 'waits'>): number => waits.reduce((sum, w) => sum + w.for_s, 0);

/** The place in the sheet that a kit's colour is read into. */
export const colourPath = ({ parameter, id }: Pick<KitStep, 'parameter' | 'id'>): string =>
	`readings/${parameter}/${id}`;

/** Doubts about tests done by eye and hand: colours read too soon or too late, a disc in glare, a source that nitrite gives away. */
export function fieldTestFlags({ sheet, lines }: Folded, card: MethodCard, findings: readonly Finding[]): Flag[] {
	return [
		...card.steps.flatMap((s) =>
			s.tool === 'kit' ? colourFlags(s, sheet.waits?.[s.id]?.startedAt, lines.get(colourPath(s))?.live?.at) : []
		),
		...discFlags(sheet.disc?.spoilers),
		...discTurned(sheet),
		...nearSource(findings, limitsOf(card).freshSource_percent)
	];
}

function colourFlags(step: KitStep, startedAt: string | undefined, readAt: string | undefined): Flag[] {
	if (startedAt === undefined || readAt === undefined) return [];
	const after_s = (instantOf(readAt) - Date.parse(startedAt)) / 1000;
	const wait_s = colourWait_s(step);
	const at = { path: colourPath(step), parameter: step.parameter };
	const parameter = parameters[step.parameter].name;
	if (after_s < 0) return [];
	if (after_s < wait_s) return [{ ...at, code: 'colour-early', evidence: { parameter, after_s, wait_s } }];
	const within_s = wait_s + step.readWithin_s;
	return after_s > within_s ? [{ ...at, code: 'colour-late', evidence: { parameter, after_s, within_s } }] : [];
}

function discFlags(spoilers: Partial<Record<keyof typeof discSpoilerWords, boolean | undefined>> | undefined): Flag[] {
	const noted = Object.entries(discSpoilerWords).flatMap(([id, word]) =>
		spoilers?.[id as keyof typeof discSpoilerWords] ? [word] : []
	);
	return noted.length
		? [
				{
					code: 'disc-spoiled',
					path: 'readings/disc-depth',
					parameter: 'disc-depth',
					evidence: { why: noted.join(', ') }
				}
			]
		: [];
}

/** A disc seen again deeper than it was lost: one of the two depths is wrong. */
function discTurned({ readings }: Folded['sheet']): Flag[] {
	const [down, up] = [readings?.['disc-depth']?.['down'], readings?.['disc-depth']?.['up']];
	if (!down || !up) return [];
	const [lost, seen] = [amount(figureIn(down, 'm')), amount(figureIn(up, 'm'))];
	if (lost.qualifier !== null || seen.qualifier !== null || seen.number <= lost.number) return [];
	return [
		{
			code: 'disc-turned',
			path: 'readings/disc-depth',
			parameter: 'disc-depth',
			evidence: { lost: writeFigure(down), seen: writeFigure(up) }
		}
	];
}

/** Nitrite that stands out against nitrate. Figures of which one is only a limit tell nothing of their share. */
function nearSource(findings: readonly Finding[], limit_percent: number): Flag[] {
	const of = (code: string): Figure | undefined => findings.find((f) => f.parameter === code)?.figure;
	const [nitrite, nitrate] = [of('nitrite'), of('nitrate')];
	if (!nitrite || !nitrate) return [];
	const [part, whole] = [amount(nitrite), amount(nitrate)];
	if (part.qualifier !== null || whole.qualifier === 'above' || whole.number <= 0) return [];
	const percent = (100 * part.number) / whole.number;
	if (percent < limit_percent) return [];
	const evidence = {
		nitrite: writeFigure(nitrite, parameters.nitrite.decimals),
		nitrate: writeFigure(nitrate, parameters.nitrate.decimals),
		percent,
		limit_percent
	};
	return [{ code: 'fresh-source', path: 'readings/nitrite', parameter: 'nitrite', evidence }];
}
