import { forms } from '../../observations';
import type { AskOnPaper } from '../blank';

export const formBlank: AskOnPaper<'form'> = (step) => ({
	text: forms[step.form].map((q) => `${q.ask}: ${q.choices.map((c) => c.word).join(' / ')}`).join('\n')
});
