import { changesDrawn, type Threshold } from '$lib/core/interpret';
import { wayWords } from '$lib/core/wording';
import { areAlike, writeNumber, type Parameter, type Way } from '$lib/core/quantity';

export interface ChartPoint {
	at_ms: number;
	value: number;
	qualifier: 'below' | 'above' | null;
	uncertainty: number | null;
	lower: number | null;
	upper: number | null;
	isSimulated: boolean;
	way: Way;
	status: 'waiting' | 'accepted' | 'qualified' | 'rejected';
}

export interface ChartStretch {
	at_ms: number;
	low: number;
	middle: number;
	high: number;
}

export interface ChartColours {
	ink: string;
	ink2: string;
	rule: string;
	water: string;
	page: string;
	good: string;
	watch: string;
	act: string;
	danger: string;
}

export interface SeriesChartInput {
	parameter: Parameter;
	unitSymbol: string;
	threshold: Threshold | null;
	points: ChartPoint[];
	stretches: ChartStretch[];
	from_ms: number;
	to_ms: number;
	colours: ChartColours;
}

/** Upright lines where the figures began to be found another way: a step there may come from that. */
const changesOfWay = (points: readonly ChartPoint[], colours: ChartColours) => ({
	silent: true,
	symbol: 'none',
	lineStyle: { color: colours.ink2, type: 'dashed', width: 1 },
	label: { formatter: '{b}', position: 'insideEndTop', color: colours.ink2, fontSize: 12 },
	data: changesDrawn(points).map(({ at_ms, to }) => ({ name: `by ${wayWords[to]}`, xAxis: at_ms }))
});

/**
 * A series as a drawing: results as marks in time order, non-detects as open marks at their limit, a use's bands
 * behind.
 */
export function seriesOption({
	parameter,
	unitSymbol,
	threshold,
	points,
	stretches,
	from_ms,
	to_ms,
	colours
}: SeriesChartInput) {
	const highest = Math.max(0, ...points.map((p) => p.value + (p.uncertainty ?? 0)), ...stretches.map((s) => s.high));
	const lowest = Math.min(
		...points.map((p) => p.value - (p.uncertainty ?? 0)),
		...stretches.map((s) => s.low),
		highest
	);
	// counts of bacteria are read by their tens whatever they span; other things where they span much
	const isCount = areAlike(parameter.unit, 'cfu_100mL');
	const wide = lowest > 0 && (isCount || highest / lowest > 60);
	const behind = bands(threshold, colours, { lowest, highest, wide });
	const good = points.filter((p) => p.status !== 'rejected' && !p.isSimulated);
	return {
		animation: false,
		textStyle: { fontFamily: 'Atkinson Hyperlegible Next Variable', color: colours.ink },
		grid: { left: 58, right: 18, top: 26, bottom: 30 },
		tooltip: {
			trigger: 'item',
			backgroundColor: colours.page,
			borderColor: colours.rule,
			textStyle: { color: colours.ink }
		},
		xAxis: {
			type: 'time',
			min: from_ms,
			max: to_ms,
			axisLine: { lineStyle: { color: colours.ink } },
			axisLabel: { color: colours.ink2, hideOverlap: true },
			splitLine: { show: false }
		},
		yAxis: {
			type: wide ? 'log' : 'value',
			scale: true,
			name: unitSymbol + (wide ? ', each step ten times' : ''),
			nameTextStyle: { color: colours.ink2, align: 'left', padding: [0, 0, 0, -44] },
			axisLabel: { color: colours.ink2, formatter: writeNumber },
			splitLine: { lineStyle: { color: colours.rule } }
		},
		series: [
			...(stretches.length
				? [
						{
							type: 'line',
							name: 'lowest',
							data: stretches.map((s) => [s.at_ms, s.low]),
							symbol: 'none',
							lineStyle: { color: colours.water, width: 1, opacity: 0.5 }
						},
						{
							type: 'line',
							name: 'middle',
							data: stretches.map((s) => [s.at_ms, s.middle]),
							symbol: 'none',
							lineStyle: { color: colours.water, width: 2 },
							markArea: behind
						},
						{
							type: 'line',
							name: 'highest',
							data: stretches.map((s) => [s.at_ms, s.high]),
							symbol: 'none',
							lineStyle: { color: colours.water, width: 1, opacity: 0.5 }
						}
					]
				: []),
			{
				type: 'line',
				name: parameter.name,
				data: good.map((p) => [p.at_ms, p.value]),
				symbol: 'none',
				lineStyle: { color: colours.water, width: 1, opacity: 0.45 },
				...(stretches.length ? {} : { markArea: behind }),
				markLine: changesOfWay(good, colours)
			},
			marks(
				'measured',
				points.filter(
					(p) => !p.isSimulated && p.qualifier === null && p.status !== 'rejected' && p.status !== 'waiting'
				),
				'circle',
				colours.water,
				colours.page
			),
			marks(
				'waiting for review',
				points.filter((p) => !p.isSimulated && p.qualifier === null && p.status === 'waiting'),
				'rect',
				colours.water,
				colours.page
			),
			marks(
				'below or above a limit',
				points.filter((p) => !p.isSimulated && p.qualifier !== null && p.status !== 'rejected'),
				'circle',
				colours.page,
				colours.water
			),
			marks(
				'simulated',
				points.filter((p) => p.isSimulated && p.status !== 'rejected'),
				'triangle',
				colours.page,
				colours.ink2
			),
			marks(
				'rejected',
				points.filter((p) => p.status === 'rejected'),
				'path://M-5 -5L5 5M5 -5L-5 5',
				colours.danger,
				colours.danger
			)
		]
	};
}

const marks = (name: string, points: readonly ChartPoint[], symbol: string, fill: string, edge: string) => ({
	type: 'scatter',
	name,
	symbol,
	symbolSize: 9,
	itemStyle: { color: fill, borderColor: edge, borderWidth: 1.8 },
	data: points.map((p) => [p.at_ms, p.value])
});

/** A band that takes less of the drawing's height than this has no room for its name. */
const LEAST_SHARE = 0.1;

/** The bands of a use, each named at its left edge where there is room. */
function bands(
	threshold: Threshold | null,
	colours: ChartColours,
	{ lowest, highest, wide }: { lowest: number; highest: number; wide: boolean }
) {
	if (!threshold) return undefined;
	const along = (value: number) => (wide ? Math.log(Math.max(value, lowest)) : value);
	const shareOf = (from: number, to: number) =>
		(along(Math.min(to, highest)) - along(Math.max(from, lowest))) / (along(highest) - along(lowest));
	return {
		silent: true,
		label: { position: 'insideTopLeft', color: colours.ink2, fontSize: 12 },
		data: threshold.bands.map((band, i) => {
			const to = threshold.bands[i + 1]?.from ?? Infinity;
			return [
				{
					name: shareOf(band.from, to) < LEAST_SHARE ? '' : `${threshold.use}: ${band.word}`,
					yAxis: i === 0 ? Math.min(band.from, lowest) : band.from,
					itemStyle: { color: colours[band.state], opacity: 0.55 }
				},
				{ yAxis: to }
			];
		})
	};
}
