import { createContext, type Component } from 'svelte';

/** What the keys at the foot of a step are for just now. */
export interface Keys {
	/** A key was pressed: a digit, a sign, or "back". */
	onkey: (key: string) => void;
	/** Something is typed that can be kept. */
	isTyped: boolean;
	onkeep: () => void;
	/** Which sign keys there are beside the digits. */
	signs: readonly string[];
	/** Whether a number here may have decimals. */
	hasPoint: boolean;
	/** The keys as they are drawn: they come with the tool that needs them. */
	Pad: Component<Pick<Keys, 'onkey' | 'signs' | 'hasPoint'>>;
}

/** What a step itself asks for next, where that is neither a figure to keep nor the way to the next step. */
export interface NextAct {
	word: string;
	onact: () => void;
	/** It is what should be done; else it only may be. */
	isMain: boolean;
}

/**
 * The place at the foot of a step where the keys and the next act lie, under the thumb and always the same. A tool
 * that takes numbers puts its keys there for as long as it is shown.
 */
export class KeypadDock {
	keys = $state.raw<Keys | null>(null);
	act = $state.raw<NextAct | null>(null);
}

export const [keypadDock, setKeypadDock] = createContext<KeypadDock>();
