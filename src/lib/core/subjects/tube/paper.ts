import { LINE, type AskOnPaper } from '../blank';

export const tubeBlank: AskOnPaper<'tube'> = (step) => ({
	text: `disc just shows at ${LINE} cm    or still visible when full (over ${step.tubeLength_cm} cm) [  ]`
});
