import type { ParameterCode } from '../../quantity';
import { doubtKind } from '../flag';
import { nameOf, saySeconds } from '../say';

export const kitFlags = {
	'colour-early': doubtKind<{ parameter: ParameterCode; after_s: number; wait_s: number }>(
		'ask',
		(e, said) =>
			`${nameOf(e.parameter, said)} was read ${saySeconds(e.after_s)} after the dip; the colour needs ` +
			`${saySeconds(e.wait_s)}. Dip a fresh one.`
	),
	'colour-late': doubtKind<{ parameter: ParameterCode; after_s: number; within_s: number }>(
		'ask',
		(e, said) =>
			`${nameOf(e.parameter, said)} was read ${saySeconds(e.after_s)} after the dip; after ${saySeconds(e.within_s)} ` +
			'the colour goes on changing. Dip a fresh one.'
	)
};
