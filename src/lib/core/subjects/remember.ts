/**
 * The same pure function, remembering its last answer about each part of a sheet for as long as that part is the same
 * object and everything else it was told is the same too. A part of a folded sheet is never changed, only replaced.
 */
export function remembered<Part extends object, Told extends readonly unknown[], Answer>(
	conclude: (part: Part, ...told: Told) => Answer
): (part: Part, ...told: Told) => Answer {
	const known = new WeakMap<Part, { told: Told; answer: Answer }>();
	return (part, ...told) => {
		const last = known.get(part);
		if (last && told.every((t, i) => t === last.told[i])) return last.answer;
		const answer = conclude(part, ...told);
		known.set(part, { told, answer });
		return answer;
	};
}
