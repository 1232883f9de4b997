import { defineConfig } from 'vitest/config';

/** The tests of core alone, for the mutation runs: no application, no plugins. */
export default defineConfig({
	test: {
		include: [
			'src/lib/core/{oxygen,bacteria,discharge,statistics,interpret,evaluate}/**/*.test.ts',
			'tests/vectors/*.test.ts'
		],
		environment: 'node',
		testTimeout: 60_000
	}
});
