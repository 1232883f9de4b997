import { LINE, TIME, type AskOnPaper } from '../blank';

export const titrationBlank: AskOnPaper<'titration'> = (step) => ({
	text: step.bottles
		.map((b) => `bottle ${b.label}: no bubble [  ]   fixed at ${TIME}   acid at ${TIME}   drops ${LINE}`)
		.join('\n')
});
