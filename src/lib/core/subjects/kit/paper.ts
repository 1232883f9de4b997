import { onPaper, TIME, type AskOnPaper } from '../blank';

export const kitBlank: AskOnPaper<'kit'> = (step) => ({
	text:
		`dipped at ${TIME}    ${step.chart.map((block) => block.value).join(' / ')} ${onPaper(step.unit)}  [circle ` +
		'one, or mark between two]'
});
