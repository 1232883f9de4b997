import { error, fail } from '@sveltejs/kit';
import { database } from '$lib/server/db/connect';
import { calibrate, Calibrated, calibrationsOf } from '$lib/server/plan/calibrate';
import { serverNow_ms } from '$lib/server/settings';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, params }) => {
	const instrument = await calibrationsOf(database(), locals.member!.programId, params.code);
	if (!instrument) error(404, 'There is no instrument of that code in your program.');
	return { instrument };
};

export const actions: Actions = {
	default: async ({ locals, params, request }) => {
		const instrument = await calibrationsOf(database(), locals.member!.programId, params.code);
		if (!instrument) error(404, 'There is no instrument of that code in your program.');
		const given = Object.fromEntries(
			[...(await request.formData())].filter((f): f is [string, string] => typeof f[1] === 'string')
		);
		const parameter = given['parameter'] ?? '';
		const typed = Calibrated.safeParse(given);
		if (!typed.success) return fail(400, { parameter, given, why: typed.error.issues.map((i) => i.message).join(' ') });
		if (!instrument.due.some((d) => d.parameter === parameter))
			return fail(400, { parameter, given, why: 'This instrument does not measure that.' });
		const done = await calibrate(database(), locals.member!, instrument.id, parameter, typed.data, serverNow_ms());
		return done.ok
			? { parameter, passed: done.passed, said: done.said }
			: fail(400, { parameter, given, why: done.why });
	}
};
