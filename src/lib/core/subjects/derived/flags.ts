import { parameters, writeFigure, writeNumber, type Figure } from '../../quantity';
import { doubtKind } from '../flag';
import { sayPercent } from '../say';

export const derivedFlags = {
	'fresh-source': doubtKind<{ nitrite: Figure; nitrate: Figure; percent: number; limit_percent: number }>(
		'ask',
		(e) =>
			`Nitrite of ${writeFigure(e.nitrite, parameters.nitrite.decimals)} is ${sayPercent(e.percent)} of the ` +
			`nitrate (${writeFigure(e.nitrate, parameters.nitrate.decimals)}); from ${writeNumber(e.limit_percent)} % on ` +
			'a cause is worth looking for: waste, drains or silage, or water short of oxygen. Look upstream, and measure ' +
			'oxygen.'
	),
	supersaturated: doubtKind<{ percent: number }>(
		'note',
		(e) =>
			`The water holds ${sayPercent(e.percent)} of what it can: algae in sun, or water falling over a weir, or a ` +
			'probe that needs calibrating.'
	)
};
