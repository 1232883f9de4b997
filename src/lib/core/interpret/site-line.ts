import {
	amount,
	parameterOf,
	saySide,
	unitRead,
	units,
	writeFigure,
	writeNumber,
	type Figure,
	type ParameterCode,
	type ShownUnits
} from '../quantity';
import { saySure } from '../wording';
import { judge, type Threshold } from './thresholds';

/**
 * The few words that stand beside a site: the figure that most wants doing something about, with the word for it;
 * where nothing does, how warm the water was and how much oxygen it held.
 */
export function siteLine(
	latest: Partial<Record<ParameterCode, Figure>>,
	thresholds: readonly Threshold[],
	inUnits?: ShownUnits
): string {
	for (const state of ['act', 'watch'] as const)
		for (const code of MOST_TELLING) {
			const figure = latest[code];
			const asked = thresholds.filter((t) => t.parameter === code && t.statistic === 'each sample');
			if (figure && asked.some((t) => judge(figure, t)?.state === state))
				return `${SHORT[code] ?? parameterOf(code, undefined).name} ${brief(code, figure, inUnits)}`;
		}
	const temperature = latest['water-temperature'];
	const oxygen = latest['oxygen-saturation'];
	return [temperature && shown('water-temperature', temperature, inUnits), oxygen && `${writeFigure(oxygen, 0)} oxygen`]
		.filter(Boolean)
		.join(', ');
}

const MOST_TELLING: ParameterCode[] = [
	'nitrite',
	'e-coli',
	'oxygen-saturation',
	'conductance25',
	'tube-depth',
	'water-temperature'
];
const SHORT: Partial<Record<ParameterCode, string>> = {
	'oxygen-saturation': 'oxygen',
	conductance25: 'conductivity',
	'tube-depth': 'clear to',
	'water-temperature': 'water',
	nitrite: 'nitrite',
	'e-coli': 'E. coli'
};

/** A figure as the program's people read it. */
function shown(code: ParameterCode, figure: Figure, inUnits: ShownUnits | undefined): string {
	const known = parameterOf(code, undefined);
	return saySure(figure, null, known.decimals, unitRead(known, inUnits)).figure;
}

function brief(code: ParameterCode, figure: Figure, inUnits: ShownUnits | undefined): string {
	if (code !== 'nitrite' && code !== 'e-coli') return shown(code, figure, inUnits);
	const { number, qualifier } = amount(figure);
	const side = saySide(qualifier);
	return code === 'nitrite'
		? `${side}${writeNumber(Number(number.toPrecision(3)))} mg/L`
		: `${side}${writeNumber(number)} ${units[figure.unit].symbol}`;
}
