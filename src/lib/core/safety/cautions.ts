/**
 * The caution shown at a step, in two lines. Local rules, permits, the landowner's permission and trained people come
 * first.
 */
export const cautions = {
	water: [
		'Never alone, and somebody ashore knows when you are back. High, brown or rising water, ice, thunder, a sewage ' +
			'smell: stay out, and say why.',
		'Local rules, the landowner’s permission and trained people come first.'
	],
	wading: [
		'Face upstream, feel before each step, unbuckle the pack; lift the tape and rod with your knees. Cold water ' +
			'takes your strength in minutes.',
		'Local rules and trained people come first; if in doubt, stay out.'
	],
	bridge: [
		'Vest on, face the traffic, one looks out and does nothing else; cones where the rules ask for them. Nothing ' +
			'hangs over the road.',
		'Local rules, permits and trained people come first.'
	],
	acid: [
		'Gloves and eye protection before it is opened, on the bank, never in the stream. Splashed: eyes first, 15 ' +
			'minutes under clean water, then medical help.',
		'Local rules and trained people come first. Vials go home, capped, apart from bleach.'
	],
	alkali: [
		'Gloves and eye protection: alkali eats skin before it hurts. Splashed: eyes first, 15 minutes under clean ' +
			'water, then medical help.',
		'Local rules and trained people come first. Never together with acid.'
	],
	reagents: [
		'Gloves and eye protection: strong alkali with azide, then strong acid. Splashed: eyes first, 15 minutes under ' +
			'clean water, then medical help. All of it into the waste bottle.',
		'Local rules and trained people come first; azide waste never into a metal drain, never with acid of another kit.'
	],
	bleach: [
		'Gloves, eye protection, open air. A minute at least on every plate; never with acid or any other cleaner: the ' +
			'gas kills.',
		'Local rules and trained people come first.'
	],
	ethanol: [
		'It burns with a flame nobody sees: no smoking, no stove, lids on, shade.',
		'Local rules and trained people come first.'
	],
	sewage: [
		'Gloves on, cuts covered, no food. Wash before you eat.',
		'Where sewage shows, local rules and the authority come first.'
	]
} as const satisfies Record<string, readonly [string, string]>;

export const cautionFor = (code: string | undefined): readonly [string, string] | null =>
	code !== undefined && Object.hasOwn(cautions, code) ? cautions[code as keyof typeof cautions] : null;

/** Water colder than this takes breath and grip within minutes, °C. */
export const COLD_WATER_C = 15;
