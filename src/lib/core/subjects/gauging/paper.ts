import { onPaper, type AskOnPaper } from '../blank';

const ROWS = 6;

/** Two tables side by side, in the units of the card. */
export const flowBlank: AskOnPaper<'flow'> = (step) => {
	const [tape, speed] = [step.tapeUnit ?? 'm', onPaper(step.velocityUnit ?? 'm_s')];
	const half = [`tape, ${tape}`, `depth, ${tape}`, speed];
	return { columns: [...half, ...half], rows: ROWS };
};
