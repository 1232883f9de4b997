/*
 * Every schema of zod can write itself as a JSON Schema; nothing in the browser asks one to, and a phone would fetch
 * the 5 kB of it before its first screen. The bundler cannot leave it out: each schema holds it as a method.
 */
import type { Plugin } from 'vite';

const SCHEMAS = /zod\/v4\/classic\/schemas\.js$/;

/** What is left out of a schema, and what stands in its place. */
const LEFT_OUT = [
	{ what: /^\s*inst\._zod\.processJSONSchema = .*;$/gm, instead: '' },
	{ what: /^\s*jsonSchema: \{\s*input: create.*,\s*output: create.*,\s*\},$/gm, instead: '' },
	{
		what: /return createToJSONSchemaMethod\(this, \{\}\)\(params\);/g,
		instead: "throw new Error('schemas are not written as JSON Schema in the browser');"
	}
];

/** Text of zod's schemas without what writes JSON Schema; fails where zod is not written as it was. */
function withoutJsonSchema(code: string): string {
	return LEFT_OUT.reduce((left, { what, instead }) => {
		if (left.search(what) < 0) throw new Error(`zod is written otherwise now: nothing in it is like ${what.source}`);
		return left.replace(what, instead);
	}, code);
}

export const zodWithoutJsonSchema = (): Plugin => ({
	name: 'zod-without-json-schema',
	apply: 'build',
	applyToEnvironment: (environment) => environment.name === 'client',
	transform: {
		filter: { id: SCHEMAS },
		handler: (code) => ({ code: withoutJsonSchema(code), map: null })
	}
});
