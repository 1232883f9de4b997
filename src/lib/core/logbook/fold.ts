import { inOrder, type Entry } from './entry';
import { placeAt } from './path';
import type { Sheet } from './sheet';

/** What stands at one place of the sheet, and everything ever written there. */
export interface Line {
	path: string;
	value: unknown;
	/** The entry whose value is shown; null when all that was written is struck. */
	live: Entry | null;
	/** Other live values, set without knowledge of the shown one. */
	rivals: Entry[];
	/** All entries at this place, in order, the struck ones among them. */
	history: Entry[];
}

export interface Conflict {
	path: string;
	entries: Entry[];
}

export interface Folded {
	sheet: Sheet;
	lines: Map<string, Line>;
	conflicts: Conflict[];
	/** All entries once each, in order. */
	entries: Entry[];
}

/**
 * The sheet that a visit's entries make: the same for the same entries, in any order and however often each is given.
 * A set or strike takes out the entry it names; what is left is live. Of several live values the last one in order is
 * shown; where they differ that is a conflict, and none is lost. Counts are summed.
 * Entries are taken as already checked; one whose place the sheet does not have is kept in `entries` and shown nowhere.
 */
export function fold(given: readonly Entry[]): Folded {
	const entries = onceInOrder(given);
	const byPath = new Map<string, Entry[]>();
	for (const entry of entries) {
		const there = byPath.get(entry.path);
		if (there) there.push(entry);
		else byPath.set(entry.path, [entry]);
	}
	const lines = new Map<string, Line>();
	const sheet: Sheet = {};
	for (const path of [...byPath.keys()].sort()) {
		const line = lineAt(path, byPath.get(path)!);
		if (line === null) continue;
		lines.set(path, line);
		if (line.live) put(sheet, path.split('/'), line.value);
	}
	return { sheet, lines, conflicts: conflictsOf(lines), entries };
}

/**
 * The fold of a logbook of which an earlier state is known: the same as `fold(given)`, made by working out only the
 * places that have a new line. Every part of the sheet that did not change stays the same object, so that what was
 * concluded from it need not be concluded again.
 */
export function foldOnto(known: Folded, given: readonly Entry[]): Folded {
	const { entries, fresh } = goneOn(known.entries, given);
	if (entries.length !== known.entries.length + fresh.length) return fold(given); // something known is given no more
	if (fresh.length === 0) return known;
	const changed = [...new Set(fresh.map((e) => e.path))];
	const lines = new Map(known.lines);
	for (const path of changed) {
		const line = lineAt(
			path,
			entries.filter((e) => e.path === path)
		);
		if (line) lines.set(path, line);
	}
	if (changed.every((path) => known.lines.get(path)?.live && lines.get(path)?.live)) {
		const sheet = changed.reduce<Branch>(
			(top, path) => revalued(top, path.split('/'), lines.get(path)!.value),
			known.sheet
		);
		return { sheet, lines, conflicts: conflictsOf(lines), entries };
	}
	const sorted = lines.size === known.lines.size ? lines : new Map([...lines].sort(([a], [b]) => (a < b ? -1 : 1)));
	const live = [...sorted.values()].filter((l) => l.live).map((l) => l.path);
	const sheet = changed.reduce<Branch>(
		(top, path) => replaced(top, '', path, sorted.get(path), live) ?? {},
		known.sheet
	);
	return { sheet, lines: sorted, conflicts: conflictsOf(sorted), entries };
}

/** A logbook as it is kept is in order already; `sure`: so many from the first are known to be. */
const isOnceInOrder = (given: readonly Entry[], sure = 1) =>
	given.slice(sure).every((e, i) => inOrder(given[sure + i - 1]!, e) < 0);
const onceInOrder = (given: readonly Entry[]): Entry[] =>
	isOnceInOrder(given) ? [...given] : [...new Map(given.map((e) => [e.id, e])).values()].sort(inOrder);

/**
 * All entries once and in order, and those that were not known. Mostly what was known comes first and in its order:
 * with every tap only what is new is put in order, not the hundreds before it.
 */
function goneOn(known: readonly Entry[], given: readonly Entry[]): { entries: Entry[]; fresh: Entry[] } {
	const isNext = known.length > 0 && known.every((e, i) => e === given[i] || e.id === given[i]?.id);
	if (isNext && isOnceInOrder(given, known.length)) return { entries: [...given], fresh: given.slice(known.length) };
	const entries = onceInOrder(given);
	const had = new Set(known.map((e) => e.id));
	return { entries, fresh: entries.filter((e) => !had.has(e.id)) };
}

/** What stands at a place, from all that was written there; null where the sheet has no such place. */
function lineAt(path: string, history: Entry[]): Line | null {
	const place = placeAt(path);
	if (place === null) return null;
	return place.kind === 'counter' ? counted(path, history) : written(path, history);
}

const conflictsOf = (lines: ReadonlyMap<string, Line>): Conflict[] =>
	[...lines.values()].filter((l) => l.rivals.length).map((l) => ({ path: l.path, entries: [...l.rivals, l.live!] }));

/** Ids that some entry of this place replaces or strikes. */
const takenOut = (history: readonly Entry[]) => new Set(history.map((e) => e.was));

function written(path: string, history: Entry[]): Line {
	const out = takenOut(history);
	const alive = history.filter((e) => e.op === 'set' && !out.has(e.id));
	const live = alive.at(-1) ?? null;
	const rivals =
		alive.length > 1 ? alive.filter((e) => e !== live && JSON.stringify(e.value) !== JSON.stringify(live?.value)) : [];
	return { path, value: live?.value, live, rivals, history };
}

function counted(path: string, history: Entry[]): Line {
	const out = takenOut(history);
	const alive = history.filter((e) => e.op === 'add' && !out.has(e.id));
	const value = alive.reduce((sum, e) => sum + Number(e.value), 0);
	return { path, value, live: alive.at(-1) ?? null, rivals: [], history };
}

type Branch = Record<string, unknown>;

function put(sheet: Branch, keys: readonly string[], value: unknown): void {
	let branch = sheet;
	for (const key of keys.slice(0, -1)) {
		if (!Object.hasOwn(branch, key)) branch[key] = {}; // own keys only: an id such as "constructor" is just an id
		branch = branch[key] as Branch;
	}
	branch[keys.at(-1)!] = value;
}

/** A copy of the branch with another value where there was one already: its keys keep their order. */
const revalued = (branch: Branch, [key, ...rest]: string[], value: unknown): Branch =>
	key === undefined ? branch : { ...branch, [key]: rest.length ? revalued(branch[key] as Branch, rest, value) : value };

/**
 * A copy of the branch at `prefix` with what now stands at `path`, its keys in the order of the live paths, as a fold
 * from nothing has them; undefined where nothing is left on it.
 */
function replaced(
	branch: Branch,
	prefix: string,
	path: string,
	line: Line | undefined,
	live: readonly string[]
): Branch | undefined {
	const end = path.indexOf('/', prefix.length);
	const key = path.slice(prefix.length, end === -1 ? undefined : end);
	const below = Object.hasOwn(branch, key) ? (branch[key] as Branch) : {};
	const standing = line?.live ? line.value : undefined;
	const value = end === -1 ? standing : replaced(below, path.slice(0, end + 1), path, line, live);
	const copy: Branch = {};
	for (const other of live) {
		if (!other.startsWith(prefix)) continue;
		const stop = other.indexOf('/', prefix.length);
		const name = other.slice(prefix.length, stop === -1 ? undefined : stop);
		if (Object.hasOwn(copy, name)) continue;
		if (name === key) {
			if (value !== undefined) copy[name] = value;
		} else if (Object.hasOwn(branch, name)) copy[name] = branch[name];
	}
	return Object.keys(copy).length > 0 ? copy : undefined;
}
