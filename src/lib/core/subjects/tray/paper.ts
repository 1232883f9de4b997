import { LINE, TIME, type AskOnPaper } from '../blank';
import { schoolWords } from './words';

export const trayBlank: AskOnPaper<'tray'> = (step) => ({
	text: [
		`${schoolWords[step.school]}    begun at ${TIME}    ended at ${TIME}    all back in the stream [  ]`,
		...Array.from({ length: 8 }, () => `${LINE}${LINE} × ${LINE}        ${LINE}${LINE} × ${LINE}`)
	].join('\n')
});
