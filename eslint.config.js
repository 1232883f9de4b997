import js from '@eslint/js';
import boundaries from 'eslint-plugin-boundaries';
import svelte from 'eslint-plugin-svelte';
import globals from 'globals';
import ts from 'typescript-eslint';
import svelteConfig from './svelte.config.js';

/** Core imports core, zod and numerical packages; another subject is entered by its index, so many folders up. */
const coreImports = (foldersUp) => ({
	'no-restricted-imports': [
		'error',
		{
			patterns: [
				{
					regex: '^(?!\\.{1,2}/|zod$|ml-matrix$|@stdlib/)',
					message: 'core imports only core, zod, numerical packages'
				},
				{
					regex: `^(\\.\\./){${foldersUp},}(?!subjects/)[a-z-]+/.+`,
					message: 'enter another part of core by its index'
				}
			]
		}
	]
});

/** Who may import whom: core ← workers, field, server, ui ← routes. */
const layers = {
	core: [],
	workers: ['core'],
	field: ['core'],
	server: ['core'],
	ui: ['core'],
	routes: ['core', 'workers', 'field', 'server', 'ui']
};

export default ts.config(
	{
		ignores: ['build/', '**/.svelte-kit/', '.data/', 'node_modules/', 'test-results/', 'src/lib/server/db/migrations/']
	},
	js.configs.recommended,
	...ts.configs.strictTypeChecked,
	...svelte.configs.recommended,
	{
		languageOptions: {
			globals: { ...globals.browser, ...globals.node },
			parserOptions: { projectService: true, extraFileExtensions: ['.svelte'] }
		},
		rules: {
			'no-nested-ternary': 'error',
			'@typescript-eslint/no-non-null-assertion': 'off', // an index that a line above has checked
			'@typescript-eslint/restrict-template-expressions': ['error', { allowNumber: true }],
			'@typescript-eslint/no-confusing-void-expression': 'off',
			'@typescript-eslint/no-unnecessary-condition': 'off', // sheets come from outside: what types rule out is still guarded
			'@typescript-eslint/no-dynamic-delete': 'off',
			'@typescript-eslint/only-throw-error': 'off', // SvelteKit's redirect and error are thrown by design
			'@typescript-eslint/no-meaningless-void-operator': 'off',
			'svelte/no-navigation-without-resolve': 'off', // the application is served from the root of its origin
			'svelte/prefer-svelte-reactivity': 'off'
		}
	},
	{ files: ['**/*.svelte', '**/*.svelte.ts'], languageOptions: { parserOptions: { parser: ts.parser, svelteConfig } } },
	{
		files: ['src/**/*.{ts,svelte}'],
		ignores: ['src/**/*.test.ts'],
		plugins: { boundaries },
		settings: {
			'import/resolver': { typescript: { project: './tsconfig.json' } },
			'boundaries/elements': Object.keys(layers).map((type) => ({
				type,
				pattern: type === 'routes' ? 'src/routes' : `src/lib/${type}`
			}))
		},
		rules: {
			'boundaries/dependencies': [
				'error',
				{
					default: 'disallow',
					policies: [
						{ allow: { to: { module: { origin: ['external', 'core'] } } } },
						...Object.entries(layers).map(([from, to]) => ({
							from: { element: { type: from } },
							allow: { to: { element: { types: { anyOf: [from, ...to] } } } }
						}))
					]
				}
			]
		}
	},
	{
		files: ['src/lib/core/**/*.ts'],
		ignores: ['src/lib/core/**/*.test.ts'],
		rules: {
			// core is pure: no network, clock, chance or page; another subject is entered by its index
			...coreImports(1),
			'no-restricted-globals': [
				'error',
				'window',
				'document',
				'fetch',
				'navigator',
				'process',
				'localStorage',
				'performance',
				'crypto'
			],
			'no-restricted-syntax': [
				'error',
				{
					selector: "MemberExpression[object.name='Date'][property.name='now']",
					message: 'time comes in as an argument'
				},
				{ selector: "NewExpression[callee.name='Date'][arguments.length=0]", message: 'time comes in as an argument' },
				{
					selector: "MemberExpression[object.name='Math'][property.name='random']",
					message: 'chance comes in as a seed'
				}
			]
		}
	},
	// what a step is, its subject knows: nobody else asks for its tool by name
	{
		files: ['src/**/*.{ts,svelte}'],
		ignores: ['src/**/*.test.ts', 'src/lib/core/subjects/**'],
		rules: {
			'no-restricted-syntax': [
				'error',
				{
					selector: "BinaryExpression[left.property.name='tool'][right.type='Literal']",
					message: 'ask the subject (stepsOf, kindOf), not the name of a tool'
				}
			]
		}
	},
	// a file in a folder within a part of core goes up one more to leave it
	{ files: ['src/lib/core/*/*/**/*.ts'], ignores: ['src/lib/core/**/*.test.ts'], rules: coreImports(2) },
	{
		files: ['**/*.js', '**/*.mjs', '**/*.cjs', '*.config.ts', 'src/service-worker.ts'],
		extends: [ts.configs.disableTypeChecked]
	},
	// asymmetric matchers of the test runner are untyped
	{ files: ['**/*.test.ts'], rules: { '@typescript-eslint/no-unsafe-assignment': 'off' } },
	{ files: ['**/*.cjs'], rules: { '@typescript-eslint/no-require-imports': 'off' } },
	{ files: ['**/*.svelte'], extends: [ts.configs.disableTypeChecked] }
);
