import { z } from 'zod';

/** A hidden field of a page that holds JSON. */
export const jsonField = <S extends z.ZodType>(schema: S, why: string) =>
	z
		.string()
		.transform((text, c) => {
			try {
				return JSON.parse(text) as unknown;
			} catch {
				c.addIssue(why);
				return z.NEVER;
			}
		})
		.pipe(schema);
