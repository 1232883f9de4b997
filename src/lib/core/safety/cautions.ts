/** The caution shown at a step, in two lines. Local rules, permits, the landowner's leave and trained people come first. */
export const cautions = {
	water: [
		'Never alone. High, brown or rising water, ice, thunder, a sewage smell: leave, and say why.',
		'Local rules, the landowner’s leave and trained people come first.'
	],
	wading: [
		'Face upstream, feel before each step, unbuckle the pack. Cold water takes your strength in minutes.',
		'Local rules and trained people come first; if in doubt, stay out.'
	],
	acid: [
		'Gloves and eye protection before the acid is opened; on the bank, never in the stream. Splashed: rinse long with clean water.',
		'Local rules and trained people come first. Vials go home, capped.'
	],
	reagents: [
		'Gloves and eye protection; reagents burn and stain. Everything that was poured goes into the waste bottle.',
		'Local rules and trained people come first; never mix wastes of different kits.'
	],
	sewage: ['Gloves on, cuts covered, no food. Wash before you eat.', 'Where sewage shows, local rules and the authority come first.']
} as const satisfies Record<string, readonly [string, string]>;

export const cautionFor = (code: string | undefined): readonly [string, string] | null =>
	code !== undefined && Object.hasOwn(cautions, code) ? cautions[code as keyof typeof cautions] : null;
