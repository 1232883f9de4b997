import { capitalised } from '../../../core/wording';
import type { GaugingView } from '$lib/core/subjects/gauging/view';
import { whyRefused } from '$lib/core/logbook';
import { type VelocityPointMethod } from '$lib/core/subjects/gauging/branch';
import type { SectionUnits } from '$lib/core/subjects/gauging/units';
import { inPlaceUnit, readTyped, units, type AsTyped, type Unit } from '$lib/core/quantity';
import { pressed } from '../../entry/keypad-text';

export type Field = 'distance_m' | 'depth_m' | VelocityField;
type VelocityField = 'velocity_m_s' | 'velocity02_m_s' | 'velocity06_m_s' | 'velocity08_m_s';
/** What is read at each vertical, in order, by school; a sweep reads one velocity for all of them. */
const velocityFields: Record<VelocityPointMethod | 'sweep', readonly VelocityField[]> = {
	'one-point': ['velocity06_m_s'],
	raise: ['velocity_m_s'],
	'two-point': ['velocity02_m_s', 'velocity08_m_s'],
	'three-point': ['velocity02_m_s', 'velocity06_m_s', 'velocity08_m_s'],
	sweep: []
};
export const fieldsOf = (school: VelocityPointMethod | 'sweep'): readonly Field[] => [
	'distance_m',
	'depth_m',
	...velocityFields[school]
];
const isLength = (field: Field) => field === 'distance_m' || field === 'depth_m';

export interface Cell {
	/** `start` and `end` are the edges of the water; else a vertical's id. */
	row: string;
	field: Field;
}

/** Beyond these a figure is possible but is asked about: rarely waded, often a slip of the unit. */
const RARE = { distance_m: 60, depth_m: 1.5, velocity: 3 };
const WORDS = { distance_m: 'A distance of', depth_m: 'A depth of', velocity: 'A velocity of' };
const asKind = (field: Field): keyof typeof RARE =>
	field === 'distance_m' || field === 'depth_m' ? field : 'velocity';

/** What is being typed into a gauging: which cell, which text, and where to go after it is kept. */
export class FlowEntry {
	cell = $state<Cell>({ row: 'start', field: 'distance_m' });
	text = $state('');
	said = $state<string | null>(null);
	#asked: string | null = null;
	/** A row for the next vertical, there before anything is typed into it. */
	fresh = $state('');
	/** Verticals follow one another so far apart, in the unit of the tape; null where each place is typed. */
	spacing = $state<number | null>(null);
	/** Depths are typed in centimetres and speeds in centimetres a second: two digits and no point. */
	inHundredths = $state(false);
	/** Places on the tape that follow from the spacing, until the first figure of their vertical is kept. */
	readonly #planned = new Map<string, number>();
	/** What this hand has typed at each place: it goes before a draft on the disk, which may be a moment old. */
	readonly #typed = new Map<string, string>();

	readonly fields: readonly Field[];

	constructor(
		readonly gaugingId: string,
		readonly school: VelocityPointMethod | 'sweep',
		readonly newId: () => string,
		readonly units: SectionUnits,
		readonly ondraft: (path: string, text: string) => void,
		/** Whether a vertical keeps what was read at 0.6 of the depth as its mean, as older logbooks do. */
		readonly isOlder: (row: string) => boolean = () => false
	) {
		this.fields = fieldsOf(school);
		this.fresh = newId();
	}

	path({ row, field }: Cell = this.cell): string {
		const base = `gaugings/${this.gaugingId}`;
		if (row === 'start' || row === 'end') return `${base}/edges/${row}Distance_m`;
		const place =
			this.school === 'one-point' && field === 'velocity06_m_s' && this.isOlder(row) ? 'velocity_m_s' : field;
		return `${base}/verticals/${row}/${place}`;
	}

	isActive = (row: string, field: Field): boolean => this.cell.row === row && this.cell.field === field;

	choose(cell: Cell): void {
		if (cell.row === this.fresh) this.fresh = this.newId();
		this.cell = cell;
		this.text = this.#typed.get(this.path()) ?? '';
		this.said = null;
		this.#asked = null;
	}

	/** Shows what was being typed in this cell, before a reload or in another tab, while no hand has typed here. */
	resume(drafts: Record<string, string>): void {
		const path = this.path();
		if (!this.#typed.has(path)) this.text = drafts[path] ?? '';
	}

	type(text: string): void {
		this.#typed.set(this.path(), text);
		this.text = text;
		this.said = null;
		this.ondraft(this.path(), text);
	}

	press = (key: string): void => this.type(pressed(this.text, key));

	/** Starts where a gauging stands: the first edge, a figure that is missing, or a new vertical. */
	begin(view: GaugingView | null, isKept: (row: string, field: Field) => boolean): void {
		if (!view?.start) return this.choose({ row: 'start', field: 'distance_m' });
		const unfinished = view.verticals.find(
			(v) => v.distance_m !== null && (v.depth_m === null || (v.velocity_m_s === null && v.depth_m > 0))
		);
		const missing = unfinished && this.fields.find((field) => !isKept(unfinished.id, field));
		if (unfinished && missing) return this.choose({ row: unfinished.id, field: missing });
		this.choose({ row: this.newId(), field: 'distance_m' });
	}

	unitOf = (field: Field): Unit => {
		const { tape, velocity } = this.units;
		if (this.inHundredths && tape === 'm' && field === 'depth_m') return 'cm';
		if (this.inHundredths && velocity === 'm_s' && !isLength(field)) return 'cm_s';
		return isLength(field) ? tape : velocity;
	};
	/** Whether what is typed now may have decimals. */
	get hasPoint(): boolean {
		const unit = this.unitOf(this.cell.field);
		return unit !== 'cm' && unit !== 'cm_s';
	}
	/** Where on the tape a row stands that the spacing made, in the unit of the tape; null where it was typed. */
	plannedAt = (row: string): number | null => this.#planned.get(row) ?? null;

	/** The figure to keep, as it was read, or null after saying what is wrong or asking whether it stands. */
	take(): AsTyped | null {
		const typed = readTyped(this.text);
		if ('why' in typed) return this.#say(typed.why);
		if (typed.qualifier !== null) return this.#say('A vertical needs the number itself, not a limit.');
		const { field } = this.cell;
		const unit = this.unitOf(field);
		const isAsPlaced = unit === 'm' || unit === 'm_s';
		const figure = isAsPlaced ? typed.number : { value: typed.number, unit };
		const why = whyRefused(this.path(), figure);
		if (why !== null) return this.#say(`${capitalised(why)}.`);
		if (
			Math.abs(inPlaceUnit(figure, isLength(field) ? 'm' : 'm_s')) > RARE[asKind(field)] &&
			this.#asked !== this.text
		) {
			this.#asked = this.text;
			return this.#say(
				`${WORDS[asKind(field)]} ${this.text} ${units[unit].symbol} is rarely waded. Is the unit right? If it ` +
					'stands, save it again.'
			);
		}
		return figure;
	}

	/** The cell after the one just kept; `last` and `end`: the outermost vertical and the far edge, where known. */
	advance({ last, end }: { last: number | null; end: number | null } = { last: null, end: null }): void {
		this.#typed.set(this.path(), '');
		const { row, field } = this.cell;
		const next = row === 'start' || row === 'end' ? undefined : this.fields[this.fields.indexOf(field) + 1];
		if (row === 'end') return this.choose({ row, field });
		if (next) this.choose({ row, field: next });
		else this.next(row === 'start' ? { last: null, end } : { last, end });
	}

	/** The next vertical: at its depth where the spacing says where it stands, else at its place on the tape. */
	next({ last, end }: { last: number | null; end: number | null }): void {
		const row = this.fresh;
		const place = this.spacing === null || last === null ? null : Number((last + this.spacing).toFixed(3));
		if (place === null || (end !== null && place >= end)) return this.choose({ row, field: 'distance_m' });
		this.#planned.set(row, place);
		this.choose({ row, field: 'depth_m' });
	}

	/** Back to a cell whose figure could not be kept, with what was typed there. */
	back(cell: Cell, text: string, why: string): void {
		this.#typed.set(this.path(cell), text);
		this.choose(cell);
		this.said = why;
	}

	#say(words: string): null {
		this.said = words;
		return null;
	}
}
