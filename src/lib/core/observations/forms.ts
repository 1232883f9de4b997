import { conditions } from './conditions';
import { habitat } from './habitat';
import type { Question } from './question';

/** The forms of a visit, by the branch of the sheet that they fill. */
export const forms = { conditions, habitat } as const satisfies Record<string, readonly Question[]>;
export type FormName = keyof typeof forms;
