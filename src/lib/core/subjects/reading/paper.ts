import { LINE, onPaper, type AskOnPaper } from '../blank';

export const readingBlank: AskOnPaper<'reading'> = (step) => ({
	text: `${step.slots.map((s) => `${s.label} ${LINE}`).join('    ')} ${onPaper(step.unit)}    read with ${LINE}`
});
