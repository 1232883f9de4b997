import { LINE, TIME, type AskOnPaper } from '../blank';

export const netBlank: AskOnPaper<'net'> = (step) => ({
	text:
		step.school === 'kick'
			? `begun at ${TIME}    ${Array.from({ length: step.places }, (_, i) => `${i + 1} [  ]`).join('  ')}    label ` +
				LINE
			: `begun at ${TIME}    ${step.among.map((a) => `${a.label} ${LINE} m`).join('    ')}    label ${LINE}`
});
