import { defineConfig } from 'vite';

/* What runs beside the server in files of its own: its threads, and the commands that a production install runs. */
export default defineConfig({
	build: {
		ssr: true,
		outDir: 'build/threads',
		emptyOutDir: true,
		rollupOptions: {
			input: {
				'work.thread': 'src/lib/server/threads/work.thread.ts',
				'prepare-database': 'scripts/prepare-database.ts',
				'rebuild-programs': 'scripts/rebuild-programs.ts'
			},
			output: { format: 'es', entryFileNames: '[name].js' }
		}
	}
});
