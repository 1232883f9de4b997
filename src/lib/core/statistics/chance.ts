/** A stream of chance that is the same for the same seed. */
export interface Chance {
	/** Uniform in [0, 1). */
	uniform(): number;
	/** Normal with mean 0 and standard deviation 1. */
	normal(): number;
	/** One of the things, each as likely. */
	pick<T>(things: readonly T[]): T;
}

/** Seeded chance: mulberry32 for the uniform numbers, Box and Muller 1958 for the normal ones. */
export function seeded(seed: number): Chance {
	let state = seed >>> 0;
	const uniform = () => {
		state = (state + 0x6d2b79f5) >>> 0;
		let t = state;
		t = Math.imul(t ^ (t >>> 15), t | 1);
		t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
		return ((t ^ (t >>> 14)) >>> 0) / 2 ** 32;
	};
	return {
		uniform,
		normal: () => Math.sqrt(-2 * Math.log(1 - uniform())) * Math.cos(2 * Math.PI * uniform()),
		pick: (things) => {
			const thing = things[Math.floor(uniform() * things.length)];
			if (thing === undefined) throw new RangeError('nothing to pick from');
			return thing;
		}
	};
}
