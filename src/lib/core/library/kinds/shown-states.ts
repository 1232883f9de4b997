import { questions } from '../../identification';
import type { OwnAnimal } from '../../macroinvertebrates';
import type { Field } from '../field';

type Shown = OwnAnimal['shows'][number];

const bare = (text: string) => text.trim().toLowerCase();
/** What people write: the words of the screen, or the names that a file has. */
const isMeant = (text: string, ...names: string[]) => names.some((name) => bare(name) === bare(text));

/** What a kind shows of what the key asks about: `tails: three, bare; size: under 3 mm`. */
export function shownStates({ label, help }: { label: string; help: string }): Field<Shown[]> {
	return {
		label,
		help,
		isRequired: false,
		control: 'lines',
		read: (text) => {
			const read = text
				.split(/[;\n]/)
				.filter((part) => part.trim() !== '')
				.map(shownIn);
			const wrong = read.find((r) => 'why' in r);
			return wrong ?? { value: read.flatMap((r) => ('why' in r ? [] : [r])) };
		},
		write: (shown) => shown.map(written).join('; ')
	};
}

function shownIn(part: string): Shown | { why: string } {
	const colon = part.indexOf(':');
	const [asked, said] = [part.slice(0, colon), part.slice(colon + 1)];
	const question = colon === -1 ? undefined : questions.find((q) => isMeant(asked, q.short, q.id));
	if (!question)
		return {
			why:
				`“${(colon === -1 ? part : asked).trim()}” is nothing that the key asks. It asks for: ` +
				`${questions.map((q) => q.short).join('; ')}.`
		};
	const state = question.states.find((s) => isMeant(said, s.word, s.id));
	return state
		? { character: question.id, state: state.id }
		: {
				why:
					`“${said.trim()}” is no answer to “${question.short}”. There are: ` +
					`${question.states.map((s) => s.word).join('; ')}.`
			};
}

function written({ character, state }: Shown): string {
	const question = questions.find((q) => q.id === character);
	return `${question?.short ?? character}: ${question?.states.find((s) => s.id === state)?.word ?? state}`;
}
