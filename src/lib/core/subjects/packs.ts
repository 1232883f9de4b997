import { bottlePack } from './bottle/pack';
import { discPack } from './disc/pack';
import { flowPack } from './gauging/pack';
import { kitPack } from './kit/pack';
import { netPack } from './net/pack';
import { samplerPack } from './sampler/pack';
import { nothingToPack, type Packed, type PackedRound, type PackLine } from './packed';
import { staffPack } from './staff-gauge/pack';
import { stepsOf, type Step, type Tool } from './steps';
import { titrationPack } from './titration/pack';
import { trayPack } from './tray/pack';
import { tubePack } from './tube/pack';

/** What goes into the bag for each kind of step: a line for every one, if only to say that it needs nothing. */
const packs: { [T in Tool]: Packed<T> } = {
	arrive: nothingToPack,
	bottle: bottlePack,
	form: nothingToPack,
	reading: nothingToPack,
	kit: kitPack,
	titration: titrationPack,
	disc: discPack,
	tube: tubePack,
	staff: staffPack,
	flow: flowPack,
	net: netPack,
	sampler: samplerPack,
	tray: trayPack,
	leave: nothingToPack
};

const tools = Object.keys(packs) as Tool[];
const packOf = (tool: Tool) => packs[tool] as Packed<Tool>;

/** What the steps of a card need, each thing once. */
export function packedFor(card: { steps: readonly Step[] }, round: PackedRound): PackLine[] {
	const lines = new Map<string, PackLine>();
	for (const tool of tools)
		for (const line of packOf(tool).lines(stepsOf(card, tool), round)) if (line.count > 0) lines.set(line.id, line);
	return [...lines.values()];
}

/** What of it hurts eyes. */
export const hurtsEyes = (card: { steps: readonly Step[] }): string[] => [
	...new Set(tools.flatMap((tool) => packOf(tool).hurts?.(stepsOf(card, tool)) ?? []))
];
