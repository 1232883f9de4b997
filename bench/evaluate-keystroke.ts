import { evaluate } from '../src/lib/core/visit';
import { fold, foldOnto, type Entry } from '../src/lib/core/logbook';
import { streamVisit } from '../src/lib/core/method';
import { context, fullSheet } from './full-sheet';
import { median, type Bench } from './measure';

const KEYSTROKES = 300;

export const evaluateKeystroke: Bench = {
	name: 'evaluate-keystroke',
	unit: 'ms',
	reach: 0.5,
	theirs: 'evaluate from nothing',
	needs: 'nothing',
	run: async () => {
		const sheet = fullSheet();
		const places = sheet
			.map((e) => e.path)
			.filter((path) => path.endsWith('velocity_m_s') || path.startsWith('readings/') || path.startsWith('remarks/'));
		let entries: Entry[] = sheet;
		let folded = fold(entries);
		evaluate(folded, streamVisit, context);
		const ours: number[] = [];
		const theirs: number[] = [];
		for (let k = 0; k < KEYSTROKES; k++) {
			entries = [...sheet, keystroke(k, places[(k * 7) % places.length]!, sheet)];
			const began = performance.now();
			const grown = evaluate(foldOnto(folded, entries), streamVisit, context);
			const between = performance.now();
			const anew = evaluate(fold(entries), streamVisit, context);
			theirs.push(performance.now() - between);
			ours.push(between - began);
			if (k < 30 && JSON.stringify(grown) !== JSON.stringify(anew)) throw new Error('the two ways differ');
			folded = fold(sheet);
			evaluate(folded, streamVisit, context);
		}
		const ofGauging = ours.filter((_, k) => places[(k * 7) % places.length]!.startsWith('gaugings/'));
		return Promise.resolve({
			ours: median(ours),
			theirs: median(theirs),
			note:
				'entries spread over the sheet: velocities, readings, remarks; a velocity alone ' +
				`${median(ofGauging).toFixed(2)} ms`
		});
	}
};

/** The figure at this place struck and typed again, a little larger. */
function keystroke(k: number, path: string, sheet: readonly Entry[]): Entry {
	const before = sheet.find((e) => e.path === path)!;
	const value = typeof before.value === 'number' ? before.value + 0.01 : before.value;
	return {
		...before,
		id: before.id.replace(/^01890000/, `01891${String(k).padStart(3, '0')}`),
		at: before.at.replace(/^./, '9'),
		value,
		was: before.id
	};
}
