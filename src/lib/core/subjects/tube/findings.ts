import { rangeOfTube, turbidityFromTube } from '../../clarity';
import type { MethodCard } from '../../method';
import { withQualifier } from '../../quantity';
import { finding, type Finding } from '../determination';
import { knownOf, type Known } from '../known';
import { readingsFound } from '../reading/figure';
import { stepsOf } from '../steps';
import { defineSubject } from '../subject';

/** Transparency down a tube, and the turbidity that one regression makes of it. */
export const tube = defineSubject({
	branches: ['readings'],
	knows: ['instruments'],
	observe({ sheet, lines, card, context }) {
		const slots = sheet.readings?.['tube-depth'];
		if (slots === undefined) return {};
		const readings = {
			parameter: 'tube-depth',
			way: 'tube',
			place: 'readings/tube-depth',
			slots,
			scale: null
		} as const;
		const read = readingsFound(readings, lines, card, context.instruments);
		return { findings: read.finding ? [read.finding] : [], flags: read.flags };
	},
	derive({ results, card }) {
		const found = turbidity(knownOf(results, 'tube-depth'), card);
		return found ? [found] : [];
	}
});

/**
 * Turbidity as one regression has it: beside the transparency, which is the figure; only where that regression was
 * made, and wide.
 */
function turbidity(depth: Known | null, card: MethodCard): Finding | null {
	const [tube] = stepsOf(card, 'tube');
	if (!depth || !tube || (depth.value.qualifier !== 'above' && depth.value.number > tube.tubeLength_cm)) return null;
	const { least_cm, most_cm, give, source } = rangeOfTube;
	const { number } = depth.value;
	const isBeyond = depth.value.qualifier === 'above' || number > most_cm;
	const length_cm = Math.min(most_cm, Math.max(number, least_cm));
	const { turbidity_NTU, qualifier } = turbidityFromTube({
		depth_cm: number,
		tubeLength_cm: length_cm,
		minimumDepth_cm: Math.min(least_cm, length_cm),
		stillVisibleWhenFull: isBeyond
	});
	const above = qualifier === '>' || depth.value.qualifier === 'below' ? 'above' : null;
	const side = qualifier === '<' ? 'below' : above;
	return finding({
		way: 'derived',
		source: 'derived',
		readings: 1,
		parameter: 'turbidity',
		figure: withQualifier(turbidity_NTU, side, 'NTU'),
		uncertainty: side === null ? give * turbidity_NTU : null,
		basis: `from the tube, by ${source}; another tube or another silt may differ by a third`,
		working: null,
		place: 'readings/tube-depth',
		parents: ['tube-depth'],
		isSimulated: depth.isSimulated
	});
}
