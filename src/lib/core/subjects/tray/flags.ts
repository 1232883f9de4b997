import { counted } from '../../wording';
import { doubtKind } from '../flag';

export const trayFlags = {
	'few-animals': doubtKind<{ animals: number; more: number | null; classes: readonly string[] }>('ask', (e) => {
		const [first = '', second = ''] = e.classes;
		const few = `${counted(e.animals, 'animal')} cannot tell ${first} from ${second}`;
		return e.more === null || e.more === 0
			? `${few}: a small sample is no poor stream. Sort another part of the sample if there is one.`
			: `${few}; about ${e.more} more would. A small sample is no poor stream: sort another part of it if ` +
					'there is one.';
	}),
	'many-unnamed': doubtKind<{ unnamed: number; animals: number }>(
		'ask',
		(e) =>
			`${e.unnamed} of ${counted(e.animals, 'animal')} have no name yet, and only what is named is rated. Name them, ` +
			'or keep some for somebody who can.'
	),
	'counted-elsewhere': doubtKind<{ from: string }>(
		'note',
		(e) => `Counted elsewhere, and brought in from a file: ${e.from}. Its names were not given at a tray here.`
	),
	'only-tolerant': doubtKind<{ kinds: number }>(
		'note',
		(e) =>
			`Only ${counted(e.kinds, 'tolerant kind')} found. A tolerant animal lives in clean water too: it proves ` +
			'nothing until the others were looked for and are not there.'
	)
};
