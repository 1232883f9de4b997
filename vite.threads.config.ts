import { defineConfig } from 'vite';

/* What runs in threads beside the server, each in a file of its own with all that it needs. */
export default defineConfig({
	build: {
		ssr: true,
		outDir: 'build/threads',
		emptyOutDir: true,
		rollupOptions: { input: { 'day.thread': 'src/lib/server/threads/day.thread.ts' }, output: { format: 'es', entryFileNames: '[name].js' } }
	},
	ssr: { noExternal: true }
});
