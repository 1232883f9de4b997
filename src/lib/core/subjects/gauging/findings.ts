import { limitsOf } from '../../method';
import { exactly } from '../../quantity';
import { finding } from '../determination';
import { defineSubject } from '../subject';
import type { GaugingMethod } from './branch';
import { flowStepOf, gaugedOtherwise, howGauged, isBySection } from './how';
import { gaugingsApart, tapeFlags } from './repeats';
import { gaugingViews } from './section';
import type { Flow, GaugingView } from './view';
import { simpleGauging } from './without-a-meter';
import { arithmeticWords } from './words';

/**
 * The flow, by whichever way it was gauged. The first gauging is the visit's flow; what was gauged again stands
 * beside it.
 */
export const gauging = defineSubject({
	branches: ['gaugings'],
	knows: ['instruments'],
	observe({ sheet, lines, card, context }) {
		const limits = limitsOf(card);
		const step = flowStepOf(card);
		const all = Object.entries(sheet.gaugings ?? {});
		const worked = gaugingViews({ sheet, lines }, card, context.instruments);
		const gaugings = worked.map((w) => w.view);
		const others = all
			.filter(([, g]) => !isBySection(howGauged(g, step)))
			.map(([id, g]) => ({ id, ...simpleGauging(id, g, howGauged(g, step).method, card) }));
		const flows: Flow[] = [
			...gaugings.flatMap((g) => bySection(g, howGauged(sheet.gaugings?.[g.id], step).method)),
			...others.flatMap((o) => o.findings.map((found) => ({ id: o.id, finding: found })))
		].sort(firstGaugedFirst);
		const flags = [
			...worked.flatMap((w) => w.flags),
			...others.flatMap((o) => o.flags),
			...all.flatMap(([id, g]) => [...gaugedOtherwise(id, g, step), ...tapeFlags(id, g, limits)]),
			...gaugingsApart(flows, limits.gaugings_percent)
		];
		return { findings: flows.map((f) => f.finding), flags, gaugings, flows };
	}
});

/** A gauging of a section gives a discharge once both edges are known. */
function bySection(view: GaugingView, method: GaugingMethod): Flow[] {
	const { id, provisional, arithmetic, discharge_m3_s, expanded_percent, verticals, working } = view;
	if (provisional || discharge_m3_s === null) return [];
	const counted = verticals.filter((v) => v.share_percent !== null).length;
	const found = finding({
		parameter: 'discharge',
		way: method === 'sweep' ? 'sweep' : 'section',
		figure: exactly(discharge_m3_s, 'm3_s'),
		uncertainty: expanded_percent === null ? null : Math.abs((expanded_percent / 100) * discharge_m3_s),
		readings: counted,
		source: 'derived',
		basis: `${arithmeticWords[arithmetic]}, ${counted === 1 ? 'one vertical' : `${counted} verticals`}`,
		working,
		place: `gaugings/${id}`
	});
	return [{ id, finding: found }];
}

function firstGaugedFirst(a: Flow, b: Flow): number {
	if (a.id === 'main') return -1;
	if (b.id === 'main') return 1;
	return a.id < b.id ? -1 : 1;
}
