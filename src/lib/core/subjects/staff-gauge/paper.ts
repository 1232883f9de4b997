import { LINE, onPaper, TIME, type AskOnPaper } from '../blank';
import { levelSpoilerWords } from './words';

export const staffBlank: AskOnPaper<'staff'> = (step) => ({
	text: `level on the board ${LINE} ${onPaper(step.unit)}    at ${TIME}\n${Object.values(levelSpoilerWords)
		.map((word) => `${word} [  ]`)
		.join('    ')}`
});
