import { sveltekit } from '@sveltejs/kit/vite';
import tailwindcss from '@tailwindcss/vite';
import { defineConfig } from 'vitest/config';
import { fieldAppFiles } from './scripts/field-app-files.ts';
import { zodWithoutJsonSchema } from './scripts/zod-without-json-schema.ts';

export default defineConfig({
	plugins: [tailwindcss(), sveltekit(), zodWithoutJsonSchema(), fieldAppFiles()],
	// the package's own build for browsers that know `async`: all that the application runs on do, and it is smaller
	resolve: { alias: [{ find: /^dexie$/, replacement: 'dexie/dist/modern/dexie.min.mjs' }] },
	test: {
		projects: [
			{
				extends: true,
				test: {
					name: 'unit',
					include: ['src/**/*.test.ts', 'tests/vectors/*.test.ts'],
					environment: 'node',
					testTimeout: 30_000, // simulations of hundreds of samples, on a machine that may have other things to do
					isolate: false // pure functions need no world of their own, and loading core 128 times took a minute
				}
			},
			{
				extends: true,
				test: {
					name: 'server',
					include: ['tests/server/**/*.test.ts'],
					environment: 'node',
					globalSetup: 'tests/server/database.setup.ts',
					fileParallelism: false,
					isolate: false,
					testTimeout: 30_000
				}
			}
		]
	}
});
