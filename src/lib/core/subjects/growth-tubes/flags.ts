import { writeFixed, writeNumber } from '../../quantity';
import { doubtKind } from '../flag';

export const growthTubesFlags = {
	'tubes-read-when': doubtKind<{ label: string; age_h: number; from_h: number; until_h: number }>('ask', (e) =>
		e.age_h < e.from_h
			? `Tubes ${e.label} were read after ${writeFixed(e.age_h, 0)} h; more may still turn until ` +
				`${writeNumber(e.from_h)} h. Read them again then.`
			: `Tubes ${e.label} were read after ${writeFixed(e.age_h, 0)} h; after ${writeNumber(e.until_h)} h other ` +
				`things have grown too.`
	),
	'tubes-improbable': doubtKind<{ label: string; pattern: string; rarity: number }>(
		'ask',
		(e) =>
			`Tubes ${e.label}: ${e.pattern} grown can hardly come of one water. Look at the rows again: are two of them ` +
			'mixed up, or one badly thinned?'
	),
	'blank-tubes-grew': doubtKind<{ label: string; grown: number }>(
		'spoils',
		(e) =>
			`The blank, tubes ${e.label}, grew in ${e.grown}: something was not sterile, and none of this batch can be ` +
			'trusted.'
	)
};
