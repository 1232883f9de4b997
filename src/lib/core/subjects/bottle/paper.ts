import { TIME, type AskOnPaper } from '../blank';

export const bottleBlank: AskOnPaper<'bottle'> = (step, labels) => ({
	text: labels
		.filter((l) => l.kind === step.bottle.kind)
		.map((l) => `${l.code}   filled at ${TIME}   on ice at ${TIME}`)
		.join('\n')
});
