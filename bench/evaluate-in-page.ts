import { evaluate } from '../src/lib/core/visit';
import { fold } from '../src/lib/core/logbook';
import { streamVisit } from '../src/lib/core/method';
import { context, fullSheet } from './full-sheet';

/* Runs in the browser: the full sheet folded and evaluated anew each time. */

const RUNS = 40;
const entries = fullSheet();
const times: number[] = [];
for (let run = 0; run < RUNS; run++) {
	const began = performance.now();
	const outcome = evaluate(fold(entries), streamVisit, context);
	times.push(performance.now() - began);
	if (outcome.gaugings[0]?.verticals.length !== 30 || outcome.results.length < 12)
		throw new Error('not the sheet that was meant');
}
Object.assign(globalThis, { evaluateTimes: times });
