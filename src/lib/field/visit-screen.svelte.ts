import { v7 } from 'uuid';
import { comesFirst } from '$lib/core/method';
import type { Folded } from '$lib/core/logbook';
import type { Rest } from '$lib/core/quality';
import type { ParameterCode } from '$lib/core/quantity';
import type { Satchel } from '$lib/core/satchel';
import type { SchemeSampling, SchemeScore } from '$lib/core/score-schemes';
import { isAwaited } from '$lib/core/subjects/determination';
import type { Flag } from '$lib/core/subjects/flags';
import { belongsTo, kindOf, type Step } from '$lib/core/subjects/steps';
import { NOTHING_FOLLOWS, type Outcome } from '$lib/core/visit/outcome';
import { mayCall } from './alarms.svelte';
import { deviceNow_ms } from './device-clock';
import type { MeterPort } from './devices/meter-port';
import type { FieldApp } from './field-app.svelte';
import { writerIn } from './visit-writer';
import type { VisitLog } from './visit-log.svelte';

type Meters = Pick<typeof import('./devices/meter-port'), 'canListen' | 'simulatedPort'>;

/** What is drawn: the lines of a moment, and the moment. */
export interface Moment {
	folded: Folded;
	now_ms: number;
}

/** What follows from a sheet while it is not worked out. */
export const notYet = (folded: Folded): Outcome => ({ ...NOTHING_FOLLOWS, folded, steps: [], next: null });

/** The state of a visit's screen at one step: what a page shows and a tool is given. */
export class VisitScreen<RestOfRound> {
	constructor(
		readonly app: FieldApp,
		readonly log: VisitLog,
		readonly step: Step,
		/** The outcome is that of the last moment that was painted: it takes a phone longer than a key may. */
		readonly shown: () => Moment & { outcome: Outcome },
		/** Codes of instruments, the one used last on this device first. */
		readonly lastUsed: readonly string[],
		readonly restOfRound: () => RestOfRound,
		/** The meters that this device can hear, for a tool that listens to one. */
		readonly meters: Meters | null,
		/** Scores a sampling off the page's thread. */
		readonly scoreBeside: (asked: SchemeSampling, signal: AbortSignal) => Promise<SchemeScore[]>
	) {
		this.writer = writerIn(app, log);
	}
	readonly writer;

	get visitId() {
		return this.log.visitId;
	}
	get card() {
		return this.log.card!;
	}
	get satchel(): Satchel {
		return this.app.packed!.satchel;
	}
	get site() {
		return this.log.site;
	}
	get sheet() {
		return this.log.folded.sheet;
	}
	get opening() {
		return this.log.opening;
	}
	get outcome() {
		return this.shown().outcome;
	}
	get gaugings() {
		return this.log.gaugings;
	}
	get conflicts() {
		return this.log.folded.conflicts;
	}
	get lines() {
		return this.log.folded.lines;
	}
	get isOnPaper() {
		return this.log.opening?.isOnPaper === true;
	}
	get me() {
		return this.satchel.member.initials;
	}
	get now_ms() {
		return this.app.now_ms;
	}
	/** What the round still has before it. */
	get rest() {
		return this.restOfRound();
	}

	/** Doubts about what belongs to this step. */
	flags: Flag[] = $derived.by(() => {
		const places = kindOf(this.step).places(this.step);
		return this.outcome.flags.filter((f) => places.some((p) => f.path === p || f.path.startsWith(`${p}/`)));
	});
	otherWaits = $derived.by(() =>
		this.outcome.clocks.flatMap((clock) => {
			const { step, label, due_ms } = clock;
			return isAwaited(clock) && step !== null && step !== this.step.id
				? [{ id: step, title: label, left_ms: due_ms - this.shown().now_ms }]
				: [];
		})
	);

	isBegun = $derived.by(() => [...this.shown().folded.lines.keys()].some((path) => belongsTo(this.step, path)));
	stateOf = (stepId: string) => this.outcome.steps.find((s) => s.id === stepId)?.state;
	/** What a rule puts before this step and is still open: said before a hand moves, each reason once. */
	ahead = $derived.by(() => {
		if (this.isBegun || this.isOnPaper || kindOf(this.step).isAlwaysAsked) return [];
		const open = comesFirst(this.step, this.card).filter((f) => this.stateOf(f.step.id) === 'open');
		const reasons = [...new Set(open.map((f) => f.because))].slice(0, MOST_REASONS);
		return reasons.map((because) => ({
			steps: [...new Set(open.filter((f) => f.because === because).map((f) => f.step))].map(({ id, title }) => ({
				title,
				href: this.hrefOf(id)
			})),
			because
		}));
	});
	hrefOf = (stepId: string) => `/sample/${this.visitId}/${stepId}`;
	newId = () => v7();

	instrumentsFor(parameter: ParameterCode | 'velocity'): string[] {
		const rank = (code: string) => (this.lastUsed.includes(code) ? this.lastUsed.indexOf(code) : this.lastUsed.length);
		return this.satchel.instruments
			.filter((i) => parameter in i.facts.measures)
			.map((i) => i.facts.code)
			.sort((a, b) => rank(a) - rank(b));
	}

	/** Real meters join here. The stand-in speaks in the demo only: its figures are nobody's. */
	#port: MeterPort | null = null;
	meterFor(parameter: ParameterCode, rest: Rest) {
		if (!this.meters || !this.satchel.program.isDemo || !this.meters.canListen(parameter)) return undefined;
		const now_ms = () => deviceNow_ms(this.app.packed);
		this.#port ??= this.meters.simulatedPort(this.log.site?.usual ?? {}, now_ms);
		return { port: this.#port, rest, now_ms };
	}

	async findPosition() {
		const { site } = this.log;
		if (site?.latitude == null || site.longitude == null) return null;
		const { findPosition } = await import('./devices/position');
		return findPosition({ latitude: site.latitude, longitude: site.longitude }, this.satchel.program.isDemo);
	}
	/** A step is begun without them. */
	keepPhoto = async (file: Blob) => (await import('./keep-photo')).keepPhoto(file, this.visitId);
	photoAddress = async (sha256: string) => (await import('./photos')).photoAddress(sha256);
	mayCall = () => void mayCall();
	scoreBySchemes = (sampling: SchemeSampling['sampling'], signal: AbortSignal) => {
		const { schemes, checkedNames: checked, animals } = this.satchel;
		return this.scoreBeside({ schemes, sampling, checked, animals }, signal);
	};

	/** The slip that was recognised is struck, and the figure typed anew as it was meant. */
	retype = (path: string, figure: unknown) => {
		this.writer.strike(path, 'wrong unit or point');
		void this.writer.set(path, figure);
	};
}

const MOST_REASONS = 3;
