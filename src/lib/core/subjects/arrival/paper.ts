import { LINE, type AskOnPaper } from '../blank';

export const arriveBlank: AskOnPaper<'arrive'> = () => ({
	text: `depth at the edge ${LINE} m    speed ${LINE} m/s    wade / bank / bridge / leave    why ${LINE}${LINE}`
});
