import { writeNumber } from '../../quantity';
import { LINE, type AskOnPaper } from '../blank';

export const tubeBlank: AskOnPaper<'tube'> = (step) => ({
	text: `disc just shows at ${LINE} cm    or still visible when full (over ${writeNumber(step.tubeLength_cm)} cm) [  ]`
});
