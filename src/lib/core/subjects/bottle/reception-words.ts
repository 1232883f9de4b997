import type { Reception } from './branch';

/** What whoever takes a bottle in says of it. */
export const receptionWords = {
	accepted: 'accepted',
	flagged: 'accepted, with a flag',
	refused: 'refused'
} as const satisfies Record<Reception, string>;

/** And as the deed that it is. */
export const receiveWords = {
	accepted: 'Accept',
	flagged: 'Accept with a flag',
	refused: 'Refuse'
} as const satisfies Record<Reception, string>;
