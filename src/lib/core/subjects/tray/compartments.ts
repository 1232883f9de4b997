import { instantOf, type Entry, type Folded, type Line, type Sheet } from '../../logbook';
import type { AnimalList, Kind, Picked } from '../../macroinvertebrates';
import { remembered } from '../remember';
import { isQualitative } from '../sampler/step';
import type { StepBase } from '../step-kind';
import { nameByVoucher } from '../voucher/agreed-name';
import { knowsShares, type TrayStep } from './step';

/** A compartment that nobody has named yet: `unknown-IQ-1`. */
export const isUnnamed = (code: string): boolean => code.startsWith('unknown-');

/**
 * A new one: each hand has its own, for two who both put down what they cannot name, with no network between them, need
 * not mean the same animal.
 */
export function nextUnnamed({ tallies }: Pick<Sheet, 'tallies'>, step: string, initials: string): string {
	const own = `unknown-${initials}-`;
	const used = Object.keys(tallies?.[step]?.taxa ?? {}).filter((code) => code.startsWith(own)).length;
	return `${own}${used + 1}`;
}

export const tallyPath = (step: string, code: string): string => `tallies/${step}/taxa/${code}`;

/** What a compartment is called by now: named later, renamed by its voucher, joined to another kind by the program. */
function namedIn(sheet: Named, step: string, code: string, animals: AnimalList): string {
	const name = sheet.trays?.[step]?.names?.[code] ?? code;
	const byVoucher = nameByVoucher(sheet, step, code, animals) ?? nameByVoucher(sheet, step, name, animals);
	return animals.current(byVoucher ?? name);
}
type Named = Pick<Sheet, 'trays' | 'vouchers' | 'opinions'>;

/** Photos of a compartment's animals, also those that were taken before it had its name; by the line that took them. */
export const photosIn = (
	sheet: Named & Pick<Sheet, 'photos'>,
	step: string,
	code: string,
	animals: AnimalList
): { id: string; sha256: string }[] =>
	Object.entries(sheet.photos ?? {}).flatMap(([id, { sha256, tray, compartment }]) =>
		sha256 !== undefined &&
		tray === step &&
		compartment !== undefined &&
		namedIn(sheet, step, compartment, animals) === namedIn(sheet, step, code, animals)
			? [{ id, sha256 }]
			: []
	);

/**
 * The kinds of a tray and how many of each, in the order in which they first came. One that got its name later counts
 * under that name, with those that were named at once. A kind that is only there, or in a class, counts once.
 */
export function kindsIn(sheet: Named & Pick<Sheet, 'tallies'>, step: string, animals: AnimalList): Kind[] {
	const tray = sheet.trays?.[step];
	const counts = new Map<string, number>();
	const add = (code: string, n: number) => {
		const name = namedIn(sheet, step, code, animals);
		if (n > 0) counts.set(name, (counts.get(name) ?? 0) + n);
	};
	for (const [code, n] of Object.entries(sheet.tallies?.[step]?.taxa ?? {})) add(code, n ?? 0);
	for (const code of Object.keys(tray?.classes ?? {})) if (!counts.has(code)) add(code, 1);
	for (const [code, is] of Object.entries(tray?.present ?? {})) if (is && !counts.has(code)) add(code, 1);
	return [...counts].map(([code, count]) => ({ code, taxon: animals.of(code), count }));
}

/**
 * Whether the shares of the kinds are known: by how the tray was sorted, and not where every habitat was swept in place
 * of a sampler that is gone.
 */
export const sharesKnown = (
	step: Pick<TrayStep, 'school'>,
	steps: readonly StepBase[],
	sheet: Pick<Sheet, 'samplers'>
): boolean => knowsShares(step) && !isQualitative(steps, sheet);

/** A tap at a tray: one animal or several, and where they went. */
export interface Tap {
	code: string;
	entry: Entry;
}

/** Taps at a tray that stand: what was added and not struck, in order. */
export const tapsIn = (lines: Folded['lines'], step: string): Tap[] =>
	compartmentsIn(lines, step)
		.flatMap(standingTaps)
		.sort((a, b) => (a.entry.at < b.entry.at ? -1 : 1));

/** The last tap that stands and that is whoever's `isOwn` says. */
export function lastTapIn(lines: Folded['lines'], step: string, isOwn: (by: string) => boolean): Tap | undefined {
	const lasts = compartmentsIn(lines, step).flatMap(
		(line) => standingTaps(line).findLast(({ entry }) => isOwn(entry.by)) ?? []
	);
	return lasts.reduce<Tap | undefined>((last, tap) => (last && last.entry.at > tap.entry.at ? last : tap), undefined);
}

const compartmentsIn = (lines: Folded['lines'], step: string): Line[] => {
	const within = tallyPath(step, '');
	return [...lines.values()].filter((line) => line.path.startsWith(within));
};

/** Of a compartment: with each tap at one of forty, thirty-nine are as they were. */
const standingTaps = remembered(({ path, history }: Line): Tap[] => {
	const code = path.slice(path.lastIndexOf('/') + 1);
	const struck = new Set(history.map((e) => e.was));
	return history.filter((e) => e.op === 'add' && !struck.has(e.id)).map((entry) => ({ code, entry }));
});

/** Minutes of picking up to an instant, breaks taken out. */
export function minutesOfPick(sheet: Pick<Sheet, 'trays'>, step: string, now_ms: number): number {
	const tray = sheet.trays?.[step];
	if (tray?.begunAt === undefined) return 0;
	const began_ms = Date.parse(tray.begunAt);
	const end_ms = Math.min(now_ms, tray.endedAt === undefined ? now_ms : Date.parse(tray.endedAt));
	const paused_ms = Object.values(tray.pauses ?? {}).reduce((sum, { from, to }) => {
		if (from === undefined) return sum;
		const ends_ms = Math.min(end_ms, to === undefined ? end_ms : Date.parse(to));
		return sum + Math.max(0, ends_ms - Math.max(began_ms, Date.parse(from)));
	}, 0);
	return Math.max(0, end_ms - began_ms - paused_ms) / 60_000;
}

/** The break that is on just now. */
export const openPause = (sheet: Pick<Sheet, 'trays'>, step: string): string | null =>
	Object.entries(sheet.trays?.[step]?.pauses ?? {}).find(([, p]) => p.from !== undefined && p.to === undefined)?.[0] ??
	null;

/** What was picked at which minute of the pick. */
export const pickedIn = (sheet: Named, lines: Folded['lines'], step: string, animals: AnimalList): Picked[] =>
	tapsIn(lines, step)
		.filter(({ entry }) => Number(entry.value) > 0)
		.map(({ code, entry }) => ({
			taxon: namedIn(sheet, step, code, animals),
			minute: minutesOfPick(sheet, step, instantOf(entry.at)),
			count: Number(entry.value)
		}));
