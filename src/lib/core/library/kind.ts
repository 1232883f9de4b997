import type { Field, Lookup } from './field';
import { kindNames, type KindName, type Library, type Row } from './kind-name';

export type { KindName, Library, Row };

/** What is wrong with a row, at which field; '' where it is the row as a whole. */
export interface Objection {
	field: string;
	why: string;
}

export const emptyLibrary = (): Library =>
	Object.fromEntries(kindNames.map((name) => [name, []])) as unknown as Library;

type Fields = Record<string, Field<unknown>>;
type ValueOf<F> = F extends { write(value: infer T, lookup: Lookup): string } ? T : never;
export type RowOf<F> = { id: string } & { [Name in keyof F]: ValueOf<F[Name]> };

/** A kind of thing in the library: its fields, how it is told apart, and what must hold between it and the others. */
export interface Kind {
	name: KindName;
	/** "stream", "streams", for sentences and headings. */
	one: string;
	many: string;
	/** What it is for, and what to do while there is none. */
	about: string;
	/** Rows to begin with, marked as invented. */
	examples?: readonly Omit<Row, 'id'>[];
	/**
	 * A row that says otherwise of something that is shipped, as it is before it does; null where nothing is called so.
	 */
	startFrom?(name: string): Omit<Row, 'id'> | null;
	/** Nothing can be planned without one. */
	isNeeded: boolean;
	fields: Record<string, Field<unknown>>;
	/** Fields that together tell a row from others of its kind, also in a file. */
	key: readonly string[];
	/** Fields shown in the list. */
	columns: readonly string[];
	/** The field by which its rows can be filtered. */
	filter?: string;
	nameOf(row: Row, lookup: Lookup): string;
	/** Names by which a file or a form may mean it, case aside; the first is `nameOf`. */
	aliases?(row: Row): string[];
	/** What people call it, where its first name is a code. */
	commonName?(row: Row): string;
	/** The unit of its numbers that have none of their own; '' while it cannot be told. */
	unitIn?(row: Row, library: Library): string;
	/** Rows that name it otherwise than by a field that refers to its kind. */
	namedBy?(row: Row, library: Library): string[];
	/** What forbids it. */
	objections(row: Row, library: Library, today: string): Objection[];
	/** What is odd but may stand. */
	doubts?(row: Row, library: Library, today: string): Objection[];
	/** One that is not in use any more, and since when. */
	endedOn?(row: Row): string | null;
}

interface KindOf<F extends Fields> extends Omit<
	Kind,
	| 'fields'
	| 'key'
	| 'columns'
	| 'filter'
	| 'nameOf'
	| 'aliases'
	| 'commonName'
	| 'unitIn'
	| 'namedBy'
	| 'objections'
	| 'doubts'
	| 'endedOn'
> {
	fields: F;
	key: readonly (keyof F & string)[];
	columns: readonly (keyof F & string)[];
	filter?: keyof F & string;
	nameOf(row: RowOf<F>, lookup: Lookup): string;
	aliases?(row: RowOf<F>): string[];
	commonName?(row: RowOf<F>): string;
	unitIn?(row: Partial<RowOf<F>>, library: Library): string;
	namedBy?(row: RowOf<F>, library: Library): string[];
	objections?(row: RowOf<F>, library: Library, today: string): { field: (keyof F & string) | ''; why: string }[];
	doubts?(row: RowOf<F>, library: Library, today: string): { field: (keyof F & string) | ''; why: string }[];
	endedOn?(row: RowOf<F>): string | null;
}

/** Types of a kind's own fields inside its rules, plain rows outside. */
export function kind<F extends Fields>(of: KindOf<F>): Kind {
	const all: unknown = { objections: () => [], ...of };
	return all as Kind;
}
