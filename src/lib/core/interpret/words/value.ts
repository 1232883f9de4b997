import { amount, convert, decimalsBorne, Figure, figureIn, rounded, writeFigure, type Unit } from '../../quantity';
import { sayDay, sayTime } from './time';

/**
 * A figure with how sure it is, each in the digits that the uncertainty bears; where none is known, in the parameter's own.
 * Apart, because a screen sets them apart. Both are brought to `unit` where one is asked for.
 */
export function saySure(
	found: Figure,
	uncertaintyAsFound: number | null,
	own: number,
	unit: Unit = found.unit
): { figure: string; uncertainty: string | null } {
	const figure = figureIn(found, unit);
	// a unit larger by a factor of ten takes a digit more, whatever the unit's zero
	const step = Math.abs(convert(1, found.unit, unit) - convert(0, found.unit, unit));
	const decimals = Math.max(0, own - Math.round(Math.log10(step)));
	const uncertainty = uncertaintyAsFound === null ? null : uncertaintyAsFound * step;
	const borne = decimalsBorne(uncertainty);
	const { number, qualifier } = amount(figure);
	if (borne === null || uncertainty === null || qualifier !== null) return { figure: writeFigure(figure, decimals), uncertainty: null };
	const shown = { value: Number(rounded(number, borne)), unit: figure.unit };
	return { figure: writeFigure(shown, Math.max(0, borne)), uncertainty: rounded(uncertainty, borne) };
}

/** An entry's value as a person reads it: a figure with its unit, an instant in the time zone, yes or no, the parts of the rest. */
export function sayValue(value: unknown, timeZone = 'UTC'): string {
	if (value === null || value === undefined) return '';
	if (typeof value === 'string') return INSTANT.test(value) ? `${sayTime(Date.parse(value), timeZone)} ${sayDay(Date.parse(value), timeZone)}` : value;
	if (typeof value === 'number') return String(value).replace('-', '−');
	if (typeof value === 'boolean') return value ? 'yes' : 'no';
	const figure = Figure.safeParse(value);
	if (figure.success) return writeFigure(figure.data);
	return Object.entries(value)
		.filter(([, part]) => part !== '')
		.map(([key, part]) => `${key} ${sayValue(part, timeZone)}`)
		.join(', ');
}

const INSTANT = /^\d{4}-\d\d-\d\dT\d\d:\d\d:\d\d/;
