/*
 * Says which built files the field app can ever ask for: what its pages and layouts import, now or later, and the
 * workers, styles and fonts that these name. A phone puts by those and no others: the office's charts and tables,
 * as much again, need the network anyway.
 */
import type { Plugin } from 'vite';

/** Read by the service worker when it is installed. */
const LIST = '_app/field-app.json';
/** What SvelteKit makes of each page, layout and error page of `src/routes`; and what starts the application. */
const NODE = /\/client-optimized\/nodes\/\d+\.js$/;
const ENTRIES = ['app', 'start'];
/** The field app's own, and what stands about every page. */
const OF_FIELD = /\/src\/routes\/(\(field\)\/|\+)/;

interface Chunk {
	fileName: string;
	name: string;
	isEntry: boolean;
	facadeModuleId: string | null;
	imports: string[];
	dynamicImports: string[];
	viteMetadata?: { importedCss: Set<string>; importedAssets: Set<string> };
}

/** The files of these chunks and of all that they import; `later`: also of what they import when it is wanted. */
function reached(chunks: ReadonlyMap<string, Chunk>, from: readonly Chunk[], later: boolean): Set<string> {
	const seen = new Set<Chunk>();
	const open = [...from];
	for (let chunk = open.pop(); chunk !== undefined; chunk = open.pop()) {
		if (seen.has(chunk)) continue;
		seen.add(chunk);
		const next = later ? [...chunk.imports, ...chunk.dynamicImports] : chunk.imports;
		open.push(...next.flatMap((name) => chunks.get(name) ?? []));
	}
	return new Set(
		[...seen].flatMap(({ fileName, viteMetadata }) => [
			fileName,
			...(viteMetadata?.importedCss ?? []),
			...(viteMetadata?.importedAssets ?? [])
		])
	);
}

export const fieldAppFiles = (): Plugin => ({
	name: 'field-app-files',
	apply: 'build',
	applyToEnvironment: (environment) => environment.name === 'client',
	generateBundle: {
		order: 'post',
		handler(_, bundle) {
			const all = Object.values(bundle).filter((output) => output.type === 'chunk') as Chunk[];
			const chunks = new Map(all.map((chunk) => [chunk.fileName, chunk]));
			const pages = all.filter(({ facadeModuleId }) => {
				if (facadeModuleId === null || !NODE.test(facadeModuleId)) return false;
				return this.getModuleInfo(facadeModuleId)?.importedIds.some((id) => OF_FIELD.test(id)) ?? false;
			});
			const entries = all.filter(({ isEntry, name }) => isEntry && ENTRIES.some((e) => name.endsWith(e)));
			if (pages.length === 0 || entries.length < ENTRIES.length)
				throw new Error('the pages of the field app are not where they were; see scripts/field-app-files.ts');
			// what starts the application names every page, to be fetched later: only what it needs at once is taken
			const files = new Set([...reached(chunks, entries, false), ...reached(chunks, pages, true)]);
			this.emitFile({ type: 'asset', fileName: LIST, source: JSON.stringify([...files].sort()) });
		}
	}
});
