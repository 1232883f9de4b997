import { z } from 'zod';

export const SignInForm = z.object({
	email: z.email('That is not an e-mail address.').max(200),
	password: z.string().min(1, 'A password is needed.').max(200),
	to: z
		.string()
		.max(300)
		.regex(/^\/(?!\/)[^\\]*$/)
		.catch('/today')
		.default('/today')
});
