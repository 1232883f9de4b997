import { z } from 'zod';
import { NewPassword } from '$lib/server/auth/new-password';
import { isTimeZone, kindNamed, lookupIn, emptyLibrary, type KindName } from '$lib/core/library';

/** A text that a field of the library would take. */
const as = (kindName: KindName, field: string) =>
	z.string().check((c) => {
		const read = kindNamed(kindName)!.fields[field]!.read(c.value, lookupIn(emptyLibrary()));
		if ('why' in read) c.issues.push({ code: 'custom', message: read.why, input: c.value });
	});

export const BeginForm = z.object({
	program: as('program', 'name'),
	timeZone: z.string().refine(isTimeZone, 'There is no such time zone. Write one such as Europe/Dublin.'),
	name: as('people', 'name'),
	initials: as('people', 'initials'),
	email: as('people', 'email'),
	password: NewPassword
});
