import { redirect } from '@sveltejs/kit';
import { auth } from '$lib/server/auth/library';
import type { RequestHandler } from './$types';

/** Ends the session of this device and leads to the sign-in page. What the field app keeps on the device stays. */
export const POST: RequestHandler = async ({ request, cookies }) => {
	await auth().api.signOut({ headers: request.headers });
	for (const { name } of cookies.getAll()) if (name.includes('session')) cookies.delete(name, { path: '/' });
	redirect(303, '/sign-in');
};
