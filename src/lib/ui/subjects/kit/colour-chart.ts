import { exactly, withQualifier, writeNumber, type Figure, type Unit } from '$lib/core/quantity';

export interface ChartLine {
	id: string;
	kind: 'block' | 'between' | 'beyond';
	figure: Figure;
	figureText: string;
	word: string;
}

/**
 * What a colour chart can say: each block, each space between two of them at the middle, "below" where there is no
 * colour at all, "over" beyond the deepest. No colour is below what the kit can detect, never 0.
 */
export function chartOf(blocks: readonly { value: number; word: string }[], unit: Unit): ChartLine[] {
	const isScale = blocks[0]?.value !== 0; // a chart such as that of pH has no "no colour"
	const first = blocks.find((b) => b.value > 0)?.value ?? 0;
	const lines: ChartLine[] = [];
	const lowest = blocks[0];
	if (isScale && lowest)
		lines.push({
			id: 'under',
			kind: 'beyond',
			figure: { ...withQualifier(lowest.value, 'below', unit), method: 'paler than the chart' },
			figureText: `below ${writeNumber(lowest.value)}`,
			word: `paler than ${lowest.word}`
		});
	for (const [i, block] of blocks.entries()) {
		const isNone = block.value === 0;
		lines.push({
			id: String(block.value),
			kind: 'block',
			figure: { ...(isNone ? withQualifier(first, 'below', unit) : exactly(block.value, unit)), method: block.word },
			figureText: isNone ? `below ${writeNumber(first)}` : writeNumber(block.value),
			word: block.word
		});
		const next = blocks[i + 1];
		if (!next || isNone) continue;
		const middle = Number(((block.value + next.value) / 2).toPrecision(4));
		lines.push({
			id: `${block.value}-${next.value}`,
			kind: 'between',
			figure: { ...exactly(middle, unit), method: `${block.word} to ${next.word}`.slice(0, 40) },
			figureText: writeNumber(middle),
			word: `between ${block.word} and ${next.word}`
		});
	}
	const last = blocks.at(-1);
	if (last)
		lines.push({
			id: 'over',
			kind: 'beyond',
			figure: { ...withQualifier(last.value, 'above', unit), method: 'deeper than the chart' },
			figureText: `over ${writeNumber(last.value)}`,
			word: `deeper than ${last.word}`
		});
	return lines;
}
