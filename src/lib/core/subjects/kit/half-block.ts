import { amount, exactly, figureIn, type Figure, type Parameter } from '../../quantity';
import type { KitStep } from './step';

/**
 * Half of the wider step to a neighbouring block of the card's chart, in the parameter's own unit; null where the
 * figure is not off a chart.
 */
export function halfBlock(read: Figure, step: KitStep, { unit }: Parameter): number | null {
	if (read.instrument !== undefined) return null;
	const { number, qualifier } = amount(figureIn(read, step.unit));
	if (qualifier !== null) return null;
	const blocks = step.chart.map((b) => b.value);
	const below = blocks.findLast((b) => b < number);
	const above = blocks.find((b) => b > number);
	const half =
		Math.max(above === undefined ? 0 : above - number, below === undefined ? 0 : number - below) /
		(blocks.includes(number) ? 2 : 1);
	const own = (n: number) => amount(figureIn(exactly(n, step.unit), unit)).number;
	return half === 0 ? null : Math.abs(own(half) - own(0));
}
