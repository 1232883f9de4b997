/* What a person sees while a command gets things ready: one line a step, and a clear end when it cannot go on. */

/** A reason to stop that the person can do something about. */
export class Stop extends Error {}

let out = process.stdout;

/** From here on, what is said goes to standard error. */
export function toStderr() {
	out = process.stderr;
}

export const say = (line) => out.write(`${line}\n`);

const since = (began) => `${((Date.now() - began) / 1000).toFixed(1)} s`;

/**
 * One of several steps at once: a line of its own when it ends, so that the lines of two do not run into each other.
 */
export async function stepBeside(name, work) {
	const began = Date.now();
	try {
		await work();
		say(`${name} … done (${since(began)})`);
	} catch (error) {
		say(`${name} … failed (${since(began)})`);
		throw error;
	}
}

/** Runs one named step and tells how long it took; a slow one shows that it is alive. */
export async function step(name, work) {
	const began = Date.now();
	out.write(`${name} … `);
	const alive = setInterval(() => out.write('.'), 3000);
	try {
		const told = await work();
		say(`${told ?? 'done'} (${since(began)})`);
	} catch (error) {
		say('failed');
		throw error;
	} finally {
		clearInterval(alive);
	}
}

/** Ends a command on a Stop with its message alone, on anything else with everything known. */
export function endOn(error) {
	if (error instanceof Stop) console.error(`\n${error.message}`);
	else console.error(error);
	process.exitCode = 1;
}
