import { capitalised } from '../../wording';
import { doubtKind, type Nothing } from '../flag';

const to = (whom: string) => whom || 'your coordinator and the authority';

/** What was seen that may come from sewage, and what cannot wait. */
export const sewageSigns = {
	smell: 'the smell',
	threads: 'grey threads',
	'grey-water': 'grey water',
	foam: 'soapy foam'
} as const;
export const urgentSigns = {
	fish: 'more than five dead fish',
	oil: 'a film that closes again, as oil does',
	chemical: 'a chemical smell',
	fuel: 'a smell of oil or fuel'
} as const;

export const formFlags = {
	'sewage-signs': doubtKind<{ signs: readonly (keyof typeof sewageSigns)[]; to: string }>(
		'ask',
		(e) =>
			`Signs that may come from sewage: ${e.signs.map((s) => sewageSigns[s]).join(', ')}. Grey threads also come ` +
			`with silage, sugar or de-icer. Gloves, no food; photograph it, and tell ${to(e.to)} today.`
	),
	'report-now': doubtKind<{ signs: readonly (keyof typeof urgentSigns)[]; to: string }>(
		'ask',
		(e) =>
			`${capitalised(e.signs.map((s) => urgentSigns[s]).join(', '))}: report it now, not with the results. Tell ` +
			`${to(e.to)}; say where, when, what you see. Keep out of the water.`
	),
	'rain-contradicts': doubtKind<Nothing>(
		'ask',
		() => 'More rain is noted for the last 24 hours than for the last 48, which hold them. One of the two is wrong.'
	)
};
