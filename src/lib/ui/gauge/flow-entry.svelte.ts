import type { GaugingView } from '$lib/core/evaluate';
import { whyRefused } from '$lib/core/logbook';
import type { SectionUnits } from '$lib/core/method';
import { inPlaceUnit, readTyped, units, type AsTyped } from '$lib/core/quantity';
import { pressed } from '../sample/keypad-text';

export type Field = 'distance_m' | 'depth_m' | 'velocity_m_s';
export interface Cell {
	/** `start` and `end` are the edges of the water; else a vertical's id. */
	row: string;
	field: Field;
}

const ORDER: Field[] = ['distance_m', 'depth_m', 'velocity_m_s'];
/** Beyond these a figure is possible but is asked about: rarely waded, often a slip of the unit. */
const RARE: Record<Field, number> = { distance_m: 60, depth_m: 1.5, velocity_m_s: 3 };
const WORDS: Record<Field, string> = { distance_m: 'A distance of', depth_m: 'A depth of', velocity_m_s: 'A velocity of' };

/** What is being typed into a gauging: which cell, which text, and where to go after it is kept. */
export class FlowEntry {
	cell = $state<Cell>({ row: 'start', field: 'distance_m' });
	text = $state('');
	said = $state<string | null>(null);
	#asked: string | null = null;
	#isTouched = false;

	constructor(
		readonly gaugingId: string,
		readonly newId: () => string,
		readonly units: SectionUnits,
		readonly ondraft: (path: string, text: string) => void
	) {}

	path({ row, field }: Cell = this.cell): string {
		const base = `gaugings/${this.gaugingId}`;
		return row === 'start' || row === 'end' ? `${base}/edges/${row}Distance_m` : `${base}/verticals/${row}/${field}`;
	}

	isActive = (row: string, field: Field): boolean => this.cell.row === row && this.cell.field === field;

	choose(cell: Cell, text = ''): void {
		this.cell = cell;
		this.text = text;
		this.#isTouched = text !== '';
		this.said = null;
		this.#asked = null;
	}

	/** Shows what was being typed in this cell, before a reload or in another tab, while no hand has typed here. */
	resume(drafts: Record<string, string>): void {
		const text = drafts[this.path()] ?? '';
		if (!this.#isTouched) this.text = text;
	}

	type(text: string): void {
		this.#isTouched = true;
		this.text = text;
		this.said = null;
		this.ondraft(this.path(), text);
	}

	press = (key: string): void => this.type(pressed(this.text, key));

	/** Starts where a gauging stands: the first edge, a figure that is missing, or a new vertical. */
	begin(view: GaugingView | null): void {
		if (!view?.start) return this.choose({ row: 'start', field: 'distance_m' });
		const unfinished = view.verticals.find((v) => v.distance_m !== null && (v.depth_m === null || (v.velocity_m_s === null && v.depth_m > 0)));
		if (unfinished) return this.choose({ row: unfinished.id, field: unfinished.depth_m === null ? 'depth_m' : 'velocity_m_s' });
		this.choose({ row: this.newId(), field: 'distance_m' });
	}

	unitOf = (field: Field) => (field === 'velocity_m_s' ? this.units.velocity : this.units.tape);

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
		if (why !== null) return this.#say(`${why.charAt(0).toUpperCase()}${why.slice(1)}.`);
		if (Math.abs(inPlaceUnit(figure, field === 'velocity_m_s' ? 'm_s' : 'm')) > RARE[field] && this.#asked !== this.text) {
			this.#asked = this.text;
			return this.#say(`${WORDS[field]} ${this.text} ${units[unit].symbol} is rarely waded. Is the unit right? If it stands, keep it again.`);
		}
		return figure;
	}

	/** The cell after the one just kept. */
	advance(): void {
		const { row, field } = this.cell;
		const next = row === 'start' || row === 'end' ? undefined : ORDER[ORDER.indexOf(field) + 1];
		if (row === 'end') this.choose({ row, field });
		else this.choose(next ? { row, field: next } : { row: this.newId(), field: 'distance_m' });
	}

	#say(words: string): null {
		this.said = words;
		return null;
	}
}
