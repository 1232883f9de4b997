/**
 * Where an increasing function of a positive number crosses 0: doubled or halved from a guess until it lies between two
 * numbers, then halved down to the last digit. Slow and sure. RangeError where it never crosses.
 */
export function increasingRoot(f: (x: number) => number, guess: number): number {
	let low = guess;
	let high = guess;
	while (f(low) > 0) if ((low /= 2) === 0) throw new RangeError('no root above 0');
	while (f(high) < 0) if ((high *= 2) === Infinity) throw new RangeError('no finite root');
	for (;;) {
		const middle = low + (high - low) / 2;
		if (middle <= low || middle >= high) return middle;
		if (f(middle) < 0) low = middle;
		else high = middle;
	}
}
