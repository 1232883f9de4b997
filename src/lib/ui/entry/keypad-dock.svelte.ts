import { createContext } from 'svelte';

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
}

/**
 * The place at the foot of a step where the keys and the next act lie, under the thumb and always the same. A tool
 * that takes numbers puts its keys there for as long as it is shown.
 */
export class KeypadDock {
	keys = $state.raw<Keys | null>(null);
	/** When something was last kept: a thumb that taps twice does not go on to the next step with the second. */
	kept_ms = 0;
}

export const [keypadDock, setKeypadDock] = createContext<KeypadDock>();
