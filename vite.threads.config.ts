import { defineConfig } from 'vite';

/* What runs in threads beside the server, in a file of its own. */
export default defineConfig({
	build: {
		ssr: true,
		outDir: 'build/threads',
		emptyOutDir: true,
		rollupOptions: {
			input: { 'work.thread': 'src/lib/server/threads/work.thread.ts' },
			output: { format: 'es', entryFileNames: '[name].js' }
		}
	}
});
