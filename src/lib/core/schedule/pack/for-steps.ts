import type { GaugingMethod } from '../../logbook';
import type { MethodCard, Step } from '../../method';

interface Line {
	id: string;
	what: string;
	count: number;
	because: string;
}
type Asks<T extends Step['tool']> = (step: Extract<Step, { tool: T }>, sites: number) => readonly Line[];

const one = (id: string, what: string, because: string): Line => ({ id, what, count: 1, because });
const aSite = (sites: number) => (sites === 1 ? 'one site' : `${sites} sites`);

const forFlow: Record<GaugingMethod, readonly Line[]> = {
	verticals: [one('tape', 'tape, wading rod, two pegs', 'the flow is measured')],
	sweep: [one('tape', 'tape, wading rod, two pegs', 'the flow is measured')],
	float: [
		one('tape', 'tape, rod, two pegs', 'the flow is measured'),
		{ id: 'floats', what: 'floats', count: 6, because: 'five runs, and one that gets away' }
	],
	flume: [one('flume', 'flume, spirit level, spade', 'the flow is measured with it')],
	bucket: [one('bucket', 'bucket with its volume marked', 'the flow is caught and timed')]
};

/** What each step of a card needs beside bottles and instruments. Every tool has its line here, if only to say that it needs nothing. */
const forTool: { [T in Step['tool']]: Asks<T> } = {
	arrive: () => [],
	form: () => [],
	bottle: () => [],
	reading: () => [],
	leave: () => [],
	tube: () => [one('tube', 'clarity tube', 'the card asks for clarity')],
	disc: () => [one('disc', 'disc on its marked line', 'for water deeper than the tube')],
	kit: ({ id, title }, sites) => [
		{
			id: `kit-${id}`,
			what: `${title}: tests, in date`,
			count: sites + 1,
			because: `one for each of ${aSite(sites)}, and one that is spoiled`
		},
		one(`chart-${id}`, `${title}: chart of the same pack`, 'a colour is read off the chart that came with it')
	],
	titration: ({ bottles }, sites) => [
		{
			id: 'glass-bottle',
			what: 'glass bottles with ground stoppers',
			count: bottles.length * sites + 1,
			because: `${bottles.length} for each of ${aSite(sites)}, and one for a bottle with a bubble`
		},
		one('fixing', 'fixing reagents one and two, with droppers', 'oxygen is fixed in the bottle, at once'),
		one('titration-acid', 'acid for the titration', 'it dissolves the floc'),
		one('titrant', 'titrant and its dropper, in date', 'its strength is what the drops count by'),
		one('starch', 'starch', 'the end point shows blue to clear'),
		one('waste', 'waste bottle with a lid', 'nothing of it goes into the stream')
	],
	flow: ({ method }) => forFlow[method ?? 'verticals']
};

/** What the steps of a card need, each thing once. */
export function forSteps({ steps }: Pick<MethodCard, 'steps'>, sites: number): Line[] {
	const lines = new Map<string, Line>();
	for (const step of steps)
		for (const line of (forTool[step.tool] as Asks<typeof step.tool>)(step, sites)) lines.set(line.id, line);
	return [...lines.values()];
}
