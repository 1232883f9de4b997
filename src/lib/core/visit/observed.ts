import type { Folded, Sheet } from '../logbook';
import type { MethodCard } from '../method';
import type { Context } from '../subjects/context';
import type { Observed, Subject } from '../subjects/subject';

interface Remembered {
	told: readonly unknown[];
	said: Observed;
}

/** What each subject said last, by the first of its branches that holds something. */
const known = new WeakMap<Subject, WeakMap<object, Remembered>>();
const NOTHING: Observed = {};

/**
 * What a subject has to say of a visit. It is asked again only when one of its own branches, the card, or something
 * it needs to know is another object than it was: a branch of a folded sheet is never changed, only replaced.
 */
export function seenBy(subject: Subject, { sheet, lines }: Folded, card: MethodCard, context: Context): Observed {
	const own = subject.branches.map((branch) => sheet[branch]);
	const first = own.find((branch): branch is NonNullable<Sheet[keyof Sheet]> => branch !== undefined);
	if (!subject.observe || first === undefined) return NOTHING;
	const told = [...own, card, ...subject.knows.map((what) => context[what])];
	const ofSubject = known.get(subject) ?? new WeakMap<object, Remembered>();
	known.set(subject, ofSubject);
	const last = ofSubject.get(first);
	if (last && told.every((t, i) => t === last.told[i])) return last.said;
	const said = subject.observe({ sheet, lines, card, context });
	ofSubject.set(first, { told, said });
	return said;
}
