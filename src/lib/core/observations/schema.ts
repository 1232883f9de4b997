import { z } from 'zod';
import type { Answers, Question } from './question';

/** The form of the answers to some questions; `leaf` marks what an entry may write. */
export const answersTo = (
	questions: readonly Question[],
	leaf: (schema: z.ZodType) => z.ZodType
): z.ZodOptional<z.ZodType<Answers>> =>
	z
		.object(
			Object.fromEntries(
				questions.map(({ id, takes, choices }) => {
					const choice = z.enum(choices.map((c) => c.id) as [string, ...string[]], {
						error: `one of: ${choices.map((c) => c.id).join(', ')}`
					});
					return [
						id,
						takes === 'one'
							? leaf(choice)
							: z.partialRecord(choice, leaf(z.boolean({ error: 'seen or not: true or false' }))).optional()
					];
				})
			)
		)
		.optional() as unknown as z.ZodOptional<z.ZodType<Answers>>;
