import { expect, it } from 'vitest';
import { inSentence } from './sentence';

it.each([
	['Flow', 'flow'],
	['pH by strip', 'pH by strip'],
	['Oxygen by titration', 'oxygen by titration'],
	['E. coli', 'E. coli'],
	['DO by meter', 'DO by meter'],
	['Öre', 'öre'],
	['', '']
])('“%s” in a sentence is “%s”', (title, said) => expect(inSentence(title)).toBe(said));
