import { redirect } from '@sveltejs/kit';
import { fail, setError, superValidate } from 'sveltekit-superforms';
import { zod4 } from 'sveltekit-superforms/adapters';
import { whyWeak } from '$lib/server/auth/new-password';
import { signIn } from '$lib/server/auth/sign-in';
import { database } from '$lib/server/db/connect';
import { beginProgram, isThereAProgram } from '$lib/server/library/program';
import type { Actions, PageServerLoad } from './$types';
import { BeginForm } from './begin-form';

/** Only while there is no program at all: later ones are not begun by whoever comes by. */
export const load: PageServerLoad = async () => {
	if (await isThereAProgram(database())) redirect(307, '/sign-in');
	return { form: await superValidate({ timeZone: 'Etc/UTC' }, zod4(BeginForm), { errors: false }) };
};

export const actions: Actions = {
	default: async ({ request, url, cookies }) => {
		const form = await superValidate(await request.clone().formData(), zod4(BeginForm));
		if (!form.valid) return fail(400, { form });
		const weak = whyWeak(form.data.password, [form.data.name, form.data.email, form.data.program]);
		if (weak) return setError(form, 'password', weak, { status: 400 });
		if (!(await beginProgram(database(), form.data)))
			return setError(form, 'program', 'There is a program here already. Sign in to it.', { status: 409 });
		await signIn(request, url, cookies, form.data);
		redirect(303, '/library');
	}
};
