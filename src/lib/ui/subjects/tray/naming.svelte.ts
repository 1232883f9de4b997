import type { Answer } from '$lib/core/identification';
import { isUnnamed } from '$lib/core/subjects/tray/compartments';
import type { StepScreen } from '../step-screen';

/**
 * What one hand saw of an animal that it asks the key about. Each answer is a line of the logbook, so that it outlives
 * a phone that dies, and whoever doubts the name later can read what was seen.
 */
export interface Naming {
	readonly answers: readonly Answer[];
	answer(character: string, state: string | null): void;
	strike(character: string): void;
	/** It has its name, and how likely the key held that. */
	name(code: string, chance: number | null): void;
}

/** As an answer stands in the sheet where the animal does not show it. */
const UNSEEN = 'cannot-see';

/**
 * `fixedId`: of the compartment that is named; without, one that this hand began and has not named yet, or a new one.
 */
export function namingOf(screen: () => StepScreen, step: () => string, fixedId?: () => string): Naming {
	const within = () => `trays/${step()}/namings`;
	const all = $derived(screen().sheet.trays?.[step()]?.namings ?? {});
	const isMine = (id: string) =>
		[...screen().lines].some(
			([path, line]) =>
				path.startsWith(`${within()}/${id}/`) && screen().writer.initialsOf(line.history[0]!.by) === screen().me
		);
	/** Begun here and not yet in the sheet. */
	let begun = $state<string | null>(null);
	const id = $derived(
		fixedId?.() ??
			begun ??
			Object.keys(all).find((n) => n.includes('-') && !isUnnamed(n) && all[n]?.taxon === undefined && isMine(n))
	);
	return {
		get answers() {
			return Object.entries((id && all[id]?.answers) || {}).flatMap(([character, state]) =>
				state === undefined ? [] : [{ character, state: state === UNSEEN ? null : state }]
			);
		},
		answer(character, state) {
			begun ??= id ?? screen().newId();
			void screen().writer.set(`${within()}/${id ?? begun}/answers/${character}`, state ?? UNSEEN);
		},
		strike: (character) => screen().writer.strike(`${within()}/${id}/answers/${character}`, 'taken back'),
		name(code, chance) {
			const at = id;
			begun = null;
			if (!at || !all[at]) return; // chosen from the list: nothing was asked
			void screen().writer.setAll({
				[`${within()}/${at}/taxon`]: code,
				...(chance === null ? {} : { [`${within()}/${at}/chance`]: Number(chance.toFixed(3)) })
			});
		}
	};
}
