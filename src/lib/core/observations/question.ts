/** Something looked at and said in words: one of several, or as many as are seen. */
export interface Question {
	id: string;
	ask: string;
	/** The heading that it stands under. */
	group: string;
	takes: 'one' | 'several';
	choices: readonly Choice[];
	/** It does not change with the weather: what was so last time mostly is so today. */
	isSteady?: boolean;
	/** How to tell, for whoever does this for the first time. */
	help?: string;
}

export interface Choice {
	id: string;
	word: string;
}

/** What was said: by question one choice, or for each choice whether it was seen. */
export type Answers = { [question: string]: string | { [choice: string]: boolean | undefined } | undefined };

/** The choices of a question that stand in the answers, in the question's own order. */
export function chosen(question: Question, answers: Answers | undefined): Choice[] {
	const said = answers?.[question.id];
	if (said === undefined) return [];
	return question.choices.filter((c) => (typeof said === 'string' ? said === c.id : said[c.id] === true));
}

export const isAnswered = (question: Question, answers: Answers | undefined): boolean =>
	chosen(question, answers).length > 0;

/** A question's choices, those that a place usually has first: told from its past, the commonest first. */
export function usualFirst(question: Question, usual: readonly string[] | undefined): Choice[] {
	const rank = (c: Choice) => (usual?.includes(c.id) ? usual.indexOf(c.id) : Infinity);
	return [...question.choices].sort((a, b) => (rank(a) === rank(b) ? 0 : rank(a) - rank(b)));
}

/**
 * What was answered last time to questions that do not change with the weather and are still open, as lines: place and
 * value.
 */
export function asLastTime(
	form: string,
	questions: readonly Question[],
	answers: Answers | undefined,
	last: Answers
): Record<string, string | boolean> {
	const open = questions.filter((q) => q.isSteady && !isAnswered(q, answers));
	return Object.fromEntries(
		open.flatMap((q): [string, string | boolean][] =>
			chosen(q, last).map(({ id }) => (q.takes === 'one' ? [`${form}/${q.id}`, id] : [`${form}/${q.id}/${id}`, true]))
		)
	);
}
