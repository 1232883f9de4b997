import { redirect } from '@sveltejs/kit';
import { fail, setError, superValidate } from 'sveltekit-superforms';
import { zod4 } from 'sveltekit-superforms/adapters';
import { signIn } from '$lib/server/auth/sign-in';
import { database } from '$lib/server/db/connect';
import { isDemoLoaded } from '$lib/server/db/queries/members';
import { isThereAProgram } from '$lib/server/library/program';
import { DEMO_PASSWORD, demoSignIns } from '$lib/server/demo/people';
import type { Actions, PageServerLoad } from './$types';
import { SignInForm } from './sign-in-form';

export const load: PageServerLoad = async ({ url }) => {
	if (!(await isThereAProgram(database()))) redirect(307, '/begin');
	return {
		form: await superValidate({ to: url.searchParams.get('to') ?? '/' }, zod4(SignInForm), { errors: false }),
		demo: (await isDemoLoaded(database())) ? { signIns: demoSignIns, password: DEMO_PASSWORD } : null
	};
};

export const actions: Actions = {
	default: async ({ request, url, cookies }) => {
		const form = await superValidate(await request.clone().formData(), zod4(SignInForm));
		if (!form.valid) return fail(400, { form });
		const status = await signIn(request, url, cookies, form.data);
		form.data.password = '';
		if (status === 429)
			return setError(form, 'password', 'Too many tries. Wait a minute, then try again.', { status: 429 });
		if (status !== 200)
			return setError(form, 'password', 'E-mail and password do not go together. Try again.', { status: 401 });
		redirect(303, form.data.to);
	}
};
