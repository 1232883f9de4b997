import { LINE, onPaper, type AskOnPaper } from '../blank';

export const discBlank: AskOnPaper<'disc'> = (step) => ({
	text:
		`gone going down at ${LINE}    seen again coming up at ${LINE} ${onPaper(step.unit)}    no polarised glasses ` +
		'[  ]   bed not touched [  ]'
});
