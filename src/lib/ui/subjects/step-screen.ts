import type { Conflict, Folded, Sheet } from '$lib/core/logbook';
import type { MethodCard } from '$lib/core/method';
import type { Rest } from '$lib/core/quality';
import type { Figure, ParameterCode, Unit } from '$lib/core/quantity';
import type { Satchel, SatchelSite } from '$lib/core/satchel';
import type { SchemeSampling, SchemeScore } from '$lib/core/score-schemes';
import type { Position } from '$lib/core/subjects/arrival/branch';
import type { Determination } from '$lib/core/subjects/determination';
import type { Flag } from '$lib/core/subjects/flags';
import type { GaugingView } from '$lib/core/subjects/gauging/view';
import type { Outcome } from '$lib/core/visit';
import type { RestOfRound } from './leaving/rest-of-round';
import type { Meter } from './reading/MeterPanel.svelte';
import type { Writer } from '../entry/writer';

/** What the screen of a step is given, whatever is done at it: the visit as it stands, and what the device can do. */
export interface StepScreen {
	readonly visitId: string;
	readonly card: MethodCard;
	readonly satchel: Satchel;
	readonly site: SatchelSite | null;
	/** The sheet as it stands under the hand. */
	readonly sheet: Sheet;
	readonly opening: Sheet['opening'] | null;
	readonly outcome: Outcome;
	/** The gaugings as they stand under the hand, a frame before all that follows from them. */
	readonly gaugings: readonly GaugingView[];
	readonly conflicts: readonly Conflict[];
	readonly lines: Folded['lines'];
	readonly writer: Writer;
	/** Typed in from paper. */
	readonly isOnPaper: boolean;
	/** Initials of whoever holds this device. */
	readonly me: string;
	/** Doubts about what belongs to this step. */
	readonly flags: Flag[];
	/** Waits that run at other steps. */
	readonly otherWaits: { id: string; title: string; left_ms: number }[];
	/** What the round still has before it. */
	readonly rest: RestOfRound | null;
	readonly now_ms: number;
	hrefOf(stepId: string): string;
	newId(): string;
	/** Instruments that measure this, the one used last on this device first. */
	instrumentsFor(parameter: ParameterCode | 'velocity'): string[];
	/** A meter that can be listened to, and when its figures count as at rest; nothing where there is none. */
	meterFor(parameter: ParameterCode, rest: Rest): { port: Meter; rest: Rest; now_ms: () => number } | undefined;
	findPosition(): Promise<Position | null>;
	/** Keeps a picture and gives the name of its bytes. */
	keepPhoto(file: Blob): Promise<string>;
	photoAddress(sha256: string): Promise<string>;
	/** The sampling by the program's score schemes, worked out off the page's thread; ended by `signal`. */
	scoreBySchemes(sampling: SchemeSampling['sampling'], signal: AbortSignal): Promise<SchemeScore[]>;
	/** The phone may call when a wait is over. */
	mayCall(): void;
	/** The slip that was recognised is struck, and the figure typed anew as it was meant. */
	retype(path: string, figure: unknown): void;
}

/** What was found of a parameter at a place of the sheet; what follows from it where it is the reported one. */
export function foundAt({ outcome }: StepScreen, place: string, parameter: ParameterCode): Determination[] {
	const own = outcome.determinations.filter((d) => d.parameter === parameter && d.place === place);
	const following = own.some((d) => d.isReported) ? outcome.results.filter((r) => r.parents.includes(parameter)) : [];
	return [...own, ...following];
}

/** A figure that was recognised as a slip, as it is typed anew: with the instrument that it was read with. */
export function meantFigure(lines: Folded['lines'], path: string, meant: { value: number; unit: Unit }): Figure {
	const instrument = (lines.get(path)?.value as Figure | undefined)?.instrument;
	return { ...meant, ...(instrument ? { instrument } : {}) };
}
