import { invalidateAll } from '$app/navigation';
import { changePlan } from './change-plan';

interface Done {
	/** The change in words, as it was said when it was made. */
	said: string;
	/** The lines that it left, by which it is taken back. */
	audited: string[];
}

/** What was changed in the plan in this tab: each can be taken back, and done again, the last one first. */
export class PlanHistory {
	made = $state<Done[]>([]);
	undone = $state<Done[]>([]);
	said = $state<{ words: string; isBad: boolean } | null>(null);

	async change(asked: object): Promise<boolean> {
		const done = await this.#send(asked);
		if (done === null) return false;
		this.made = [...this.made, done];
		this.undone = [];
		return true;
	}

	undo(): Promise<void> {
		return this.#takeBack('made', 'undone');
	}

	redo(): Promise<void> {
		return this.#takeBack('undone', 'made');
	}

	async #takeBack(from: 'made' | 'undone', to: 'made' | 'undone'): Promise<void> {
		const last = this[from].at(-1);
		if (!last) return;
		const back = await this.#send({ change: 'undo', audited: last.audited });
		if (back === null) return;
		this[from] = this[from].slice(0, -1);
		this[to] = [...this[to], { said: last.said, audited: back.audited }];
	}

	async #send(asked: object): Promise<Done | null> {
		const answer = await changePlan(asked);
		if (answer.ok) await invalidateAll(); // what is said is true of what is seen
		this.said = answer.ok ? { words: answer.said, isBad: false } : { words: answer.why, isBad: true };
		return answer.ok ? answer : null;
	}
}

/** One for the season and the days of its rounds: going from one to the other forgets nothing. */
export const planHistory = new PlanHistory();
