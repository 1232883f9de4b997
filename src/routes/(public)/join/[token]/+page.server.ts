import { redirect } from '@sveltejs/kit';
import { fail, setError, superValidate } from 'sveltekit-superforms';
import { zod4 } from 'sveltekit-superforms/adapters';
import { z } from 'zod';
import { choosePassword } from '$lib/server/auth/library';
import type { Actions, PageServerLoad } from './$types';

const JoinForm = z.object({ password: z.string().min(10, 'Ten letters or more. Four plain words are good.').max(128, 'At most 128 letters.') });

export const load: PageServerLoad = async () => ({ form: await superValidate(zod4(JoinForm)) });

export const actions: Actions = {
	default: async ({ request, params }) => {
		const form = await superValidate(request, zod4(JoinForm));
		if (!form.valid) return fail(400, { form });
		const isChosen = await choosePassword(params.token, form.data.password);
		form.data.password = '';
		if (!isChosen)
			return setError(form, 'password', 'This address is no longer good: it was used, or is older than a week. Ask your coordinator for another.', {
				status: 410
			});
		redirect(303, '/sign-in');
	}
};
