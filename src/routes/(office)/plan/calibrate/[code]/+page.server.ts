import { error, fail } from '@sveltejs/kit';
import { message, setError, superValidate } from 'sveltekit-superforms';
import { zod4 } from 'sveltekit-superforms/adapters';
import { Calibrated, calibrationForm } from '$lib/core/quality';
import type { Judged } from '$lib/ui/plan/CalibrationForm.svelte';
import { database } from '$lib/server/db/connect';
import { calibrate, calibrationsOf, type CalibrationDue } from '$lib/server/plan/calibrate';
import { serverNow_ms } from '$lib/server/settings';
import type { Actions, PageServerLoad } from './$types';

async function instrumentOf(programId: string, code: string) {
	const instrument = await calibrationsOf(database(), programId, code);
	if (!instrument) error(404, 'There is no instrument of that code in your program.');
	return instrument;
}

/** What is true of most calibrations of a kind, to begin with. */
const begun = ({ way, parameter }: CalibrationDue): Record<string, string> => {
	if (way === 'sleeve') return { percentOf: 'sea-level' };
	return way === 'standard' && parameter === 'conductivity' ? { standard: '1413' } : {};
};

export const load: PageServerLoad = async ({ locals, params }) => {
	const instrument = await instrumentOf(locals.member!.programId, params.code);
	const due = instrument.due.map(async (d) => ({
		...d,
		form: await superValidate<Record<string, string>, Judged>(begun(d), zod4(calibrationForm(d.way)), {
			id: d.parameter,
			errors: false
		})
	}));
	return { instrument: { ...instrument, due: await Promise.all(due) } };
};

export const actions: Actions = {
	default: async ({ locals, params, request }) => {
		const instrument = await instrumentOf(locals.member!.programId, params.code);
		const given = await request.formData();
		const due = instrument.due.find((d) => d.parameter === given.get('parameter'));
		if (!due) error(400, 'This instrument does not measure that.');
		const { parameter, way } = due;
		const form = await superValidate<Record<string, string>, Judged>(given, zod4(calibrationForm(way)), {
			id: parameter
		});
		if (!form.valid) return fail(400, { form });
		const typed = Calibrated.parse({ way, ...form.data });
		const done = await calibrate(database(), locals.member!, instrument.id, parameter, typed, serverNow_ms());
		return done.ok ? message(form, { passed: done.passed, said: done.said }) : setError(form, '', done.why);
	}
};
