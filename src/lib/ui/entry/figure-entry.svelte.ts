import {
	readTyped,
	whyImpossible,
	withQualifier,
	isImplausible,
	plausibleRange,
	type Figure,
	type Parameter,
	type Unit
} from '$lib/core/quantity';
import { pressed } from './keypad-text';

export interface Slot {
	id: string;
	label: string;
	path: string;
}

/** What is being typed into the slots of one parameter: which slot, which text, what is to be said about it. */
export class FigureEntry {
	active = $state('');
	texts = $state<Record<string, string>>({});
	/** A figure that is possible but unlikely waits here until it is kept a second time. */
	asked = $state<string | null>(null);
	said = $state<string | null>(null);
	readonly #touched = new Set<string>();

	/** The unit that is being read in; the card's to begin with. */
	unit = $state<Unit>('m');

	constructor(
		readonly parameter: Parameter,
		unit: Unit,
		readonly ondraft: (path: string, text: string) => void
	) {
		this.unit = unit;
	}

	get text(): string {
		return this.texts[this.active] ?? '';
	}

	choose(path: string): void {
		this.active = path;
		this.said = null;
		this.asked = null;
	}

	/** Shows what was being typed, before a reload or in another tab, wherever no hand has typed here. */
	resume(drafts: Record<string, string>, paths: readonly string[]): void {
		for (const path of paths) {
			if (this.#touched.has(path)) continue;
			if (drafts[path] === undefined) delete this.texts[path];
			else this.texts[path] = drafts[path];
		}
	}

	type(text: string): void {
		this.#touched.add(this.active);
		this.texts[this.active] = text;
		this.said = null;
		this.asked = null;
		this.ondraft(this.active, text);
	}

	press = (key: string): void => this.type(pressed(this.text, key));

	/** The figure to keep, or null after saying what is wrong or asking whether it stands. */
	take(instrument: string | null): Figure | null {
		const typed = readTyped(this.text);
		if ('why' in typed) return this.#say(typed.why);
		const figure: Figure = {
			...withQualifier(typed.number, typed.qualifier, this.unit),
			...(instrument ? { instrument } : {})
		};
		const impossible = whyImpossible(this.parameter, figure);
		if (impossible) return this.#say(`${impossible}.`);
		if (isImplausible(this.parameter, figure) && this.asked !== this.text) {
			this.asked = this.text;
			return this.#say(
				`${this.parameter.name} is usually ${plausibleRange(this.parameter)}. If ${this.text} stands, save it again.`
			);
		}
		return figure;
	}

	/** The text of a place has been kept: what shows there from now on is the figure. */
	clear(path: string): void {
		this.#touched.add(path);
		delete this.texts[path];
	}

	#say(words: string): null {
		this.said = words;
		return null;
	}
}
