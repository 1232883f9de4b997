import adapter from '@sveltejs/adapter-node';

/* The barest page that the same framework can start from the same kind of cache: what cold-offline-start is held against. */
export default {
	kit: {
		adapter: adapter({ out: process.env.BARE_PAGE_OUT ?? 'build' }),
		paths: { relative: false },
		outDir: process.env.BARE_PAGE_KIT ?? '.svelte-kit'
	}
};
