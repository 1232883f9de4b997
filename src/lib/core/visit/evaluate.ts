import type { Folded } from '../logbook';
import { waysOf, type MethodCard } from '../method';
import type { Context } from '../subjects/context';
import { isAwaited, type Determination, type Finding } from '../subjects/determination';
import { doubt, type Flag } from '../subjects/flags';
import { belongsTo } from '../subjects/steps';
import { subjects } from '../subjects/subjects';
import { comparedFlags } from './compared';
import { withHistory } from './history';
import { seenBy } from './observed';
import type { Outcome, RunningClock } from './outcome';
import { inOrder } from './report-choice';
import { followingParents, reportedOf, reviewed } from './reviews';
import { missingOf, orderFlags, stepStates } from './steps';

/**
 * The one function that knows: every figure that follows from a visit's sheet with how sure it is, every doubt with its
 * evidence, every running clock, and what to do next. Pure: the same folded entries, card and context give the same
 * outcome, on the phone as on the server. Never throws for anything a sheet can hold.
 */
export function evaluate(folded: Folded, card: MethodCard, context: Context): Outcome {
	const { sheet } = folded;
	const observed = subjects.map((subject) => seenBy(subject, folded, card, context));
	const observedFlags = observed.flatMap((o) => o.flags ?? []);
	const found = inOrder(
		observed.flatMap((o) => o.findings ?? []),
		observedFlags,
		waysOf(card)
	);
	const first = reported(found, folded);
	const derived = derivedFrom(first.determinations, folded, card, context);
	const { determinations: all, changed } = derived.length ? reported([...found, ...derived], folded) : first;
	const determinations = followingParents(all);
	const results = determinations.filter((d) => d.isReported);
	const gaugings = observed.flatMap((o) => o.gaugings ?? []);
	const steps = stepStates(card, { sheet, gaugings, found: results });
	const known = { determinations, results, gaugings, sheet, card, context };
	const flags: Flag[] = [
		...orderFlags(folded, card),
		...observedFlags,
		...subjects.flatMap((subject) => subject.relate?.(known) ?? []),
		...comparedFlags(determinations),
		...conflictFlags(folded),
		...changed
	];
	const { usual } = context.site;
	return {
		folded,
		determinations,
		results,
		gaugings,
		flows: observed.flatMap((o) => o.flows ?? []),
		flags: usual === null ? flags : withHistory({ flags, results, folded }, usual, card.own),
		clocks: clocksOf(observed, card, context.now_ms),
		steps,
		next: steps.find((s) => s.state === 'open')?.id ?? null,
		missing: missingOf(steps, card)
	};
}

/** What follows from the figures that would be reported, reviews heard: a rejected one is worked on with no further. */
function derivedFrom(found: readonly Determination[], folded: Folded, card: MethodCard, context: Context): Finding[] {
	const results = found.filter((d) => d.isReported);
	return subjects.flatMap((subject) => subject.derive?.({ results, sheet: folded.sheet, card, context }) ?? []);
}

/** Findings with what reviewers said of them, and which of each parameter is reported. */
function reported(findings: readonly Finding[], folded: Folded): { determinations: Determination[]; changed: Flag[] } {
	const { judged, flags } = reviewed(findings, folded);
	return { determinations: reportedOf(judged, folded), changed: flags };
}

/** Kits and gear stop their clocks by themselves; a bottle or plate whose time is over is told all the same. */
function clocksOf(observed: readonly ReturnType<typeof seenBy>[], card: MethodCard, now_ms: number): RunningClock[] {
	return observed
		.flatMap((o) => o.clocks ?? [])
		.filter((clock) => (!isAwaited(clock) && clock.kind !== 'drying') || clock.last_ms >= now_ms)
		.map((clock) => ({ ...clock, step: card.steps.find((s) => belongsTo(s, clock.id))?.id ?? null }));
}

const conflictFlags = ({ conflicts }: Folded): Flag[] =>
	conflicts.flatMap(({ path, entries }) => {
		const shown = entries.at(-1)!;
		return entries
			.slice(0, -1)
			.map((other) =>
				doubt('two-values', { path, parameter: parameterAt(path) }, { path, shown: shown.value, other: other.value })
			);
	});

/** The parameter that a place of the sheet is about; null where it is about none. */
function parameterAt(path: string): string | null {
	const [branch, code] = path.split('/');
	if (branch === 'readings') return code ?? null;
	return branch === 'gaugings' ? 'discharge' : null;
}
