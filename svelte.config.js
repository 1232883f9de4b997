import adapter from '@sveltejs/adapter-node';
import { vitePreprocess } from '@sveltejs/vite-plugin-svelte';

/** @type {import('@sveltejs/kit').Config} */
export default {
	preprocess: vitePreprocess(),
	compilerOptions: { runes: ({ filename }) => (filename.includes('node_modules') ? undefined : true) },
	kit: {
		adapter: adapter({ out: 'build' }),
		// the field app's shell boots any address below /sample, also with no network: its base must not be relative
		paths: { relative: false },
		serviceWorker: { register: false },
		csp: {
			mode: 'auto',
			directives: {
				'default-src': ['self'],
				'img-src': ['self', 'data:', 'blob:'],
				'style-src': ['self', 'unsafe-inline'],
				'worker-src': ['self'],
				'frame-ancestors': ['none'],
				'base-uri': ['self'],
				'form-action': ['self'],
				'object-src': ['none']
			}
		},
		typescript: {
			config: (config) => ({
				...config,
				include: [...config.include, '../tests/**/*.ts', '../scripts/**/*.ts', '../bench/**/*.ts', '../*.ts']
			})
		}
	}
};
