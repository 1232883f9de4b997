import { error } from '@sveltejs/kit';
import { kindNamed, type Kind } from '$lib/core/library';

/** The kind that an address names. */
export function theKind(name: string): Kind {
	const kind = kindNamed(name);
	if (!kind) error(404, 'The library has no such shelf.');
	return kind;
}
