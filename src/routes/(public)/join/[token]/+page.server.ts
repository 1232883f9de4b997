import { redirect } from '@sveltejs/kit';
import { fail, setError, superValidate } from 'sveltekit-superforms';
import { zod4 } from 'sveltekit-superforms/adapters';
import { z } from 'zod';
import { choosePassword } from '$lib/server/auth/library';
import { NewPassword, whyWeak } from '$lib/server/auth/new-password';
import { database } from '$lib/server/db/connect';
import type { Actions, PageServerLoad } from './$types';

const JoinForm = z.object({ password: NewPassword });

export const load: PageServerLoad = async () => ({ form: await superValidate(zod4(JoinForm)) });

export const actions: Actions = {
	default: async ({ request, params }) => {
		const form = await superValidate(request, zod4(JoinForm));
		if (!form.valid) return fail(400, { form });
		const weak = whyWeak(form.data.password);
		if (weak) return setError(form, 'password', weak, { status: 400 });
		const isChosen = await choosePassword(database(), params.token, form.data.password);
		form.data.password = '';
		if (!isChosen)
			return setError(
				form,
				'password',
				'This address is no longer good: it was used, or is older than a week. Ask your coordinator for another.',
				{
					status: 410
				}
			);
		redirect(303, '/sign-in');
	}
};
